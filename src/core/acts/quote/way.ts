import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";
import { wayIds } from "@/core/ways/ways";

export const way = defineAct({
  name: "way",
  permission: "bench",
  input: z.object({
    jobId,
    scope: z.enum(["job", "customer"]),
    way: z.enum(wayIds),
    choice: z.string().max(40).nullable(),
    seen: z.string().max(40).nullable().optional(),
  }),
  journals: ["way-chosen"],
});
