import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";

export const changeOwner = defineAct({
  name: "change-owner",
  permission: "counter",
  input: z.object({ reelId: z.number().int().positive(), ownerId: z.number().int().positive() }),
  journals: ["reel-changed-owner"],
});
