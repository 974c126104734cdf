"use client";
import { type PointerEvent, type ReactNode, useRef } from "react";
import { shown } from "../figures/typed";

/** A place of a drawing that is taken hold of: pulled along one axis, or moved by the arrow keys, it changes a number of the gauge. */
export interface Grip {
  readonly name: string;
  /** Where it sits, mm of the drawing. */
  readonly x: number;
  readonly y: number;
  readonly along: "x" | "y";
  /** How much the number changes for a millimetre along the axis; below 0 where it grows upwards or to the left. */
  readonly perMm: number;
  readonly value: number;
  readonly step: number;
  readonly least: number;
  readonly most: number;
  readonly unit: string;
  readonly onValue: (value: number) => void;
}

interface Props {
  readonly name: string;
  /** Left, top, width and height of what is drawn, mm. */
  readonly box: readonly [number, number, number, number];
  readonly heightPx: number;
  readonly widthPx: number;
  readonly grips?: readonly Grip[];
  readonly children: ReactNode;
}

/** A gauge's own drawing, in the line grammar of the parts; its grips stand in the order of the keyboard. */
export function Drawn({ name, box: [left, top, width, height], heightPx, widthPx, grips = [], children }: Props) {
  const perMm = Math.min(widthPx / width, heightPx / height);
  const [w, h] = [widthPx / perMm, heightPx / perMm];
  return (
    <svg
      role="group"
      aria-label={name}
      width={widthPx}
      height={heightPx}
      className="max-w-full touch-none"
      viewBox={`${left + width / 2 - w / 2} ${top + height / 2 - h / 2} ${w} ${h}`}
    >
      {children}
      {grips.map((grip) => (
        <GripMark key={grip.name} grip={grip} perMm={perMm} />
      ))}
    </svg>
  );
}

function GripMark({ grip, perMm }: { grip: Grip; perMm: number }) {
  const { name, x, y, along, value, step, least, most, unit, onValue } = grip;
  const held = useRef<{ at: number; value: number } | null>(null);
  const settle = (next: number) => {
    const stepped = Math.round(next / step) * step;
    // Steps of a tenth leave no tail of digits.
    onValue(Number(Math.min(most, Math.max(least, stepped)).toFixed(4)));
  };
  const place = (event: PointerEvent) => (along === "x" ? event.clientX : event.clientY);
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={name}
      aria-valuenow={value}
      aria-valuemin={least}
      aria-valuemax={most}
      aria-valuetext={`${shown(value)} ${unit}`}
      aria-orientation={along === "x" ? "horizontal" : "vertical"}
      className={`grip ${along === "x" ? "cursor-ew-resize" : "cursor-ns-resize"}`}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        held.current = { at: place(event), value };
      }}
      onPointerMove={(event) => {
        const { perMm: per } = grip;
        if (held.current) settle(held.current.value + ((place(event) - held.current.at) / perMm) * per);
      }}
      onPointerUp={() => {
        held.current = null;
      }}
      onKeyDown={(event) => {
        const by = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1, PageUp: 10, PageDown: -10 }[event.key];
        if (by === undefined) return;
        event.preventDefault();
        settle(value + by * step);
      }}
    >
      <circle cx={x} cy={y} r={22 / perMm} className="fl-none" pointerEvents="all" />
      <circle cx={x} cy={y} r={7 / perMm} className="grip-dot" strokeWidth={2 / perMm} />
      <text x={x + 11 / perMm} y={y + 4 / perMm} fontSize={14 / perMm} strokeWidth={4 / perMm} className="num grip-number">
        {shown(value, 4)}
      </text>
    </g>
  );
}
