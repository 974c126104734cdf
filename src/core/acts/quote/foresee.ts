import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { seat } from "@/core/acts/act/inputs";
import { pieceSourceIds } from "@/core/vocabulary/piece-sources";

export const foresee = defineAct({
  name: "foresee",
  permission: "bench",
  input: seat.extend({
    wanted: z.boolean(),
    piece: z
      .object({ source: z.enum(["donor", ...pieceSourceIds]), priceMinor: z.number().int().min(0).max(100_000_000) })
      .nullable()
      .default(null),
  }),
  journals: ["part-foreseen", "part-struck"],
});
