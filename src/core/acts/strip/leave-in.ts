import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

/** Parts stay in by choice, a handful at once: no reason is asked for. Taken back they are expected off again. */
export const leaveIn = defineAct({
  name: "leave-in",
  permission: "bench",
  input: z.object({ jobId, positionIds: z.array(z.string().min(1).max(60)).min(1).max(200), stays: z.boolean() }),
  journals: ["left-in"],
});
