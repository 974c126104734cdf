import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";
import type { Position } from "@/core/anatomy/types";
import { seats } from "./inputs";

export const takeParts = defineAct({
  name: "take-parts",
  permission: "bench",
  input: z.object({
    jobId,
    positionIds: seats,
    absent: z.array(z.string().max(60)).max(60).default([]),
    /** Those of them that broke as they came off. */
    broke: z.array(z.string().max(60)).max(60).default([]),
    /** So many more lay there than the model has. A press from before this was a number says it in words. */
    more: z.preprocess(
      (said) => (typeof said === "string" ? Number.parseInt(said, 10) || 0 : said),
      z.number().int().min(0).max(20).default(0),
    ),
  }),
  journals: ["part-off"],
  answer: answers<{ readonly well: number }>(),
});

/** What is said of pieces beyond the drawing. @param name of the part, or of what hands take as one. */
export const moreThanDrawn = (pieces: number, name: string): string => `${pieces} extra ${name}`;

/** What stands at a part that was not there when its place was opened. */
export const notThere = { verdict: "missing", orientation: "", note: "not there when it was opened", foundCount: 0 } as const;

/** What stands at a part that broke in the hand as its place was opened: its owner is told. */
export const brokeOpening = { verdict: "replace", note: "broke as it was opened", forOwner: true } as const;

/** Where a part lies once it is off, and how its model's way round and hole say it sat. */
export interface FreshWell {
  readonly well: number;
  readonly place: number;
  readonly positionId: string;
  readonly orientation: string;
  readonly hole: string;
}

/**
 * The wells that parts go into by one act of the hands: the next number, in their order.
 * @param lying what lies in the tray, in the order it came off. @param seats of the model, by id.
 */
export function freshWells(
  lying: readonly { readonly well: number }[],
  positionIds: readonly string[],
  seats: ReadonlyMap<string, Pick<Position, "orientation" | "hole">>,
): FreshWell[] {
  const well = (lying.at(-1)?.well ?? 0) + 1;
  return positionIds.map((positionId, i) => {
    const seat = seats.get(positionId);
    return { well, place: i + 1, positionId, orientation: seat?.orientation ?? "", hole: seat?.hole ?? "" };
  });
}
