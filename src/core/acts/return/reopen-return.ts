import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

export const reopenReturn = defineAct({
  name: "reopen-return",
  permission: "counter",
  input: z.object({ jobId }),
  journals: ["return-reopened"],
});
