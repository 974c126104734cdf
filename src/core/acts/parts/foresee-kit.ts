import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

export const foreseeKit = defineAct({
  name: "foresee-kit",
  permission: "bench",
  input: z.object({ jobId, kitId: z.string().max(60) }),
  journals: ["kit-foreseen"],
  answer: answers<{ readonly parts: number }>(),
});
