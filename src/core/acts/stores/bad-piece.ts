import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { orderLineId, piecesCame } from "./inputs";

export const badPiece = defineAct({
  name: "bad-piece",
  permission: "stores",
  input: z.object({
    orderLineId,
    kind: z.enum(["wrong", "broken"]),
    pieces: piecesCame,
    words: z.string().trim().max(200, "At most 200 characters."),
  }),
  journals: ["bad-piece"],
  answer: answers<number>(),
});
