"use client";
import { type MouseEvent, useEffect, useState } from "react";
import { lengthInPicture, type Measured, type Tap } from "@/core/measures/measures";
import { Field } from "@/ui/controls/field";
import { TextField } from "@/ui/controls/text-field";
import { typedMm } from "./figures/typed";

const asked = ["one end of a stretch of the ruler", "its other end", "one end of what is measured", "its other end"] as const;

interface Props {
  /** With every fourth tap; null while it is not measured. @param input taps and ruler, to be kept. */
  readonly onMeasured: (measured: Measured | null, input: { readonly ruler: string; readonly taps: readonly Tap[] }) => void;
  readonly heightPx?: number;
}

/** A length in a picture with a ruler in it: two taps on the ruler, two on the thing. The picture stays in the browser. */
export function PictureRuler({ onMeasured, heightPx = 560 }: Props) {
  const [picture, setPicture] = useState<string | null>(null);
  const [taps, setTaps] = useState<readonly Tap[]>([]);
  const [ruler, setRuler] = useState("10");
  useEffect(
    () => () => {
      if (picture) URL.revokeObjectURL(picture);
    },
    [picture],
  );
  const fault = (text: string) =>
    typedMm(text) > 0 && typedMm(text) <= 1000 ? undefined : "Between the two taps on the ruler: above 0 mm, at most 1000.";
  const apart = (a: Tap | undefined, b: Tap | undefined) => a && b && Math.hypot(a.x - b.x, a.y - b.y) > 0;
  const settle = (now: readonly Tap[], text: string) => {
    setTaps(now);
    setRuler(text);
    const whole = now.length === 4 && !fault(text) && apart(now[0], now[1]) && apart(now[2], now[3]);
    onMeasured(whole ? lengthInPicture([now[0]!, now[1]!], typedMm(text), [now[2]!, now[3]!]) : null, { ruler: text, taps: now });
  };
  const tap = (event: MouseEvent<HTMLElement>) => {
    const { left, top } = event.currentTarget.getBoundingClientRect();
    const at = { x: event.clientX - left, y: event.clientY - top };
    settle(taps.length === 4 ? [at] : [...taps, at], ruler);
  };
  return (
    <div className="flex flex-col gap-3">
      <div className="grid grid-cols-2 gap-3">
        <Field label="Picture with a ruler in it">
          {(field) => (
            <input
              {...field}
              type="file"
              accept="image/*"
              onChange={(event) => {
                const file = event.target.files?.[0];
                if (!file) return;
                setPicture(URL.createObjectURL(file));
                settle([], ruler);
              }}
            />
          )}
        </Field>
        <TextField label="Between the two taps on the ruler, mm" value={ruler} error={fault(ruler)} onType={(text) => settle(taps, text)} />
      </div>
      <p role="status" className="flex min-h-10 flex-wrap items-center gap-3">
        {picture ? (taps.length < 4 ? `Tap ${asked[taps.length]}.` : "Measured. Tap again to start over.") : "Choose a picture."}
        {taps.length > 0 && (
          <button type="button" className="key key-small" onClick={() => settle(taps.slice(0, -1), ruler)}>
            Undo the last tap
          </button>
        )}
      </p>
      {picture && (
        // biome-ignore lint/a11y/useKeyWithClickEvents: a point of a picture is pointed at; its numbers can be typed at the caliper's fields
        // biome-ignore lint/a11y/noStaticElementInteractions: see above
        <div className="relative w-fit cursor-crosshair self-start border border-ink" data-picture onClick={tap}>
          {/* biome-ignore lint/performance/noImgElement: a picture that stays in the browser */}
          <img
            src={picture}
            alt="What is measured"
            className="block max-w-full select-none"
            style={{ maxHeight: heightPx }}
            draggable={false}
          />
          <svg className="pointer-events-none absolute inset-0 h-full w-full" aria-hidden="true">
            {[taps.slice(0, 2), taps.slice(2, 4)].map((pair, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: the ruler's pair and the thing's
              <g key={i}>
                {pair.length === 2 && (
                  <line
                    x1={pair[0]!.x}
                    y1={pair[0]!.y}
                    x2={pair[1]!.x}
                    y2={pair[1]!.y}
                    stroke="var(--color-brass)"
                    strokeWidth={2}
                    strokeDasharray={i ? undefined : "6 4"}
                  />
                )}
                {pair.map((at) => (
                  <circle
                    key={`${at.x} ${at.y}`}
                    cx={at.x}
                    cy={at.y}
                    r={6}
                    fill="var(--color-sheet)"
                    stroke="var(--color-brass)"
                    strokeWidth={2}
                  />
                ))}
              </g>
            ))}
          </svg>
        </div>
      )}
      <p className="text-note">
        Ruler and part lie in one plane, the camera straight above: a ruler a tenth nearer reads a tenth too much. By proportion; errors of
        four taps added as squares.
      </p>
    </div>
  );
}
