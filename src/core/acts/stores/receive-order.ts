import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";

export const receiveOrder = defineAct({
  name: "receive-order",
  permission: "stores",
  input: z.object({ orderId: z.number().int() }),
  journals: ["parts-received"],
  answer: answers<{ readonly keptAsideFor: readonly string[] }>(),
});
