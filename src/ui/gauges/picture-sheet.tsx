"use client";
import { type MouseEvent, useEffect, useState } from "react";
import { lengthInPicture, type Tap } from "@/core/measures/measures";
import type { Action } from "@/ui/act/press";
import { Field } from "@/ui/controls/field";
import { TextField } from "@/ui/controls/text-field";
import { GaugeFrame, type GaugeJob } from "./gauge-frame";
import { shown, typedMm } from "./typed";

const asked = ["one end of a stretch of the ruler", "its other end", "one end of what is measured", "its other end"] as const;

/** A length in a picture with a ruler in it: two taps on the ruler, two on the thing. The picture stays in the browser. */
export function PictureSheet({ job, keep }: { job: GaugeJob | null; keep: Action<void> }) {
  const [picture, setPicture] = useState<string | null>(null);
  const [taps, setTaps] = useState<readonly Tap[]>([]);
  const [what, setWhat] = useState("");
  const [ruler, setRuler] = useState("10");
  useEffect(
    () => () => {
      if (picture) URL.revokeObjectURL(picture);
    },
    [picture],
  );
  const rulerMm = typedMm(ruler);
  const rulerFault = rulerMm > 0 && rulerMm <= 1000 ? undefined : "Between the two taps on the ruler: above 0 mm, at most 1000.";
  const apart = (a: Tap | undefined, b: Tap | undefined) => a && b && Math.hypot(a.x - b.x, a.y - b.y) > 0;
  const measured =
    taps.length === 4 && !rulerFault && apart(taps[0], taps[1]) && apart(taps[2], taps[3])
      ? lengthInPicture([taps[0]!, taps[1]!], rulerMm, [taps[2]!, taps[3]!])
      : null;
  const tap = (event: MouseEvent<HTMLElement>) => {
    const { left, top } = event.currentTarget.getBoundingClientRect();
    const at = { x: event.clientX - left, y: event.clientY - top };
    setTaps(taps.length === 4 ? [at] : [...taps, at]);
  };
  const words = measured
    ? `${what.trim() || "In a picture"}: ${shown(measured.mm, 3)} ± ${shown(measured.offMm, 2)} mm, by a ruler in it.`
    : "";
  return (
    <GaugeFrame
      gauge="picture"
      job={job}
      keep={keep}
      result={
        measured && {
          words,
          csv: `${what};${measured.mm.toFixed(3)};${measured.offMm.toFixed(3)}`,
          input: { what, ruler, taps: [...taps] },
        }
      }
    >
      <div className="grid gap-6 lg:grid-cols-[minmax(0,360px)_minmax(0,1fr)]">
        <div className="flex flex-col gap-3">
          <h1>A length in a picture</h1>
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
                  setTaps([]);
                }}
              />
            )}
          </Field>
          <TextField label="What is measured" value={what} onType={setWhat} />
          <TextField label="Between the two taps on the ruler, mm" value={ruler} error={rulerFault} onType={setRuler} />
          {measured ? (
            <p className="num text-measure" role="status">
              {shown(measured.mm, 3)} mm
            </p>
          ) : (
            <p role="status">{picture ? `Tap ${asked[taps.length] ?? "again"}.` : "Choose a picture."}</p>
          )}
          {measured && (
            <p>
              ± <span className="num">{shown(measured.offMm, 2)}</span> mm, by how well a tap hits. Nearer with the camera is surer.
            </p>
          )}
          {taps.length > 0 && (
            <button type="button" className="key key-small" onClick={() => setTaps(taps.slice(0, -1))}>
              Take the last tap back
            </button>
          )}
          <p className="text-note">
            Ruler and part lie in one plane, the camera straight above: a ruler a tenth nearer reads a tenth too much. By proportion; errors
            of four taps added as squares.
          </p>
        </div>
        {picture && (
          // biome-ignore lint/a11y/useKeyWithClickEvents: a point of a picture is pointed at; its numbers can be typed at the caliper's fields
          // biome-ignore lint/a11y/noStaticElementInteractions: see above
          <div className="relative w-fit cursor-crosshair self-start border border-ink" data-picture onClick={tap}>
            {/* biome-ignore lint/performance/noImgElement: a picture that stays in the browser */}
            <img src={picture} alt="What is measured" className="block max-h-[560px] max-w-full select-none" draggable={false} />
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
      </div>
    </GaugeFrame>
  );
}
