import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";
import { seenSchema } from "@/core/seen/seen";

export const looseName = defineAct({
  name: "loose-name",
  permission: "bench",
  input: z.object({ jobId, well: z.number().int().positive(), name: z.string().trim().max(80, "At most 80 letters."), seen: seenSchema }),
  journals: ["loose-part-named"],
});
