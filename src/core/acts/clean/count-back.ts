import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { bath } from "./inputs";

export const countBack = defineAct({
  name: "count-back",
  permission: "bench",
  input: bath.extend({ missing: z.array(z.string().max(60)).max(400) }),
  journals: ["soak-counted"],
  answer: answers<{ readonly words: string }>(),
});
