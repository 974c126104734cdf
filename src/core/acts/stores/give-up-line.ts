import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { orderLineId } from "./inputs";

export const giveUpLine = defineAct({
  name: "give-up-line",
  permission: "stores",
  input: z.object({ orderLineId }),
  journals: ["line-given-up"],
  answer: answers<{ readonly again: readonly string[] }>(),
});
