import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

export const chooseEdition = defineAct({
  name: "choose-edition",
  permission: "bench",
  input: z.object({ jobId, editionId: z.string().max(60).nullable() }),
  journals: ["edition-chosen"],
});
