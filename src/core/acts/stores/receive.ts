import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { orderLineId, piecesCame } from "./inputs";

export const receive = defineAct({
  name: "receive",
  permission: "stores",
  input: z.object({ orderLineId, quantity: piecesCame, more: z.boolean() }),
  journals: ["parts-received"],
  answer: answers<{ readonly keptAsideFor: readonly string[] }>(),
});
