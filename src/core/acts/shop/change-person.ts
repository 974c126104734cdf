import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { seenSchema } from "@/core/seen/seen";
import { personName, roleInput } from "./inputs";

export const changePerson = defineAct({
  name: "change-person",
  permission: "shop",
  input: z.object({ id: z.number().int().positive(), name: personName, role: roleInput, seen: seenSchema }),
  journals: ["person-changed"],
});
