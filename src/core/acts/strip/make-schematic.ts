import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

export const makeSchematic = defineAct({
  name: "make-schematic",
  permission: "bench",
  input: z.object({ jobId }),
  journals: ["schematic-made"],
  answer: answers<{ readonly modelId: string }>(),
});
