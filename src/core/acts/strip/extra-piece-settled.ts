import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { jobId } from "@/core/acts/act/inputs";

export const extraPieceSettled = defineAct({
  name: "extra-piece-settled",
  permission: "bench",
  input: z.object({ jobId, id: z.number().int().positive(), state: z.enum(["off", "back", "left-out"]) }),
  journals: ["extra-piece-settled"],
});
