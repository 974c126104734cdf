import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { typedAmount } from "@/core/acts/act/typed";

export const settleBadPiece = defineAct({
  name: "settle-bad-piece",
  permission: "stores",
  input: z.discriminatedUnion("state", [
    z.object({ badPieceId: z.number().int(), state: z.literal("sent-back") }),
    z.object({ badPieceId: z.number().int(), state: z.literal("replaced") }),
    z.object({
      badPieceId: z.number().int(),
      state: z.literal("credited"),
      creditMinor: typedAmount("What was credited, such as 3.40, or 0."),
    }),
  ]),
  journals: ["bad-piece-settled"],
});
