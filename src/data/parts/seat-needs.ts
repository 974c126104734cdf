import type { Context } from "@/data/database/context";
import { writeJournal } from "@/data/database/journal";
import type { Job } from "@/data/jobs/jobs";
import { endNeedAsFitted, insertNeed, reviveNeedsEndedBy } from "./needs";
import { foresee, strikeForeseenBy } from "./quote-parts";

/** What a seat wants, in the quote and at Stores at once: wanted, met by the piece that was fitted, and wanted again when that came out. */

/** Why a part stands in the quote when nobody chose it: it was fitted, or a fault's remedy asks for it (the fault's id). */
const byFitting = "fitted";

/** Puts a part for a seat on the needs list, and into the quote. */
export function openNeed(ctx: Context, job: Pick<Job, "id" | "reel">, positionId: string, partTypeId: string): void {
  insertNeed(ctx, job.id, positionId, partTypeId);
  foresee(ctx, job.id, positionId, partTypeId);
  writeJournal(ctx, "need-added", { jobId: job.id, reelId: job.reel.id }, { position: positionId, part: partTypeId });
}

export interface FittedPiece {
  readonly instanceId: number;
  readonly partTypeId: string;
  /** Out of the bin, where the one that was put aside for this seat lies: any other piece frees that one, and one on order comes to stock. */
  readonly setAside: boolean;
}

/** A piece went into a seat: it stands in the quote, and the seat's need is met, or not needed any more. */
export function meetNeed(ctx: Context, job: Pick<Job, "id">, positionId: string, piece: FittedPiece): void {
  foresee(ctx, job.id, positionId, piece.partTypeId, byFitting);
  endNeedAsFitted(ctx.db, job.id, positionId, piece);
}

/** The piece came out again, and lies where it came from: what its need had is given back, and it leaves the quote if it alone brought itself in. */
export function unmeetNeed(ctx: Context, jobId: number, positionId: string, instanceId: number): void {
  reviveNeedsEndedBy(ctx, instanceId);
  strikeForeseenBy(ctx.db, jobId, positionId, byFitting);
}
