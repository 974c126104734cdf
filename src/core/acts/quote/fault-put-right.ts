import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

export const faultPutRight = defineAct({
  name: "fault-put-right",
  permission: "bench",
  input: z.object({ jobId, faultId: z.string().max(80), putRight: z.boolean() }),
  journals: ["fault-put-right"],
});
