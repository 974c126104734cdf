import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";

export const retirePerson = defineAct({
  name: "retire-person",
  permission: "shop",
  input: z.object({ id: z.number().int().positive(), retired: z.boolean() }),
  journals: ["person-back", "person-left"],
});
