import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";

/** The reel that was just taken in hangs here already: its second job ends. */
export const takenInTwice = defineAct({
  name: "taken-in-twice",
  permission: "counter",
  input: z.object({ jobId: z.number().int().positive() }),
  journals: ["declined", "handed-back"],
  answer: answers<string>(),
});
