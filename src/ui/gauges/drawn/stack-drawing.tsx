"use client";
import { Fragment } from "react";
import type { DragElement, Gap } from "@/core/drag/capacity";
import { Drawn } from "./drawn";
import { grip, type Sized } from "./grip";

/** A drag stack cut open on one side, from the base up, with the places where it slips. */
export function StackDrawing({
  elements,
  gaps,
  set,
  ...size
}: Sized & { elements: readonly DragElement[]; gaps: readonly Gap[]; set?: (at: number, outsideMm: number) => void }) {
  const thick = 3;
  const width = Math.max(...elements.map(({ outsideMm }) => outsideMm / 2), 1);
  const height = elements.length * thick;
  const slips = new globalThis.Set(gaps.map(({ slipsAbove }) => slipsAbove));
  return (
    <Drawn
      name={`The stack cut open; it slips in ${gaps.length} place${gaps.length === 1 ? "" : "s"}`}
      box={[-2, -height - 3, width * 1.75, height + 6]}
      {...size}
      grips={elements.flatMap((element, i) =>
        grip(
          set && ((v) => set(i, v)),
          `Outside of ring ${i + 1}`,
          [element.outsideMm / 2, -(i + 0.5) * thick],
          "x",
          2,
          element.outsideMm,
          [element.insideMm + 0.5, 200],
          "mm",
          0.5,
        ),
      )}
    >
      {elements.map((element, i) => {
        const [x, w] = [element.insideMm / 2, (element.outsideMm - element.insideMm) / 2];
        const y = -(i + 1) * thick;
        return (
          // biome-ignore lint/suspicious/noArrayIndexKey: a ring is its place in the stack
          <Fragment key={i}>
            <rect x={x} y={y + 0.15} width={w} height={thick - 0.3} className="ln-outline fl-sheet" />
            {element.mu !== null &&
              Array.from({ length: Math.max(1, Math.floor(w / 1.5)) }, (_, k) => (
                <line
                  // biome-ignore lint/suspicious/noArrayIndexKey: hatch lines never change order
                  key={k}
                  x1={x + k * 1.5}
                  x2={Math.min(x + w, x + k * 1.5 + 1.5)}
                  y1={y + thick - 0.15}
                  y2={y + 0.15}
                  className="ln-hatch"
                />
              ))}
            {slips.has(i) && (
              <path
                d={`M${x} ${y} H${x + w} M0.5 ${y} H${x - 1} m-1 -0.7 l1 0.7 l-1 0.7`}
                className="fl-none"
                stroke="var(--color-brass)"
                strokeWidth={0.5}
              />
            )}
          </Fragment>
        );
      })}
      <line x1={0} x2={0} y1={2} y2={-height - 2} className="ln-axis" />
    </Drawn>
  );
}
