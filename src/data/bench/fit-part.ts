import { typedSize } from "@/core/anatomy/typed-size";
import { asKind, type SeatKind } from "@/core/interchange/bush-or-bearing";
import { freeInBin } from "@/core/ordering/free-in-bin";
import { mayGoOn } from "@/core/quote/consent";
import type { PieceSource } from "@/core/vocabulary/piece-sources";
import { findPartCard, findPartType } from "@/data/catalogue/part-types";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { advanceStation, getOpenJob, type Job } from "@/data/jobs/jobs";
import { needOf } from "@/data/parts/needs";
import { wantedPart } from "@/data/parts/quote-parts";
import { openNeed } from "@/data/parts/seat-needs";
import { findStock } from "@/data/parts/stock";
import { listOffers } from "@/data/parts/suppliers";
import { getQuote, withConsent } from "@/data/quote/quotes";
import * as fitting from "./fitting";

/** What the bench does to get a piece into a seat. Each asks consent once its change is in: a part above the limit is neither ordered nor fitted. */

/** Takes a new piece from stock for a seat of this reel. */
export const fitFromStock = (ctx: Context, jobId: number, positionId: string): void =>
  withConsent(ctx, jobId, positionId, (job) => fitting.fitFromStock(ctx, job, positionId));

/** Takes a piece off a donor's drawer for a seat of this reel. */
export const fitFromDonor = (ctx: Context, jobId: number, positionId: string, donorPieceId: number): void =>
  withConsent(ctx, jobId, positionId, (job) => fitting.fitFromDonor(ctx, job, positionId, donorPieceId), donorPlan(ctx.db, donorPieceId));

const donorPlan = (db: Db, donorPieceId: number) => {
  const priceMinor = db.prepare("SELECT price_minor FROM donor_piece WHERE id = ?").pluck().get(donorPieceId) as number | undefined;
  return priceMinor === undefined ? undefined : ({ source: "donor", priceMinor } as const);
};

/** A piece from anywhere as it was typed; empty is the seat's own. */
export interface TypedPiece {
  readonly source: PieceSource;
  readonly kind?: "" | SeatKind;
  readonly size: string;
  readonly material: string;
  readonly closure: "" | "open" | "shielded" | "sealed";
  /** Of one. */
  readonly priceMinor: number;
  readonly anyway: boolean;
}

/**
 * Takes a piece from anywhere else for one seat or several: into the well of a part that is off, planned for one that is still in the reel.
 * @throws Refusal at its field when the size cannot be read or does not go with a seat and nobody said that it goes in anyway; then none is taken.
 */
export function fitFromElsewhere(
  ctx: Context,
  jobId: number,
  positionIds: readonly string[],
  piece: TypedPiece,
): { fitted: number; planned: number } {
  const off = fitting.seatsOff(ctx.db, jobId);
  const each = new Set(positionIds);
  ctx.db.transaction(() => {
    for (const positionId of each)
      withConsent(
        ctx,
        jobId,
        positionId,
        (job) => {
          const own = pieceFor(ctx.db, job, positionId, piece);
          if (off.has(positionId)) fitting.fitFromElsewhere(ctx, job, positionId, own);
          else fitting.planFromElsewhere(ctx, job, positionId, own);
        },
        { source: piece.source, priceMinor: priceOf(piece) },
      );
  })();
  const fitted = [...each].filter((id) => off.has(id)).length;
  return { fitted, planned: each.size - fitted };
}

/** The typed piece as it goes into one seat. */
function pieceFor(db: Db, job: Job, positionId: string, piece: TypedPiece): fitting.PieceFromElsewhere {
  const { name, partTypeId } = wantedPart(db, job, positionId);
  const own = findPartType(db, partTypeId)!;
  const seat = piece.kind ? asKind(own, piece.kind) : own;
  if (!seat) throw new Refusal("kind", `${name} is neither a bush nor a bearing.`, "kind");
  const size = typedSize(piece.size, seat.shape);
  if (!size.ok) throw new Refusal("size", size.message, "size");
  const { shape, said, unlike } = size.value;
  if (unlike && !piece.anyway)
    throw new Refusal("unlike", `${name}: ${unlike} Measure again, leave that seat out, or tick "Fit anyway".`, "size");
  return {
    source: piece.source,
    shape: shape.kind === "bearing" && piece.closure ? { ...shape, closure: piece.closure } : shape,
    said,
    ...(seat === own ? {} : { called: seat.name, role: seat.role }),
    material: piece.material || seat.material,
    priceMinor: priceOf(piece),
  };
}

/** The new pieces of several seats in one go: the planned ones, else out of the bins; all of them or none. */
export function fitSeveral(ctx: Context, jobId: number, positionIds: readonly string[]): { pieces: number } {
  ctx.db.transaction(() => {
    for (const positionId of positionIds) withConsent(ctx, jobId, positionId, (job) => fitting.fitWanted(ctx, job, positionId));
  })();
  return { pieces: positionIds.length };
}

/** The customer's own piece costs nothing. */
const priceOf = ({ source, priceMinor }: { readonly source: PieceSource; readonly priceMinor: number }): number =>
  source === "customer" ? 0 : priceMinor;

/** The undo of any. */
export const takeBack = (ctx: Context, jobId: number, positionId: string): void =>
  fitting.takeBack(ctx, getOpenJob(ctx.db, jobId), positionId);

/** A seat of this job wants a new piece that is not in the bin. @throws Refusal when it is wanted already, or nobody sells it. */
export function askForPart(ctx: Context, jobId: number, positionId: string): void {
  const { db } = ctx;
  withConsent(ctx, jobId, positionId, (job) => {
    const { name, partTypeId } = wantedPart(db, job, positionId);
    const need = needOf(db, jobId, positionId);
    if (need) throw new Refusal("needed", `It is ${need.state === "open" ? "on the needs list" : need.state} for this seat already.`);
    if (findPartCard(db, partTypeId)?.retired)
      throw new Refusal("retired", `${name} is no longer ordered. Choose its replacement, or put the number back into use.`, null, {
        to: "part",
        partTypeId,
        at: "facts",
      });
    if (!listOffers(db, partTypeId).length)
      throw new Refusal("no-offer", `No supplier sells ${name}. Add an offer to the part, or look for a donor.`, null, {
        to: "part",
        partTypeId,
        at: "offers",
      });
    openNeed(ctx, job, positionId, partTypeId);
    advanceStation(ctx, job, "parts");
  });
}

/** All of it by one press, or nothing. */
export function askForParts(ctx: Context, jobId: number, positionIds: readonly string[]): void {
  ctx.db.transaction(() => {
    for (const positionId of positionIds) askForPart(ctx, jobId, positionId);
  })();
}

/** What a verdict at the tray does at Stores: a need where the bin is empty and nothing is against it. @returns what became of it, in words. */
export function wantForVerdict(ctx: Context, job: Job, positionId: string): string {
  const { db } = ctx;
  if (job.kind === "purchase-check") return "Counted in what putting it right would cost.";
  const { partTypeId } = wantedPart(db, job, positionId);
  const { consent } = getQuote(db, job);
  if (!mayGoOn(consent)) return "Added to the quote; the total is above the limit: ask at Quote.";
  if (needOf(db, job.id, positionId)) return "Already on the needs list.";
  const line = findStock(db, partTypeId);
  const free = freeInBin(line);
  if (line && free > 0) return `Added to the quote; ${free} in bin ${line.bin}: fit it at Parts.`;
  if (!listOffers(db, partTypeId).length) return "Added to the quote; no supplier sells it: look for a donor or a substitute at Parts.";
  openNeed(ctx, job, positionId, partTypeId);
  return "Added to the quote and to the needs at Stores.";
}
