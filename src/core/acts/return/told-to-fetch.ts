import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

export const toldToFetch = defineAct({
  name: "told-to-fetch",
  permission: "counter",
  input: z.object({ jobId }),
  journals: ["told-to-fetch"],
});
