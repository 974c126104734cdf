import type { SeatFacts } from "@/core/interchange/seat-facts";
import { wantsNew } from "@/core/teardown/verdicts";

export const needWords = { open: "on the needs list", ordered: "ordered", arrived: "arrived, set aside for this reel" } as const;

/** What the seat's part is doing now, in a few words. */
export function seatWords(seat: SeatFacts): string {
  if (seat.refitted) return seat.renewed ? "new piece fitted" : "refitted";
  if (seat.renewed) return `new piece in well ${seat.well}`;
  if (seat.declined) return "declined: the old one goes back";
  if (seat.planned) return seat.inTray ? "its piece is here: fit it" : "its piece is here, the old one is still in the reel";
  if (seat.need) return needWords[seat.need];
  if (seat.verdict && wantsNew(seat.verdict)) return seat.verdict === "missing" ? "missing" : "to be replaced";
  if (seat.toRenew) return "to be replaced";
  return seat.inTray ? `in well ${seat.well}` : "in the reel";
}
