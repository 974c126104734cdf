import { type ConditionId, conditionMarks } from "@/core/vocabulary/counter-lists";
import { type ZoneId, zoneWords } from "./outlines";

export interface PlacedMark {
  readonly mark: ConditionId;
  readonly zone: ZoneId;
}

/** The marks of a reel in words. @example "pitting: foot, spool; green corrosion: head plate" */
export const markWords = (marks: readonly PlacedMark[]): string =>
  [...new Set(marks.map(({ mark }) => mark))]
    .map((mark) => {
      const zones = marks.filter((placed) => placed.mark === mark).map(({ zone }) => zoneWords[zone]);
      return `${conditionMarks[mark]}: ${zones.join(", ")}`;
    })
    .join("; ");

/** How a reel came, in one line: marks with their places, marks without one, and the counter's own words. */
export function asFoundWords(intake: {
  readonly marks?: readonly PlacedMark[];
  readonly conditions: readonly ConditionId[];
  readonly conditionNote: string;
  readonly brakes?: string;
}): string {
  const marks = intake.marks ?? [];
  const placed = new Set(marks.map(({ mark }) => mark));
  const others = intake.conditions.filter((id) => !placed.has(id)).map((id) => conditionMarks[id]);
  return [markWords(marks), ...others, intake.conditionNote, intake.brakes && `brakes as found: ${intake.brakes}`]
    .filter(Boolean)
    .join("; ");
}
