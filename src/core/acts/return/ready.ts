import { z } from "zod";
import { defineAct } from "@/core/acts/act";
import { jobId } from "@/core/acts/inputs";

export const ready = defineAct({
  name: "ready",
  permission: "bench",
  input: z.object({ jobId }),
  journals: ["station-reached"],
});
