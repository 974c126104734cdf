import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { seat } from "@/core/acts/act/inputs";

export const useDonorPiece = defineAct({
  name: "use-donor-piece",
  permission: "bench",
  input: seat.extend({ donorPieceId: z.number().int().positive() }),
  journals: ["donor-piece-used"],
});
