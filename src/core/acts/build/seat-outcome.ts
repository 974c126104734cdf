import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { seat } from "@/core/acts/act/inputs";
import { feelIds } from "@/core/teardown/feel";
import { cleanOutcomeIds } from "@/core/vocabulary/clean-outcomes";

/** What came of an act at a seat: only what is named is told; null takes it back. */
export const seatOutcome = defineAct({
  name: "seat-outcome",
  permission: "bench",
  input: seat.extend({
    product: z.string().trim().min(1, "Say what was used.").max(60, "At most 60 letters.").nullable().optional(),
    /** A product that is doubted there is kept only on purpose. */
    onPurpose: z.boolean().default(false),
    clean: z.enum(cleanOutcomeIds).nullable().optional(),
    feel: z.enum(feelIds).nullable().optional(),
  }),
  journals: ["outcome-told"],
});
