import { type ComplaintId, complaints } from "@/core/vocabulary/counter-lists";
import type { FamilyId } from "@/core/vocabulary/families";

const noBail = ["no-rise", "bail-hangs", "drops-line"] as const satisfies readonly ComplaintId[];
const turning = [...noBail, "line-twists"] as const satisfies readonly ComplaintId[];
/** Its spool stands while line runs off it: nothing spins, and nothing is put in gear. */
const standing = ["short-spin", "whirrs", "no-gear"] as const satisfies readonly ComplaintId[];

/** What a reel of a family cannot be said to do. Source: common practice. */
const cannotBe: Readonly<Record<FamilyId, readonly ComplaintId[]>> = {
  "star-drag-bridge": turning,
  "star-drag-clutch": turning,
  "lever-drag": turning,
  "baitcaster-low-profile": turning,
  "baitcaster-round": turning,
  spinning: standing,
  "spinning-fluid-sealed": standing,
  "spinning-sealed-bail-less": standing,
  spincast: [...standing, "no-rise", "bail-hangs"],
  centrepin: [...noBail, "no-gear", "drag-jerky", "drag-weak", "slips-back"],
  fly: [...turning, "no-gear"],
};

/** The complaints that are asked for at the counter: those such a reel can have, and what was ticked before its family was known. */
export const complaintsOn = (family: FamilyId | null, ticked: readonly ComplaintId[]): Readonly<Record<string, string>> =>
  Object.fromEntries(
    Object.entries(complaints).filter(
      ([id]) => family === null || ticked.includes(id as ComplaintId) || !cannotBe[family].includes(id as ComplaintId),
    ),
  );
