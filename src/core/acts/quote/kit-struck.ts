import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

/** All of a kit leaves the quote by one press; as the customer's no, or without. */
export const kitStruck = defineAct({
  name: "kit-struck",
  permission: "bench",
  input: z.object({ jobId, kitId: z.string().min(1).max(60), declined: z.boolean() }),
  journals: ["part-struck", "part-declined"],
});
