"use server";
import { z } from "zod";
import { defineAction } from "@/app/server/action";
import { jobId, seat } from "@/core/acts/inputs";
import { typedMaybeAmount } from "@/core/acts/typed";
import { pieceSourceIds } from "@/core/vocabulary/piece-sources";
import { askForPart, fitFromDonor, fitFromElsewhere, fitFromStock, takeBack } from "@/data/bench/fit-part";
import { overrideSeat } from "@/data/bench/own-part";
import { wantInstead, wantKit } from "@/data/parts/wanted";
import type { Press } from "@/ui/act/press";

const instead = defineAction({
  name: "want-instead",
  permission: "bench",
  input: seat.extend({ partTypeId: z.string().max(60) }),
  run: (ctx, input) => wantInstead(ctx, input.jobId, input.positionId, input.partTypeId),
});
export async function wantPartInstead(press: Press) {
  return instead(press);
}

const donorPiece = defineAction({
  name: "use-donor-piece",
  permission: "bench",
  input: seat.extend({ donorPieceId: z.number().int().positive() }),
  run: (ctx, input) => fitFromDonor(ctx, input.jobId, input.positionId, input.donorPieceId),
});
export async function useDonorPiece(press: Press) {
  return donorPiece(press);
}

const conversion = defineAction({
  name: "foresee-kit",
  permission: "bench",
  input: z.object({ jobId, kitId: z.string().max(60) }),
  run: (ctx, input) => wantKit(ctx, input.jobId, input.kitId),
});
export async function foreseeKit(press: Press) {
  return conversion(press);
}

const use = defineAction({
  name: "use",
  permission: "bench",
  input: seat,
  run: (ctx, input) => fitFromStock(ctx, input.jobId, input.positionId),
});
export async function usePartHere(press: Press) {
  return use(press);
}

const unuse = defineAction({
  name: "unuse",
  permission: "bench",
  input: seat,
  run: (ctx, input) => takeBack(ctx, input.jobId, input.positionId),
});
export async function undoUsePartHere(press: Press) {
  return unuse(press);
}

const need = defineAction({
  name: "need",
  permission: "bench",
  input: seat,
  run: (ctx, input) => askForPart(ctx, input.jobId, input.positionId),
});
export async function orderPart(press: Press) {
  return need(press);
}

const override = defineAction({
  name: "override-seat",
  permission: "bench",
  input: seat.extend({
    number: z.string().trim().max(40, "At most 40 characters."),
    name: z.string().trim().max(80, "At most 80 letters.").default(""),
    size: z.string().trim().max(40, "At most 40 characters.").default(""),
    material: z.string().trim().max(40, "At most 40 letters.").default(""),
  }),
  run: (ctx, { jobId, positionId, number, name, size, material }) => overrideSeat(ctx, jobId, positionId, number, { name, size, material }),
});
export async function overrideReelSeat(press: Press) {
  return override(press);
}

const elsewhere = defineAction({
  name: "use-piece",
  permission: "bench",
  input: seat.extend({
    source: z.enum(pieceSourceIds),
    size: z.string().trim().max(40, "At most 40 characters."),
    material: z.string().trim().max(40, "At most 40 letters."),
    closure: z.enum(["", "open", "shielded", "sealed"]),
    priceMinor: typedMaybeAmount("An amount such as 4.50, or empty when it costs nothing."),
    anyway: z.boolean(),
  }),
  run: (ctx, { jobId: id, positionId, priceMinor = 0, ...piece }) => fitFromElsewhere(ctx, id, positionId, { ...piece, priceMinor }),
});
export async function usePieceFromElsewhere(press: Press) {
  return elsewhere(press);
}
