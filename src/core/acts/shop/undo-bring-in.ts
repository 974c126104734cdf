import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";

export const undoBringIn = defineAct({
  name: "undo-bring-in",
  permission: "shop",
  input: z.object({ id: z.number().int().positive() }),
  journals: ["brought-in-undone"],
});
