import { z } from "zod";
import { defineAct } from "@/core/acts/act";
import { jobId } from "@/core/acts/inputs";

export const look = defineAct({
  name: "look",
  permission: "bench",
  input: z.object({ jobId, findingId: z.string().max(60), so: z.boolean().nullable() }),
  journals: ["looked-at"],
});
