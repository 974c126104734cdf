import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";

export const markPicture = defineAct({
  name: "mark-picture",
  permission: "bench",
  input: z.object({
    modelId: z.string().max(60),
    positionId: z.string().max(60),
    x: z.number().min(0).max(1),
    y: z.number().min(0).max(1),
  }),
  journals: ["model-picture-marked"],
});
