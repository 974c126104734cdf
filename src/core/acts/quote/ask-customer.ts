import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";
import { linkToken } from "./inputs";

export const askCustomer = defineAct({
  name: "ask-customer",
  permission: "counter",
  input: z.object({ jobId, token: linkToken }),
  journals: ["quote-asked"],
  answer: answers<{ readonly id: number }>(),
});
