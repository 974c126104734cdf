import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { step } from "@/core/acts/act/inputs";

export const gateFailed = defineAct({
  name: "gate-failed",
  permission: "bench",
  input: step.extend({ note: z.string().max(300) }),
  journals: ["gate-failed"],
});
