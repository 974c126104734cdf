import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

export const openAssembly = defineAct({
  name: "open-assembly",
  permission: "bench",
  input: z.object({ jobId, assemblyId: z.string().min(1).max(60), opened: z.boolean().nullable() }),
  journals: ["assembly-opened"],
});
