import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";
import { whoPaysIds } from "@/core/vocabulary/who-pays";

export const whoPays = defineAct({
  name: "who-pays",
  permission: "counter",
  input: z.object({ jobId, pays: z.enum(whoPaysIds) }),
  journals: ["who-pays"],
});
