import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

export const makeRepair = defineAct({
  name: "make-repair",
  permission: "bench",
  input: z.object({ jobId }),
  journals: ["made-a-repair"],
});
