import type { Knowledge } from "./knowledge";
import { openings } from "./look-table";
import type { NextTest } from "./next-looks";

/** A look that is offered next, in the bench's words. */
export interface LookLine {
  readonly finding: string;
  readonly name: string;
  readonly how: string;
  readonly minutes: number;
  readonly opening: string;
  /** One line: what it tells from what. */
  readonly why: string;
}

const most = 4;

/** The next looks, the most telling first, each with one line why. */
export function lookLines(next: readonly NextTest[], { faults, findings }: Knowledge): LookLine[] {
  const nameOf = new Map<string, string>(findings.map(({ id, name }) => [id, name]));
  const faultName = new Map(faults.map(({ id, name }) => [id, name.toLowerCase()]));
  return next.slice(0, most).map(({ look, minutes, parts }) => ({
    finding: look.finding,
    name: nameOf.get(look.finding) ?? look.finding,
    how: look.how,
    minutes: Math.round(minutes),
    opening: look.open === "nothing" ? "" : (look.openName ?? openings[look.open].name),
    why:
      parts.yes && parts.no
        ? `Tells ${faultName.get(parts.yes)} from ${faultName.get(parts.no)}.`
        : parts.yes
          ? `Evidence for or against ${faultName.get(parts.yes)}.`
          : "Narrows it down.",
  }));
}
