import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";
import { asItIsReasonIds } from "@/core/vocabulary/as-it-is";
import { testIds } from "@/core/vocabulary/tests";

export const goesAsItIs = defineAct({
  name: "goes-as-it-is",
  permission: "bench",
  input: z.object({ jobId, testId: z.enum(testIds), reason: z.enum(asItIsReasonIds).nullable() }),
  journals: ["goes-as-it-is"],
});
