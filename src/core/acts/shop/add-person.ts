import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { personName } from "./inputs";

export const addPerson = defineAct({
  name: "add-person",
  permission: "shop",
  input: z.object({
    name: personName,
    role: z.enum(["owner", "bench", "counter"]),
  }),
  journals: ["person-added"],
  answer: answers<number>(),
});
