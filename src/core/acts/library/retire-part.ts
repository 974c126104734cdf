import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";

export const retirePart = defineAct({
  name: "retire-part",
  permission: "stores",
  input: z.object({ id: z.string().max(60), retired: z.boolean() }),
  journals: ["part-retired", "part-used-again"],
});
