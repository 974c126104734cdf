import { z } from "zod";
import { oldPartsWays, paidWays } from "@/core/hand-back/hand-back";

/** Who took it, how it was paid and what became of the old parts; the same for one reel and for a lot. */
export const handBackSchema = z.object({
  signedBy: z.string().trim().min(2, "Who collected it? Enter a name.").max(80, "At most 80 characters."),
  paidBy: z.enum(paidWays, "How was it paid? Choose one, or nothing to pay.").nullable(),
  paidNote: z.string().trim().max(200, "At most 200 characters."),
  oldParts: z.enum(oldPartsWays).nullable(),
});
