import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";
import { partKind } from "./inputs";

export const looseTake = defineAct({
  name: "loose-take",
  permission: "bench",
  input: z.object({
    jobId,
    /** The well the page showed it in. */
    well: z.number().int().positive().optional(),
    kind: partKind,
    pieceId: z.string().max(80).nullable().default(null),
    count: z.number().int().min(1).max(20).nullable().default(null),
    side: z.enum(["handle", "tail", "frame"]).nullable().default(null),
  }),
  journals: ["loose-part-off"],
});
