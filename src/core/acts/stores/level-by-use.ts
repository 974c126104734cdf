import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";

export const levelByUse = defineAct({
  name: "level-by-use",
  permission: "stores",
  input: z.object({ partTypeId: z.string().max(60), byUse: z.boolean() }),
  journals: ["bin-level-set"],
});
