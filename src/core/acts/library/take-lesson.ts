import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { lessonKinds } from "@/core/anatomy/consensus";

/** Says at a seat what jobs taught of it. */
export const takeLesson = defineAct({
  name: "take-lesson",
  permission: "bench",
  input: z.object({
    modelId: z.string().max(60),
    baseNumber: z.number().int().positive(),
    seatId: z.string().max(80),
    kind: z.enum(lessonKinds),
  }),
  journals: ["model-version-added"],
});
