import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

export const look = defineAct({
  name: "look",
  permission: "bench",
  input: z.object({ jobId, findingId: z.string().max(60), so: z.boolean().nullable() }),
  journals: ["looked-at"],
});
