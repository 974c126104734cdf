import { z } from "zod";
import { type Grade, grades } from "@/core/interchange/interchange";
import { type Need, type NeedState, needStates } from "@/core/ordering/book";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { count, id, row, rows } from "@/data/database/rows";

/** What jobs wait for at Stores, from the place on the list to the piece put aside, and how a need ends and comes back. */

const needRow = z.object({
  id,
  jobId: id,
  tag: z.string(),
  positionId: z.string(),
  partTypeId: z.string(),
  number: z.string(),
  name: z.string(),
  state: z.enum(needStates),
});

/** Needs in the given states, oldest first. */
export function listNeeds(db: Db, filter: { states: readonly NeedState[]; jobId?: number }): Need[] {
  const found = db
    .prepare(
      `SELECT need.id, need.job_id AS jobId, job.tag, need.position_id AS positionId, need.part_type_id AS partTypeId, part_type.number, part_type.name, need.state
       FROM need JOIN job ON job.id = need.job_id JOIN part_type ON part_type.id = need.part_type_id
       WHERE need.state IN (SELECT value FROM json_each(@states)) AND (@job IS NULL OR need.job_id = @job) ORDER BY need.id`,
    )
    .all({ states: JSON.stringify(filter.states), job: filter.jobId ?? null });
  return rows(needRow, found);
}

/** How poor a substitute may be for each open need. */
export const listOpenGrades = (db: Db): ReadonlyMap<number, Grade> =>
  new Map(rows(z.tuple([id, z.enum(grades)]), db.prepare("SELECT id, lowest_grade FROM need WHERE state = 'open'").raw().all()));

/** Says how poor a substitute may be that goes to a need. @throws Refusal when it is not open any more. */
export function setLowestGrade(ctx: Context, needId: number, grade: Grade): void {
  const { changes } = ctx.db.prepare("UPDATE need SET lowest_grade = ? WHERE id = ? AND state = 'open'").run(grade, needId);
  if (!changes) throw new Refusal("ordered", "This part is already on order, or was withdrawn. Reload the page.");
  writeJournal(ctx, "need-grade-set", {}, { need: needId, grade });
}

/** How many pieces are on order for each of some jobs; none where a job is not in it. */
export const countOnOrder = (db: Db, jobIds: readonly number[]): ReadonlyMap<number, number> =>
  new Map(
    rows(
      z.tuple([id, count]),
      db
        .prepare("SELECT job_id, count(*) FROM need WHERE state = 'ordered' AND job_id IN (SELECT value FROM json_each(?)) GROUP BY job_id")
        .raw()
        .all(JSON.stringify(jobIds)),
    ),
  );

const liveStates = z.enum(["open", "ordered", "arrived"]);

/** The need of a seat that is not ended yet; null where it has none. */
export const needOf = (db: Db, jobId: number, positionId: string): { id: number; state: z.output<typeof liveStates> } | null =>
  row(
    z.object({ id, state: liveStates }),
    db
      .prepare("SELECT id, state FROM need WHERE job_id = ? AND position_id = ? AND state IN ('open', 'ordered', 'arrived')")
      .get(jobId, positionId),
  );

/** Takes an open need off the list. @throws Refusal when it is on order. */
export function withdrawNeed(ctx: Context, needId: number): void {
  const { changes } = ctx.db
    .prepare("UPDATE need SET state_before = state, state = 'withdrawn', ended_why = 'let-go' WHERE id = ? AND state = 'open'")
    .run(needId);
  if (!changes) throw new Refusal("ordered", "This part is already on order. When it arrives it goes to stock.");
  writeJournal(ctx, "need-withdrawn", {}, { need: needId });
}

type EndedWhy = "fitted" | "let-go" | "declined" | "closed";

/** Ends the need of a seat: what was put aside for it is free, and what is on order comes to stock. */
export function endNeed(ctx: Context, jobId: number, positionId: string, why: EndedWhy): void {
  ctx.db
    .prepare(
      `UPDATE need SET state_before = state, state = 'withdrawn', ended_why = @why
       WHERE job_id = @job AND position_id = @seat AND state IN ('open', 'ordered', 'arrived')`,
    )
    .run({ job: jobId, seat: positionId, why });
}

/** A need dies with its job: nothing is put aside for it any more, and what is on order comes to stock. @returns how many ended. */
export function endNeedsOfJob(ctx: Context, jobId: number, why: "declined" | "closed"): number {
  const { changes } = ctx.db
    .prepare(
      `UPDATE need SET state_before = state, state = 'withdrawn', ended_why = ?
       WHERE job_id = ? AND state IN ('open', 'ordered', 'arrived')`,
    )
    .run(why, jobId);
  if (changes) writeJournal(ctx, "needs-ended", { jobId }, { needs: changes, why });
  return changes;
}

/** Pieces of a part that lie in the bin and are nobody's: what is put aside for jobs is not among them. */
const freeInBin = (db: Db, partTypeId: string): number =>
  db
    .prepare(
      `SELECT coalesce((SELECT count FROM stock WHERE part_type_id = @part), 0)
              - (SELECT count(*) FROM need WHERE part_type_id = @part AND state = 'arrived')`,
    )
    .pluck()
    .get({ part: partTypeId }) as number;

const endedRow = z.object({
  id,
  job_id: id,
  position_id: z.string(),
  part_type_id: z.string(),
  state_before: liveStates,
  coming: count.nullable(),
});

/** Gives ended needs back what they had, as far as it is still to be had: the piece put aside, the one on order, or a place on the list. */
function revive(ctx: Context, where: "ended_by = ?" | `job_id = ? AND ended_why = '${"declined" | "closed"}'`, of: number): void {
  const { db } = ctx;
  const ended = db
    .prepare(
      `SELECT need.id, need.job_id, need.position_id, need.part_type_id, need.state_before, need.order_line_id,
              (SELECT order_line.quantity - order_line.received - order_line.given_up - (SELECT count(*) FROM need AS other WHERE other.order_line_id = order_line.id AND other.state = 'ordered')
               FROM order_line WHERE order_line.id = need.order_line_id) AS coming
       FROM need WHERE ${where} ORDER BY need.id`,
    )
    .all(of);
  for (const need of rows(endedRow, ended)) {
    const isWantedAnew = needOf(db, need.job_id, need.position_id) !== null;
    const had = need.state_before;
    const state = isWantedAnew
      ? "withdrawn"
      : had === "ordered" && (need.coming ?? 0) > 0
        ? "ordered"
        : had !== "open" && freeInBin(db, need.part_type_id) > 0
          ? "arrived"
          : "open";
    db.prepare("UPDATE need SET state = ?, ended_by = NULL, ended_why = CASE WHEN ? THEN ended_why END WHERE id = ?").run(
      state,
      isWantedAnew ? 1 : 0,
      need.id,
    );
  }
}

/** Gives back what needs had that a fitted piece ended. */
export const reviveNeedsEndedBy = (ctx: Context, instanceId: number): void => revive(ctx, "ended_by = ?", instanceId);

/** A job that was declined is taken on after all. */
export const reviveNeedsOfJob = (ctx: Context, jobId: number): void => revive(ctx, "job_id = ? AND ended_why = 'declined'", jobId);

/** A return that is taken back: what it still wanted it wants again. */
export const reviveNeedsOfClosed = (ctx: Context, jobId: number): void => revive(ctx, "job_id = ? AND ended_why = 'closed'", jobId);

/** Those of some needs that are open. */
export const listOpenNeedsById = (
  db: Db,
  needIds: readonly number[],
): ReadonlyMap<number, { readonly jobId: number; readonly positionId: string; readonly partTypeId: string }> =>
  new Map(
    rows(
      z.object({ id, jobId: id, positionId: z.string(), partTypeId: z.string() }),
      db
        .prepare(
          "SELECT id, job_id AS jobId, position_id AS positionId, part_type_id AS partTypeId FROM need WHERE state = 'open' AND id IN (SELECT value FROM json_each(?)) ORDER BY id",
        )
        .all(JSON.stringify(needIds)),
    ).map(({ id: needId, ...need }) => [needId, need]),
  );

/** Puts a seat on the list. */
export const insertNeed = (ctx: Context, jobId: number, positionId: string, partTypeId: string): void => {
  ctx.db
    .prepare("INSERT INTO need (job_id, position_id, part_type_id, state, at) VALUES (?, ?, ?, 'open', ?)")
    .run(jobId, positionId, partTypeId, ctx.now);
};

/** The seat's open need is for another part from now on. */
export const giveOpenNeedPart = (db: Db, jobId: number, positionId: string, partTypeId: string): void => {
  db.prepare("UPDATE need SET part_type_id = ? WHERE job_id = ? AND position_id = ? AND state = 'open'").run(partTypeId, jobId, positionId);
};

/** A piece went into the seat. @param setAside it is the one that was put aside for it. */
export const endNeedAsFitted = (db: Db, jobId: number, positionId: string, by: { instanceId: number; setAside: boolean }): void => {
  db.prepare(
    `UPDATE need SET state_before = state, state = CASE WHEN state = 'arrived' AND @aside THEN 'used' ELSE 'withdrawn' END, ended_why = 'fitted', ended_by = @by
     WHERE job_id = @job AND position_id = @seat AND state IN ('open', 'ordered', 'arrived')`,
  ).run({ job: jobId, seat: positionId, by: by.instanceId, aside: by.setAside ? 1 : 0 });
};
