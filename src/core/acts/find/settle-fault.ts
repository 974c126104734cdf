import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

export const settleFault = defineAct({
  name: "settle-fault",
  permission: "bench",
  input: z.object({ jobId, faultId: z.string().max(60), proved: z.boolean().nullable() }),
  journals: ["fault-settled"],
});
