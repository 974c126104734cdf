import { growAnatomy, mayGrow } from "@/core/anatomy/grow-anatomy";
import { guessAnatomy } from "@/core/anatomy/guess-anatomy";
import { kindWords, type PartKind } from "@/core/anatomy/shapes";
import { type ExpectedPiece, expectedPieces } from "@/core/families/expected-pieces";
import { type LooseTake, type LooseWell, looseBack, looseTaken, seatsLeft } from "@/core/families/loose-tray";
import type { FamilyTemplate } from "@/core/families/template";
import { seenValue } from "@/core/seen/seen";
import { pieceInSeat } from "@/data/bench/fitting";
import { familyOf } from "@/data/catalogue/built";
import { getModelVersion, type Model } from "@/data/catalogue/models";
import { addPartType } from "@/data/catalogue/part-types";
import { addModel, addModelVersion, markModelVersionUsed } from "@/data/catalogue/write-model";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { refuseUnseen } from "@/data/database/unseen";
import { giveJobModelVersion } from "@/data/jobs/job-row";
import { advanceStation, getOpenJob } from "@/data/jobs/jobs";
import { pinPrices } from "@/data/parts/job-prices";
import { requireOpening } from "@/data/quote/quotes";
import { serveInPlace } from "./tray";

export interface LoosePartRow extends LooseWell {
  readonly name: string;
  readonly photoHash: string | null;
  /** It stayed in and was served where it sits: why. */
  readonly inPlace: string | null;
  /** It has its seat in the schematic by now. */
  readonly seated: boolean;
}

/** What came off a reel without a schematic, in its order. */
export const listLooseParts = (db: Db, jobId: number): LoosePartRow[] =>
  (
    db
      .prepare(
        "SELECT well, kind, name, photo_hash AS photoHash, seat, side, act, in_place AS inPlace, seated FROM loose_part WHERE job_id = ? ORDER BY well",
      )
      .all(jobId) as (Omit<LoosePartRow, "seated"> & { seated: 0 | 1 })[]
  ).map((row) => ({ ...row, seated: row.seated === 1 }));

/** Those that no schematic knows yet. */
export const listUnseated = (db: Db, jobId: number): LoosePartRow[] => listLooseParts(db, jobId).filter(({ seated }) => !seated);

/** A model nobody has a schematic of: in the library with no seats yet, so that its reel can be taken in. */
export function addUnknownModel(ctx: Context, model: Omit<Model, "id">): string {
  const same = ctx.db.prepare("SELECT id FROM model WHERE maker = ? AND name = ?").get(model.maker, model.name) as
    | { id: string }
    | undefined;
  if (same) return same.id;
  const { next } = ctx.db.prepare("SELECT count(*) + 1 AS next FROM model").get() as { next: number };
  const id = `unknown-${next}`;
  addModel(
    ctx,
    { id, ...model },
    {
      lineRadiusMm: 24,
      anatomy: {
        assemblies: [{ id: "as-taken-off", name: "As received apart", side: "frame" }],
        positions: [],
        operations: [],
        editions: [],
        gearPairs: [],
        batches: [],
      },
    },
  );
  return id;
}

/** The usual pieces of a job's family, each with the seats nothing has come out of yet. */
export function expectedOfJob(db: Db, jobId: number, family: FamilyTemplate): (ExpectedPiece & { readonly left: readonly string[] })[] {
  const tray = listLooseParts(db, jobId);
  return expectedPieces(family).map((piece) => ({ ...piece, left: seatsLeft(piece, tray) }));
}

/**
 * Parts off, known by their kind or as a usual piece of the family: one press for as many as the hand took, with the side they sat on.
 * @throws Refusal when the model has a schematic after all. @returns the first well filled, and how many.
 */
export function takeLoosePart(ctx: Context, jobId: number, take: PartKind | LooseTake): { well: number; count: number } {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  requireOpening(db, job);
  const version = getModelVersion(db, job.modelVersionId);
  if (!mayGrow(version.anatomy))
    throw new Refusal("has-schematic", "This model has a schematic now. Reload the page and strip the reel by it.");
  const asked = typeof take === "string" ? { kind: take } : take;
  const taken = looseTaken(listLooseParts(db, jobId), expectedPieces(familyOf(db, version.model)), asked);
  if (!taken || !(asked.kind in kindWords)) throw new Refusal("no-kind", "There is no such kind of part.");
  const add = db.prepare("INSERT INTO loose_part (job_id, well, kind, taken_at, seat, side, act) VALUES (?, ?, ?, ?, ?, ?, ?)");
  for (const { well, kind, seat, side, act } of taken) add.run(jobId, well, kind, ctx.now, seat, side, act);
  const [{ kind, well }, count] = [taken[0]!, taken.length];
  writeJournal(ctx, "loose-part-off", { jobId, reelId: job.reel.id }, { kind, well, count });
  advanceStation(ctx, job, "strip");
  return { well, count };
}

/** Puts the last one back where it was, or all that the last press took. */
export function putLooseBack(ctx: Context, jobId: number): void {
  const job = getOpenJob(ctx.db, jobId);
  const tray = listUnseated(ctx.db, jobId);
  if (!tray.length) throw new Refusal("empty", "The tray is empty: there is nothing to undo.");
  const left = new Set(looseBack(tray).map(({ well }) => well));
  const remove = ctx.db.prepare("DELETE FROM loose_part WHERE job_id = ? AND well = ?");
  for (const { well } of tray) if (!left.has(well)) remove.run(jobId, well);
  writeJournal(ctx, "loose-part-undone", { jobId, reelId: job.reel.id });
}

/** The part stays in and is served where it sits, or lies in its well after all. @param reason null for the latter. */
export function serveLooseInPlace(ctx: Context, jobId: number, well: number, reason: string | null): void {
  const job = getOpenJob(ctx.db, jobId);
  const { changes } = ctx.db.prepare("UPDATE loose_part SET in_place = ? WHERE job_id = ? AND well = ?").run(reason, jobId, well);
  if (!changes) throw new Refusal("no-well", "This well is empty.");
  writeJournal(ctx, "loose-in-place", { jobId, reelId: job.reel.id }, { well, reason });
}

export function nameLoosePart(ctx: Context, jobId: number, well: number, name: string, seen: string | null = null): void {
  getOpenJob(ctx.db, jobId);
  const was = ctx.db.prepare("SELECT name FROM loose_part WHERE job_id = ? AND well = ?").pluck().get(jobId, well) as string | undefined;
  if (was !== undefined) refuseUnseen(seen, seenValue(was), "The name of this piece", "name");
  const { changes } = ctx.db.prepare("UPDATE loose_part SET name = ? WHERE job_id = ? AND well = ?").run(name, jobId, well);
  if (!changes) throw new Refusal("no-well", "This well is empty.");
  writeJournal(ctx, "loose-part-named", { jobId }, { well });
}

export function pictureLoosePart(ctx: Context, jobId: number, well: number, photoHash: string): void {
  getOpenJob(ctx.db, jobId);
  const { changes } = ctx.db.prepare("UPDATE loose_part SET photo_hash = ? WHERE job_id = ? AND well = ?").run(photoHash, jobId, well);
  if (!changes) throw new Refusal("no-well", "This well is empty.");
  writeJournal(ctx, "picture-taken", { jobId }, { well, photo: photoHash });
}

/**
 * The teardown becomes the model's schematic in one act: a new version with a guessed seat for every part, and the tray of this job is the
 * tray of those seats. A later half joins it the same way, as long as nobody has confirmed a seat of it. The job moves to the new version: no seat
 * that it stands on is changed.
 */
export function makeSchematic(ctx: Context, jobId: number): { modelId: string } {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  const version = getModelVersion(db, job.modelVersionId);
  const there = version.anatomy;
  if (!mayGrow(there)) throw new Refusal("has-schematic", "This model has a schematic already.");
  const parts = listUnseated(db, jobId);
  if (!parts.length)
    throw there.positions.length
      ? new Refusal("has-schematic", "This model has a schematic already.")
      : new Refusal("empty", "Nothing has been taken off yet, so there is nothing to make a schematic from.");
  const later = there.positions.length > 0;
  const seatId = (well: number) => (later ? `part-${jobId}-${well}` : `part-${well}`);
  const guess = guessAnatomy(parts, later ? `u${jobId}-${parts[0]!.well}` : `u${jobId}`, familyOf(db, version.model), seatId);
  const anatomy = later ? growAnatomy(there, guess.anatomy) : guess.anatomy;
  for (const part of guess.partTypes) addPartType(ctx, part);
  const versionId = addModelVersion(ctx, version.model.id, { lineRadiusMm: version.lineRadiusMm, anatomy });
  markModelVersionUsed(db, versionId);
  giveJobModelVersion(db, jobId, versionId);
  pinPrices(ctx, jobId, versionId);
  const addWell = db.prepare(
    "INSERT INTO tray_well (job_id, position_id, well, place, instance_id, photo_hash, taken_at) VALUES (?, ?, ?, ?, ?, ?, ?)",
  );
  // Wells of the tray run on: the first of the later half lies behind the last that lies there.
  const lastWell = (db.prepare("SELECT max(well) FROM tray_well WHERE job_id = ?").pluck().get(jobId) as number | null) ?? 0;
  const shift = Math.max(0, lastWell + 1 - parts[0]!.well);
  for (const part of parts) {
    const position = anatomy.positions.find((seat) => seat.id === seatId(part.well))!;
    const instanceId = pieceInSeat(ctx, job.reel.id, position.id, position.partTypeId);
    if (part.inPlace !== null) serveInPlace(ctx, jobId, position.id, part.inPlace);
    else
      addWell.run(
        jobId,
        position.id,
        (part.act || part.well) + shift,
        part.act ? part.well - part.act + 1 : 1,
        instanceId,
        part.photoHash,
        ctx.now,
      );
  }
  db.prepare("UPDATE loose_part SET seated = 1 WHERE job_id = ?").run(jobId);
  writeJournal(ctx, "schematic-made", { jobId, reelId: job.reel.id }, { model: version.model.id, seats: parts.length });
  return { modelId: version.model.id };
}
