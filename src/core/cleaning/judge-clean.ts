import type { PartType } from "@/core/anatomy/types";
import type { CleanOutcome } from "@/core/vocabulary/clean-outcomes";

/** What runs, grips or seals on its surface: pits there do what they were feared for. */
const surfaceWorks: ReadonlySet<PartType["shape"]["kind"]> = new Set([
  "bearing",
  "gear",
  "pinion",
  "ratchet",
  "roller",
  "roller-clutch",
  "friction-washer",
  "keyed-washer",
  "sleeve",
  "lip-seal",
  "o-ring",
]);

/** What follows from how a part came out of its cleaning, in a sentence; null where it only looks old. Source: common practice. */
export function judgeClean({ shape }: { readonly shape: Pick<PartType["shape"], "kind"> }, outcome: CleanOutcome): string | null {
  if (outcome === "not-clean") return "Clean it again another way, or fit a new one: grit left in it keeps grinding.";
  if (outcome === "pitted" && surfaceWorks.has(shape.kind)) return "It runs on that surface: fit a new one, or tell the owner.";
  return null;
}
