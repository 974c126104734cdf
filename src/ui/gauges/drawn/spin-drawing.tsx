"use client";
import { Drawn } from "./drawn";
import { grip, type Sized } from "./grip";

/** A spool seen along its shaft, with the marks a pickup counts. */
export function SpinDrawing({ marks, lineMm, set, ...size }: Sized & { marks: number; lineMm: number; set?: (marks: number) => void }) {
  const radius = Math.max(4, lineMm / 2 || 20);
  const shownMarks = Math.max(1, Math.min(24, Math.round(marks)));
  return (
    <Drawn
      name={`The spool with ${shownMarks} mark${shownMarks === 1 ? "" : "s"}`}
      box={[-radius * 1.6, -radius * 1.5, radius * 3.2, radius * 3]}
      {...size}
      grips={grip(set, "Marks on the spool", [radius * 1.25, 0], "y", -4 / radius, shownMarks, [1, 24], "a turn", 1)}
    >
      <circle cx={0} cy={0} r={radius * 1.15} className="ln-outline fl-sheet" />
      <circle cx={0} cy={0} r={radius} className="ln-leader fl-none" />
      <circle cx={0} cy={0} r={radius * 0.2} className="ln-outline fl-none" />
      {Array.from({ length: shownMarks }, (_, i) => {
        const angle = (2 * Math.PI * i) / shownMarks - Math.PI / 2;
        const [c, s] = [Math.cos(angle), Math.sin(angle)];
        return (
          <line
            // biome-ignore lint/suspicious/noArrayIndexKey: marks never change order
            key={i}
            x1={radius * 1.02 * c}
            y1={radius * 1.02 * s}
            x2={radius * 1.14 * c}
            y2={radius * 1.14 * s}
            stroke="currentColor"
            strokeWidth={radius * 0.09}
          />
        );
      })}
      <path
        d={`M${-radius * 0.5} ${-radius * 0.6} A${radius * 0.8} ${radius * 0.8} 0 0 1 ${radius * 0.5} ${-radius * 0.6}`}
        className="ln-leader fl-none"
      />
      <path
        d={`M${radius * 0.5} ${-radius * 0.6} l${-radius * 0.16} ${-radius * 0.02} M${radius * 0.5} ${-radius * 0.6} l${-radius * 0.04} ${-radius * 0.16}`}
        className="ln-leader fl-none"
      />
    </Drawn>
  );
}
