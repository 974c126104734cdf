"use client";
import type { KeyboardEvent } from "react";
import type { PlacedMark } from "@/core/intake/marks";
import { type OutlineZone, outlineSize, type ZoneId, zoneWords } from "@/core/intake/outlines";
import { type ConditionId, conditionMarks } from "@/core/vocabulary/counter-lists";
import { useRoving } from "@/ui/controls/use-roving";

interface Props {
  readonly zones: readonly OutlineZone[];
  readonly marks: readonly PlacedMark[];
  /** What a tap puts down; null while nothing was ticked. */
  readonly inHand: ConditionId | null;
  /** Left out where the outline is only shown. */
  readonly onTap?: (zone: ZoneId) => void;
}

/** The reel's outline, seen as it lies on the counter: tap where what was ticked last sits, tap again to take it away. */
export function ConditionOutline({ zones, marks, inHand, onTap }: Props) {
  const stop = useRoving<SVGPathElement>(zones.length);
  const letter = (zone: ZoneId) =>
    marks
      .filter((placed) => placed.zone === zone)
      .map(({ mark }) => conditionMarks[mark].charAt(0).toUpperCase())
      .join("");
  return (
    <svg
      viewBox={`0 0 ${outlineSize.width} ${outlineSize.height}`}
      role="group"
      aria-label="Outline of the reel"
      className="max-w-80 border border-ink bg-sheet"
    >
      {zones.map(({ id, path, at }, i) => {
        const here = letter(id);
        const words = `${zoneWords[id]}${marks
          .filter(({ zone }) => zone === id)
          .map(({ mark }) => `, ${conditionMarks[mark]}`)
          .join("")}`;
        const { onKeyDown, ...roving } = stop(i);
        const tap = onTap
          ? {
              role: "button",
              "aria-label": words,
              "aria-pressed": Boolean(inHand && marks.some((placed) => placed.zone === id && placed.mark === inHand)),
              onClick: () => onTap(id),
              onKeyDown: (event: KeyboardEvent) => {
                if (event.key !== " " && event.key !== "Enter") return onKeyDown(event);
                event.preventDefault();
                onTap(id);
              },
              ...roving,
            }
          : {};
        return (
          <g key={id}>
            <path
              {...tap}
              d={path}
              className={`stroke-ink ${onTap ? "cursor-pointer focus-visible:outline-none focus-visible:stroke-[4]" : ""} ${here ? "fill-brass/20" : "fill-sheet"}`}
              strokeWidth={here ? 2.5 : 1.4}
              fillRule="evenodd"
            >
              <title>{words}</title>
            </path>
            {here && (
              <text
                x={at[0]}
                y={at[1] + 5}
                textAnchor="middle"
                className="pointer-events-none fill-ink font-semibold"
                style={{ fontSize: 14, paintOrder: "stroke", stroke: "var(--color-sheet)", strokeWidth: 4 }}
              >
                {here}
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
}
