import type { NextTest } from "@/core/diagnosis/diagnose";
import type { Knowledge } from "@/core/diagnosis/knowledge";
import { openings } from "@/core/diagnosis/look-table";
import type { ShownLook } from "@/ui/bench/find-sheet";

const most = 4;

/** The next looks in the bench's words, each with one line why. */
export function shownLooks(next: readonly NextTest[], { faults, findings }: Knowledge): ShownLook[] {
  const nameOf = new Map<string, string>(findings.map(({ id, name }) => [id, name]));
  const faultName = new Map(faults.map(({ id, name }) => [id, name.toLowerCase()]));
  return next.slice(0, most).map(({ look, minutes, parts }) => ({
    finding: look.finding,
    name: nameOf.get(look.finding) ?? look.finding,
    how: look.how,
    minutes: Math.round(minutes),
    opening: look.open === "nothing" ? "" : openings[look.open].name,
    why:
      parts.yes && parts.no
        ? `Parts ${faultName.get(parts.yes)} from ${faultName.get(parts.no)}.`
        : parts.yes
          ? `Speaks for or against ${faultName.get(parts.yes)}.`
          : "Narrows it down.",
  }));
}
