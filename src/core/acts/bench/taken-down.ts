import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

export const takenDown = defineAct({
  name: "taken-down",
  permission: "bench",
  input: z.object({ jobId }),
  journals: ["taken-down"],
});
