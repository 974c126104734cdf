import { lastWell } from "@/core/acts/strip/put-back";
import { brokeOpening, freshWells, moreThanDrawn, notThere } from "@/core/acts/strip/take-parts";
import { allStripActs } from "@/core/hands/strip-acts";
import { cameWithout } from "@/core/teardown/came-without";
import { type WellVerdict, wantsNew } from "@/core/teardown/verdicts";
import type { Lies } from "@/core/teardown/way-round";
import type { Well } from "@/core/teardown/well";
import type { CleanMethod } from "@/core/vocabulary/clean-methods";
import { pieceInSeat } from "@/data/bench/fitting";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { readOnce } from "@/data/database/read-once";
import { narrowFaults } from "@/data/diagnosis/faults";
import { advanceStation, getOpenJob, type Job } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { setForeseen } from "@/data/parts/quote-parts";
import { requireOpening } from "@/data/quote/quotes";
import { addExtraPiece } from "./extra-pieces";
import { wantForVerdict } from "./fit-part";
import { expectedOff, openingOf, settleOpening, stripGuideOf, unsettleOpening } from "./opening";
import { forgetOutcome } from "./seat-outcome";

/** Verdicts by which somebody said what becomes of an old piece. */
const judgedByHand: ReadonlySet<WellVerdict> = new Set(["dressed", "watch"]);

/** The tray of a job, well by well in the order the parts came off. */
export function listWells(db: Db, jobId: number): Well[] {
  const rows = db
    .prepare(
      `SELECT tray_well.well, tray_well.position_id, tray_well.instance_id, tray_well.verdict, tray_well.orientation, tray_well.note,
              tray_well.for_owner, tray_well.came_apart,
              tray_well.hole, tray_well.thread, tray_well.lies, tray_well.found_count, tray_well.place, tray_well.dressed, tray_well.cleaned_at,
              tray_well.clean_as, tray_well.cleaned_how,
              tray_well.row_version,
              (SELECT soak_id FROM soak_part WHERE soak_part.job_id = tray_well.job_id
               AND soak_part.position_id = tray_well.position_id AND soak_part.back IS NULL) AS soak_id,
              tray_well.photo_hash, tray_well.taken_at, tray_well.left_out_reason,
              instance.fitted_job_id IS tray_well.job_id AS renewed,
              EXISTS (SELECT 1 FROM build_step WHERE build_step.job_id = tray_well.job_id
                      AND build_step.operation_id = 'place-' || tray_well.position_id AND build_step.state = 'done') AS refitted,
              (SELECT quote_part.foreseen_by FROM quote_part
               JOIN job_fault ON job_fault.job_id = quote_part.job_id AND job_fault.fault_id = quote_part.foreseen_by AND job_fault.outcome IS NULL
               WHERE quote_part.job_id = tray_well.job_id AND quote_part.position_id = tray_well.position_id) AS to_renew,
              EXISTS (SELECT 1 FROM declined_part WHERE declined_part.job_id = tray_well.job_id
                      AND declined_part.position_id = tray_well.position_id) AS declined,
              (SELECT job.kind = 'purchase-check' OR job.declined_reason IS NOT NULL FROM job WHERE job.id = tray_well.job_id) AS unrepaired
       FROM tray_well JOIN instance ON instance.id = tray_well.instance_id WHERE tray_well.job_id = ? ORDER BY tray_well.well, tray_well.place`,
    )
    .all(jobId) as {
    well: number;
    position_id: string;
    instance_id: number;
    verdict: WellVerdict;
    orientation: string;
    note: string;
    for_owner: 0 | 1;
    came_apart: 0 | 1;
    hole: string;
    thread: "right" | "left" | null;
    lies: Lies | null;
    found_count: number;
    place: number;
    dressed: string;
    row_version: number;
    cleaned_at: string | null;
    clean_as: CleanMethod | null;
    cleaned_how: CleanMethod | null;
    soak_id: number | null;
    photo_hash: string | null;
    taken_at: string;
    left_out_reason: string | null;
    renewed: 0 | 1;
    refitted: 0 | 1;
    to_renew: string | null;
    unrepaired: 0 | 1;
    declined: 0 | 1;
  }[];
  return rows.map((row) => ({
    well: row.well,
    positionId: row.position_id,
    instanceId: row.instance_id,
    verdict: row.verdict,
    orientation: row.orientation,
    note: row.note,
    forOwner: row.for_owner === 1,
    cameApart: row.came_apart === 1,
    hole: row.hole,
    thread: row.thread,
    lies: row.lies,
    foundCount: row.found_count,
    place: row.place,
    dressed: row.dressed,
    rowVersion: row.row_version,
    cleanedAt: row.cleaned_at,
    cleanAs: row.clean_as,
    cleanedHow: row.cleaned_how,
    soakId: row.soak_id,
    photoHash: row.photo_hash,
    takenAt: row.taken_at,
    leftOutReason: row.left_out_reason,
    renewed: row.renewed === 1,
    refitted: row.refitted === 1,
    declined: row.declined === 1,
    unrepaired: row.unrepaired === 1,
    toRenew: row.to_renew !== null && row.renewed === 0 && row.unrepaired === 0 && !judgedByHand.has(row.verdict) ? [row.to_renew] : [],
  }));
}

/** What is expected to come off next, first first, given what lies in the tray. */
export function expectedNext(db: Db, job: Job): string[] {
  const off = new Set(listWells(db, job.id).map((well) => well.positionId));
  return expectedOff(db, job).filter((id) => !off.has(id));
}

/** Takes one part off into the next well. @throws Refusal as takeParts does. */
export const takePart = (ctx: Context, jobId: number, positionId: string): { well: number } => takeParts(ctx, jobId, [positionId]);

/**
 * Takes parts off in one act of the hands: into the next well, in their order.
 * @param absent those of them that were not there: their places are empty, and what is missing is wanted. @param more extra pieces found there, not on the drawing.
 * @param broke those that broke as they came off: a new one is wanted, and their owner is told.
 * @returns the well. @throws Refusal when one of them lies in the tray already, has no such seat, or the customer has not said yes; then none of
 * them moved.
 */
export function takeParts(
  ctx: Context,
  jobId: number,
  positionIds: readonly string[],
  absent: ReadonlySet<string> = new Set(),
  more = 0,
  broke: ReadonlySet<string> = new Set(),
): { well: number } {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  const read = readOnce(db);
  requireOpening(read, job);
  const { anatomy } = machineOf(read, job);
  const seats = new Map(anatomy.positions.map((position) => [position.id, position]));
  const tray = db.prepare("SELECT well, position_id AS positionId FROM tray_well WHERE job_id = ? ORDER BY well, place").all(jobId) as {
    well: number;
    positionId: string;
  }[];
  if (!tray.length) settleOpening(ctx, job);
  const wellOf = new Map(tray.map(({ well, positionId }) => [positionId, well]));
  const came = db.prepare("DELETE FROM seat_in_place WHERE job_id = ? AND position_id = ?");
  const lay = db.prepare(
    "INSERT INTO tray_well (job_id, position_id, well, place, instance_id, orientation, hole, taken_at) VALUES (?, ?, ?, ?, ?, ?, ?, ?)",
  );
  const fresh = freshWells(tray, positionIds, seats);
  for (const { well, place, positionId, orientation, hole } of fresh) {
    const position = seats.get(positionId);
    if (!position) throw new Refusal("no-seat", "This model has no such seat. Reload the page.");
    const lies = wellOf.get(positionId);
    if (lies !== undefined) throw new Refusal("in-tray", `${position.name} is already in well ${lies}. Nothing was added.`);
    wellOf.set(positionId, well);
    const instanceId = pieceInSeat(ctx, job.reel.id, positionId, position.partTypeId);
    // What was to stay came off after all.
    came.run(jobId, positionId);
    lay.run(jobId, positionId, well, place, instanceId, orientation, hole, ctx.now);
    writeJournal(ctx, "part-off", { jobId, reelId: job.reel.id }, { position: positionId, well });
  }
  advanceStation(ctx, job, "strip");
  for (const { positionId, orientation } of fresh)
    if (absent.has(positionId)) noteWell(ctx, jobId, positionId, notThere);
    else if (broke.has(positionId)) noteWell(ctx, jobId, positionId, { ...brokeOpening, orientation });
  if (more > 0) {
    const { batches } = openingOf(db, job);
    const batch = batches.find((one) => positionIds.length > 1 && positionIds.every((id) => one.positionIds.includes(id)));
    addExtraPiece(ctx, jobId, moreThanDrawn(more, batch?.name ?? seats.get(positionIds[0]!)!.name), fresh[0]!.well);
  }
  return { well: fresh[0]!.well };
}

/**
 * The reel came in pieces, all of it or what is left in it: everything expected off lies in the tray by one press, handful by handful, and is
 * marked as done before it came. @returns how many parts. @throws Refusal when nothing is expected off any more.
 */
export function takeAllAsCame(ctx: Context, jobId: number): { parts: number } {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  const version = machineOf(db, job);
  const off = new Set(listWells(db, jobId).map(({ positionId }) => positionId));
  const guide = stripGuideOf(db, job, version, openingOf(db, job, version));
  const acts = allStripActs(guide)
    .map(({ positionIds }) => positionIds.filter((id) => !off.has(id)))
    .filter((positionIds) => positionIds.length > 0);
  if (!acts.length) throw new Refusal("nothing", "Nothing more needs to come off. Open another assembly first.");
  const apart = db.prepare("UPDATE tray_well SET came_apart = 1 WHERE job_id = ? AND position_id = ?");
  for (const positionIds of acts) {
    takeParts(ctx, jobId, positionIds);
    for (const id of positionIds) apart.run(jobId, id);
  }
  const parts = acts.reduce((sum, { length }) => sum + length, 0);
  writeJournal(ctx, "came-in-pieces", { jobId, reelId: job.reel.id }, { parts });
  return { parts };
}

/** A part is served where it sits: it cannot be drawn, or is not worth it. It is off the expected list and stands in the report. */
export function serveInPlace(ctx: Context, jobId: number, positionId: string, reason: string): void {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  if (!machineOf(db, job).anatomy.positions.some((seat) => seat.id === positionId))
    throw new Refusal("no-seat", "This model has no such seat. Reload the page.");
  if (listWells(db, jobId).some((well) => well.positionId === positionId))
    throw new Refusal("in-tray", "It is in the tray: undo that first.");
  db.prepare(
    "INSERT INTO seat_in_place (job_id, position_id, reason, at) VALUES (?, ?, ?, ?) ON CONFLICT DO UPDATE SET reason = excluded.reason",
  ).run(jobId, positionId, reason, ctx.now);
  writeJournal(ctx, "served-in-place", { jobId, reelId: job.reel.id }, { position: positionId, reason });
  advanceStation(ctx, job, "strip");
}

/** Parts stay in by choice, or are expected off again. What lies in the tray already is passed over. */
export function leaveIn(ctx: Context, jobId: number, positionIds: readonly string[], stays: boolean): void {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  const seats = new Set(machineOf(db, job).anatomy.positions.map(({ id }) => id));
  if (positionIds.some((id) => !seats.has(id))) throw new Refusal("no-seat", "This model has no such seat. Reload the page.");
  const lying = new Set(listWells(db, jobId).map(({ positionId }) => positionId));
  const leave = db.prepare(
    "INSERT INTO seat_in_place (job_id, position_id, reason, at) VALUES (?, ?, '', ?) ON CONFLICT DO UPDATE SET reason = excluded.reason",
  );
  const back = db.prepare("DELETE FROM seat_in_place WHERE job_id = ? AND position_id = ?");
  for (const id of positionIds)
    if (!stays) back.run(jobId, id);
    else if (!lying.has(id)) leave.run(jobId, id, ctx.now);
  writeJournal(ctx, "left-in", { jobId, reelId: job.reel.id }, { positions: positionIds, stays });
  if (stays) advanceStation(ctx, job, "strip");
}

/**
 * Puts what lies in the last well back where it was: the undo of a press, all of its parts at once. Only the last, because the order in the tray
 * is the way back. @param expected what the page showed in that well; another one is refused.
 */
export function putBack(ctx: Context, jobId: number, expected?: readonly string[]): { positionIds: string[] } {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  const wells = listWells(db, jobId);
  const last = lastWell(wells);
  if (!last.length) throw new Refusal("empty", "The tray is empty: there is nothing to undo.");
  const positionIds = last.map(({ positionId }) => positionId);
  if (expected && (expected.length !== positionIds.length || expected.some((id) => !positionIds.includes(id))))
    throw new Refusal("not-last", "Something else has come off since. Check the tray, then undo again.");
  if (last.some(({ renewed, refitted }) => renewed || refitted))
    throw new Refusal("in-use", "The last well holds a new or refitted part. Undo that at Parts or Build first.", null, {
      to: "station",
      tag: job.tag,
      station: last.some(({ refitted }) => refitted) ? "build" : "parts",
    });
  if (last.some(({ soakId }) => soakId !== null))
    throw new Refusal("in-bath", "The part from the last well is in a bath. Count it back in at Clean first.", null, {
      to: "station",
      tag: job.tag,
      station: "clean",
    });
  // What came off with it beyond the drawing goes back with it.
  db.prepare("DELETE FROM extra_piece WHERE job_id = ? AND well = ?").run(jobId, last[0]!.well);
  for (const { positionId, well, verdict, renewed } of last) {
    // What a verdict wanted goes with it.
    if (wantsNew(verdict) && !renewed) setForeseen(ctx, jobId, positionId, false);
    db.prepare("DELETE FROM tray_well WHERE job_id = ? AND position_id = ?").run(jobId, positionId);
    forgetOutcome(db, jobId, positionId);
    writeJournal(ctx, "part-off-undone", { jobId, reelId: job.reel.id }, { position: positionId, well });
  }
  if (last.length === wells.length) unsettleOpening(db, jobId);
  return { positionIds };
}

export interface WellNote {
  readonly verdict: WellVerdict;
  readonly orientation: string;
  readonly note: string;
  /** The note is one for the owner; it stays the bench's where nobody says. */
  readonly forOwner?: boolean;
  readonly hole?: string;
  readonly thread?: "right" | "left" | null;
  /** How it lay, against how its model draws it; null where nobody says. */
  readonly lies?: Lies | null;
  readonly foundCount?: number;
  /** How it was dressed by hand. */
  readonly dressed?: string;
  /** What was written down of it when it was shown; another state is not written over. */
  readonly seen?: number;
  /** Where it was looked at: coming off, or cleaned. */
  readonly at?: "strip" | "clean";
}

export interface VerdictAnswer {
  /** What became of the verdict at Quote and Stores, in words; empty when it asks for nothing. */
  readonly words: string;
}

/**
 * Says how the part lay and what it looks like. A verdict that asks for another piece goes to Quote at once, and to the needs at Stores when
 * none lies in the bin and the customer's word allows it; taking the verdict back takes both back.
 */
export function noteWell(ctx: Context, jobId: number, positionId: string, note: WellNote): VerdictAnswer {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  const well = listWells(db, jobId).find((one) => one.positionId === positionId);
  if (!well) throw new Refusal("not-in-tray", "This part is not in the tray. Take it off first.");
  if (note.seen !== undefined && note.seen !== well.rowVersion)
    throw new Refusal("changed-elsewhere", "This part was noted in another window meanwhile. Reload to see it, then note yours again.");
  db.prepare(
    `UPDATE tray_well SET verdict = ?, dressed = ?, orientation = ?, note = ?, for_owner = ?, hole = ?, thread = ?, lies = ?, found_count = ?, row_version = row_version + 1
     WHERE job_id = ? AND position_id = ?`,
  ).run(
    note.verdict,
    note.verdict === "dressed" ? (note.dressed ?? well.dressed) : "",
    note.orientation,
    note.note,
    Number(note.forOwner ?? well.forOwner),
    note.hole ?? well.hole,
    note.thread === undefined ? well.thread : note.thread,
    note.lies === undefined ? well.lies : note.lies,
    note.foundCount ?? well.foundCount,
    jobId,
    positionId,
  );
  writeJournal(
    ctx,
    "part-looked-at",
    { jobId, reelId: job.reel.id },
    { position: positionId, verdict: note.verdict, at: note.at ?? "strip" },
  );
  const now = { verdict: note.verdict, foundCount: note.foundCount ?? well.foundCount, renewed: well.renewed };
  // What the reel came without is no wish for a new one: somebody says so.
  if (wantsNew(note.verdict) && !cameWithout(now)) {
    if (well.renewed) return { words: "" };
    if (well.declined) return { words: "The customer said no to a new one here; the old one may be refitted." };
    setForeseen(ctx, jobId, positionId, true);
    narrowFaults(ctx, job, positionId);
    return { words: wantForVerdict(ctx, job, positionId) };
  }
  if (wantsNew(well.verdict) && !wantsNew(note.verdict) && !well.renewed) {
    setForeseen(ctx, jobId, positionId, false);
    narrowFaults(ctx, job, positionId);
  }
  return { words: "" };
}

/** Ties the picture of the opened joint to the part that opened it. */
export function pictureWell(ctx: Context, jobId: number, positionId: string, photoHash: string): void {
  getOpenJob(ctx.db, jobId);
  const { changes } = ctx.db
    .prepare("UPDATE tray_well SET photo_hash = ? WHERE job_id = ? AND position_id = ?")
    .run(photoHash, jobId, positionId);
  if (!changes) throw new Refusal("not-in-tray", "This part is not in the tray. Take it off first.");
  writeJournal(ctx, "picture-taken", { jobId }, { position: positionId, photo: photoHash });
}

/** Says why a part stays out for good. It then no longer blocks closing, and the reason stands in the report and the journal. */
export function leaveOut(ctx: Context, jobId: number, positionId: string, reason: string): void {
  const job = getOpenJob(ctx.db, jobId);
  const { changes } = ctx.db
    .prepare("UPDATE tray_well SET left_out_reason = ? WHERE job_id = ? AND position_id = ?")
    .run(reason, jobId, positionId);
  if (!changes) throw new Refusal("not-in-tray", "This part is not in the tray.");
  writeJournal(ctx, "part-left-out", { jobId, reelId: job.reel.id }, { position: positionId, reason });
}

/** A part that was to stay out goes in after all: its reason is no more, or the one it had before. */
export function takeInAfterAll(ctx: Context, jobId: number, positionId: string, reason: string | null = null): void {
  ctx.db.prepare("UPDATE tray_well SET left_out_reason = ? WHERE job_id = ? AND position_id = ?").run(reason, jobId, positionId);
}
