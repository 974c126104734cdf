import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { seenSchema } from "@/core/seen/seen";

export const nameModel = defineAct({
  name: "name-model",
  permission: "bench",
  input: z.object({
    modelId: z.string().max(60),
    maker: z.string().trim().min(1, "Enter the maker, or what is written on the reel.").max(60, "At most 60 characters."),
    name: z.string().trim().min(1, "Enter the model's name.").max(80, "At most 80 characters."),
    seen: seenSchema,
  }),
  journals: ["model-named"],
});
