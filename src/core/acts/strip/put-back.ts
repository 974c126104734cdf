import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";
import { seats } from "./inputs";

export const putBack = defineAct({
  name: "put-back",
  permission: "bench",
  input: z.object({ jobId, positionIds: seats.optional() }),
  journals: ["part-off-undone"],
  answer: answers<{ readonly positionIds: readonly string[] }>(),
});

/** What lies in the last well: what an undo puts back. Only the last, because the order in the tray is the way back. */
export const lastWell = <W extends { readonly well: number }>(wells: readonly W[]): W[] =>
  wells.filter(({ well }) => well === wells.at(-1)?.well);
