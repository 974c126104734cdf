import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";

/** Makes what the teardowns agree on the schematic. */
export const takeConsensus = defineAct({
  name: "take-consensus",
  permission: "bench",
  input: z.object({ modelId: z.string().max(60) }),
  journals: ["consensus-taken"],
  answer: answers<{ readonly seats: number }>(),
});
