import { z } from "zod";
import { answers, defineAct } from "@/core/acts/act/act";
import { seat } from "@/core/acts/act/inputs";
import { typedMaybeAmount } from "@/core/acts/act/typed";
import { pieceSourceIds } from "@/core/vocabulary/piece-sources";

export const usePiece = defineAct({
  name: "use-piece",
  permission: "bench",
  input: seat.extend({
    /** Other seats that get one like it. */
    also: z.array(z.string().min(1).max(60)).max(60).default([]),
    source: z.enum(pieceSourceIds),
    /** A ball bearing in a bush's seat, or a bush in a bearing's; empty as the seat's own. */
    kind: z.enum(["", "bearing", "bush"]).default(""),
    size: z.string().trim().max(40, "At most 40 characters."),
    material: z.string().trim().max(40, "At most 40 letters."),
    closure: z.enum(["", "open", "shielded", "sealed"]),
    priceMinor: typedMaybeAmount("An amount such as 4.50, or empty when it costs nothing."),
    anyway: z.boolean(),
  }),
  journals: ["piece-used", "part-foreseen"],
  answer: answers<{ readonly fitted: number; readonly planned: number }>(),
});
