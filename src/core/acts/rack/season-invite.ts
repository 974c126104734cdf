import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";

/** Makes the letters that ask owners in before the season. */
export const seasonInvite = defineAct({
  name: "season-invite",
  permission: "counter",
  input: z.object({ ownerIds: z.array(z.number().int().positive()).min(1, "Tick at least one customer.").max(500) }),
  journals: ["season-invited"],
  answer: answers<{ readonly batch: string }>(),
});
