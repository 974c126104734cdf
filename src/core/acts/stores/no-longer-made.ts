import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";

export const noLongerMade = defineAct({
  name: "no-longer-made",
  permission: "stores",
  input: z.object({ partTypeId: z.string().min(1).max(60), noLonger: z.boolean() }),
  journals: ["made-again", "no-longer-made"],
});
