import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";

export const endSession = defineAct({
  name: "end-session",
  permission: "counter",
  input: z.object({ id: z.number().int().positive() }),
  journals: ["session-ended"],
});
