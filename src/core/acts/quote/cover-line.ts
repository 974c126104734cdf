import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

export const coverLine = defineAct({
  name: "cover-line",
  permission: "counter",
  input: z.object({ jobId, kind: z.enum(["fault", "part"]), ref: z.string().min(1).max(80), ours: z.boolean() }),
  journals: ["cover-said"],
});
