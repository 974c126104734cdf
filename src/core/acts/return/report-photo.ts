import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

export const reportPhoto = defineAct({
  name: "report-photo",
  permission: "bench",
  input: z.object({ jobId, hash: z.string().regex(/^[0-9a-f]{64}$/, "There is no such picture. Reload the page."), on: z.boolean() }),
  journals: ["report-photo"],
});
