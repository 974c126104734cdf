"use client";
import { Drawn } from "./drawn";
import { grip, type Sized } from "./grip";

/** A toothed circle, seen along its shaft. */
function toothed(cx: number, cy: number, radius: number, teeth: number, meets?: number): string {
  const count = Math.max(4, Math.min(90, teeth));
  const depth = (radius * 2) / (count + 4);
  const at = (r: number, share: number) => {
    // A tooth stands where the other circle is met, in its gap.
    const angle = (2 * Math.PI * (meets === undefined ? share : share - 0.5)) / count + (meets ?? 0);
    return `${(cx + r * Math.cos(angle)).toFixed(3)} ${(cy + r * Math.sin(angle)).toFixed(3)}`;
  };
  return `M${Array.from({ length: count }, (_, i) => [at(radius - depth, i), at(radius - depth, i + 0.25), at(radius + depth, i + 0.37), at(radius + depth, i + 0.63), at(radius - depth, i + 0.75)].join(" L")).join(" L")} Z`;
}

/** Gear and pinion in mesh, as big as their ratio makes them. */
export function GearDrawing({
  ratio,
  gear,
  pinion,
  set,
  ...size
}: Sized & { ratio: number; gear: number; pinion: number; set?: (ratio: number) => void }) {
  const big = 20;
  const small = big / Math.max(0.2, Math.min(12, ratio));
  return (
    <Drawn
      name={`Gear and pinion, ${gear} and ${pinion} teeth`}
      box={[-big * 1.2, -big * 1.2, big * 2.4 + small * 2.8, big * 2.4]}
      {...size}
      grips={grip(
        set,
        "Turns of the spool",
        [big + small * 2, 0],
        "x",
        -ratio / (small * 2),
        ratio,
        [0.2, 12],
        "a turn of the handle",
        0.05,
      )}
    >
      <path d={toothed(0, 0, big, gear)} className="ln-outline fl-sheet" />
      <path d={toothed(big + small, 0, small, pinion, Math.PI)} className="ln-outline fl-sheet" />
      <circle cx={0} cy={0} r={big * 0.16} className="ln-outline fl-none" />
      <circle cx={big + small} cy={0} r={small * 0.3} className="ln-outline fl-none" />
      <line x1={-big * 1.1} x2={big + small * 2.3} y1={0} y2={0} className="ln-axis" />
    </Drawn>
  );
}
