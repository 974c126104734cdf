import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

export const looseInPlace = defineAct({
  name: "loose-in-place",
  permission: "bench",
  input: z.object({ jobId, well: z.number().int().positive(), reason: z.string().trim().max(160, "At most 160 letters.").nullable() }),
  journals: ["loose-in-place"],
});
