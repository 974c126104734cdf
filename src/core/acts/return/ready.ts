import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

export const ready = defineAct({
  name: "ready",
  permission: "bench",
  input: z.object({ jobId }),
  journals: ["station-reached"],
});
