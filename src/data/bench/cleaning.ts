import { carriesDelicate } from "@/core/cleaning/carried";
import { cleanedTogether, cleanMethodOf, cleanMethods, cleanMethodsFor, handMethodOf, isBath, keepApart } from "@/core/cleaning/methods";
import { type CleanPlan, cleanGroups, planCleaning } from "@/core/cleaning/plan";
import type { Soak, SoakJob, TrayGroup } from "@/core/cleaning/soak";
import { addMinutes, minutesPassed } from "@/core/day/day";
import type { Well } from "@/core/teardown/well";
import type { CleanMethod } from "@/core/vocabulary/clean-methods";
import { type Choice, wayInForce } from "@/core/ways/ways";
import type { ModelVersion } from "@/data/catalogue/models";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { advanceStation, getOpenJob, type Job } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { listWells, noteWell } from "./tray";
import { unopenedUnit, waysOf } from "./ways";

/** Baths with something still in them, the first due first. */
export function listSoaks(db: Db): Soak[] {
  const soaks = db
    .prepare("SELECT id, method, minutes, started_at AS startedAt FROM soak WHERE ended_at IS NULL ORDER BY started_at, id")
    .all() as { id: number; method: CleanMethod; minutes: number; startedAt: string }[];
  const inIt = db.prepare(
    `SELECT soak_part.job_id AS jobId, job.tag, model_version.model_id AS modelId, max(soak_part.mark) AS mark, count(*) AS parts
     FROM soak_part JOIN job ON job.id = soak_part.job_id JOIN model_version ON model_version.id = job.model_version_id
     WHERE soak_part.soak_id = ? AND soak_part.back IS NULL GROUP BY soak_part.job_id ORDER BY soak_part.job_id`,
  );
  return soaks
    .map(({ id, method, minutes, startedAt }) => ({
      id,
      method,
      startedAt,
      dueAt: addMinutes(startedAt, minutes),
      jobs: inIt.all(id) as SoakJob[],
    }))
    .sort((a, b) => (a.dueAt < b.dueAt ? -1 : a.dueAt > b.dueAt ? 1 : a.id - b.id));
}

export interface Cleaning {
  readonly groups: readonly TrayGroup[];
  /** For what is not clean yet. */
  readonly plan: CleanPlan;
  readonly apart: ReturnType<typeof keepApart>;
  readonly soaks: readonly Soak[];
  readonly methodOf: ReadonlyMap<string, CleanMethod>;
  /** Parts that still carry what a bath would spoil. */
  readonly carrying: ReadonlySet<string>;
  /** How dirty it is, in what is done about it, and whose word that is. */
  readonly dirt: { readonly choice: Choice<"cleaning">; readonly by: "job" | "customer" | "shop" };
}

/** A new piece is clean as it comes; what stays out or is gone is not cleaned. */
const needsCleaning = (well: Well): boolean => !well.renewed && well.leftOutReason === null && well.verdict !== "missing" && !well.refitted;

/** Seats whose parts wait to be cleaned before they go back; what is left dry, for its dust, waits for nothing. */
export const seatsToClean = (db: Db, job: Job, version: ModelVersion = machineOf(db, job)): string[] =>
  getCleaning(db, job, version).groups.flatMap(({ method, waiting }) => (method === "leave-dry" ? [] : waiting));

/** The cleaning of a job: its tray by method, the soonest way through what is left, what must not come together. */
export function getCleaning(db: Db, job: Job, version: ModelVersion = machineOf(db, job)): Cleaning {
  const ways = waysOf(db, job);
  const friction = wayInForce("frictionWashing", ways).choice;
  const dirt = wayInForce("cleaning", ways);
  // What stays sealed is not washed.
  const sealed = unopenedUnit(db, job, version);
  const all = listWells(db, job.id);
  const wells = all.filter((well) => needsCleaning(well) && !sealed.has(well.positionId));
  const carrying = carriesDelicate(version.anatomy, version.partTypes, new Set(all.map(({ positionId }) => positionId)));
  const seats = new Map(version.anatomy.positions.map((position) => [position.id, position]));
  const typeOf = (positionId: string) => version.partTypes.get(seats.get(positionId)?.partTypeId ?? "");
  const methodOf = new Map(
    wells.flatMap((well) => {
      const type = typeOf(well.positionId);
      if (!type) return [];
      // What is clean stays where it was cleaned, whatever is said of the dirt later.
      return [
        [
          well.positionId,
          well.cleanedHow ?? well.cleanAs ?? cleanMethodOf(type, friction, dirt.choice, carrying.has(well.positionId)),
        ] as const,
      ];
    }),
  );
  const wellOf = new Map(wells.map((well) => [well.positionId, well]));
  const groupsOf = (some: readonly Well[]) =>
    cleanGroups(
      some.flatMap(({ positionId }) => {
        const type = typeOf(positionId);
        return type ? [{ positionId, method: methodOf.get(positionId)!, together: cleanedTogether(type) }] : [];
      }),
    );
  const groups = groupsOf(wells).map((group): TrayGroup => {
    const by = (where: (well: Well) => boolean) => group.positionIds.filter((id) => where(wellOf.get(id)!));
    return {
      ...group,
      clean: by((well) => well.cleanedAt !== null),
      soaking: by((well) => well.soakId !== null),
      waiting: by((well) => well.cleanedAt === null && well.soakId === null),
    };
  });
  const left = groupsOf(wells.filter((well) => well.cleanedAt === null && well.soakId === null));
  return {
    groups,
    plan: planCleaning(left),
    apart: keepApart(new Set(groups.map(({ method }) => method))),
    soaks: listSoaks(db).filter((soak) => soak.jobs.some(({ jobId }) => jobId === job.id)),
    methodOf,
    dirt,
    carrying,
  };
}

const waitingOf = (db: Db, job: Job, method: CleanMethod): readonly string[] =>
  getCleaning(db, job).groups.find((group) => group.method === method)?.waiting ?? [];

/**
 * Puts a group into its bath, alone or into one that is running. Parts of like reels share a basket only when this reel's are marked.
 * @throws Refusal when nothing of the group waits, or two like reels would lie unmarked in one basket.
 */
export function beginSoak(
  ctx: Context,
  jobId: number,
  bath: { readonly method: CleanMethod; readonly minutes: number; readonly intoSoakId: number | null; readonly mark: string },
): { soakId: number } {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  if (!isBath(bath.method)) throw new Refusal("no-bath", "This group is cleaned by hand, not in a bath.");
  const parts = waitingOf(db, job, bath.method);
  if (!parts.length) throw new Refusal("nothing", "Nothing in this group is waiting: it is in its bath or already clean.");
  let soakId: number;
  if (bath.intoSoakId === null)
    soakId = Number(
      db.prepare("INSERT INTO soak (method, minutes, started_at) VALUES (?, ?, ?)").run(bath.method, bath.minutes, ctx.now).lastInsertRowid,
    );
  else {
    const soak = listSoaks(db).find(({ id }) => id === bath.intoSoakId);
    if (!soak || soak.method !== bath.method) throw new Refusal("no-soak", "That bath has been emptied. Start another.", "intoSoakId");
    const modelId = machineOf(db, job).model.id;
    const like = soak.jobs.find((other) => other.jobId !== jobId && other.modelId === modelId);
    if (like && (!bath.mark || bath.mark === like.mark))
      throw new Refusal(
        "like-reels",
        `${like.tag} is a similar reel: their parts cannot be told apart in one basket. Mark these (a red thread, a lidded sieve), or use a separate basket.`,
        "mark",
      );
    soakId = soak.id;
    // The parts that came last set when the bath is up.
    const until = minutesPassed(soak.startedAt, ctx.now) + bath.minutes;
    db.prepare("UPDATE soak SET minutes = max(minutes, ?) WHERE id = ?").run(until, soakId);
  }
  const add = db.prepare("INSERT INTO soak_part (soak_id, job_id, position_id, mark) VALUES (?, ?, ?, ?)");
  for (const positionId of parts) add.run(soakId, jobId, positionId, bath.mark);
  writeJournal(ctx, "soak-begun", { jobId, reelId: job.reel.id }, { method: bath.method, parts: parts.length, minutes: bath.minutes });
  advanceStation(ctx, job, "clean");
  return { soakId };
}

/**
 * Counts a reel's parts back out of a bath into their wells. What is named missing is lost in the bath: it is foreseen and wanted anew.
 * @returns what was said of each missing part at Quote and Stores.
 */
export function countBack(ctx: Context, jobId: number, soakId: number, missing: readonly string[]): { words: string } {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  const inBath = db
    .prepare("SELECT position_id FROM soak_part WHERE soak_id = ? AND job_id = ? AND back IS NULL")
    .pluck()
    .all(soakId, jobId) as string[];
  if (!inBath.length) throw new Refusal("counted", "These have already been counted in.");
  const method = db.prepare("SELECT method FROM soak WHERE id = ?").pluck().get(soakId) as CleanMethod;
  const stranger = missing.find((id) => !inBath.includes(id));
  if (stranger) throw new Refusal("not-in-bath", "One of these was not in this bath. Reload the page.");
  const names = new Map(machineOf(db, job).anatomy.positions.map((position) => [position.id, position.name]));
  const said: string[] = [];
  for (const positionId of inBath) {
    const lost = missing.includes(positionId);
    db.prepare("UPDATE soak_part SET back = ? WHERE soak_id = ? AND job_id = ? AND position_id = ?").run(
      lost ? "missing" : "well",
      soakId,
      jobId,
      positionId,
    );
    if (!lost) {
      markClean(ctx, jobId, positionId, method);
      continue;
    }
    const well = listWells(db, jobId).find((one) => one.positionId === positionId)!;
    const note = [well.note, "lost in the bath"].filter(Boolean).join("; ").slice(0, 300);
    const { words } = noteWell(ctx, jobId, positionId, { verdict: "missing", orientation: well.orientation, note, at: "clean" });
    said.push(`${names.get(positionId)}: ${words}`);
  }
  const left = db.prepare("SELECT count(*) FROM soak_part WHERE soak_id = ? AND back IS NULL").pluck().get(soakId) as number;
  if (!left) db.prepare("UPDATE soak SET ended_at = ? WHERE id = ?").run(ctx.now, soakId);
  writeJournal(
    ctx,
    "soak-counted",
    { jobId, reelId: job.reel.id },
    { soak: soakId, back: inBath.length - missing.length, missing: missing.length },
  );
  return { words: said.join("\n") };
}

/** Takes a reel's parts out of a bath again as dirty as they went in: the undo of a press. */
export function cancelSoak(ctx: Context, jobId: number, soakId: number): void {
  const job = getOpenJob(ctx.db, jobId);
  const { changes } = ctx.db.prepare("DELETE FROM soak_part WHERE soak_id = ? AND job_id = ? AND back IS NULL").run(soakId, jobId);
  if (!changes) throw new Refusal("counted", "These have already been counted in.");
  ctx.db
    .prepare("UPDATE soak SET ended_at = ? WHERE id = ? AND NOT EXISTS (SELECT 1 FROM soak_part WHERE soak_id = soak.id AND back IS NULL)")
    .run(ctx.now, soakId);
  writeJournal(ctx, "cleaning-undone", { jobId, reelId: job.reel.id }, { soak: soakId });
}

const markClean = (ctx: Context, jobId: number, positionId: string, how: CleanMethod): void => {
  ctx.db
    .prepare("UPDATE tray_well SET cleaned_at = ?, cleaned_how = ? WHERE job_id = ? AND position_id = ?")
    .run(ctx.now, how, jobId, positionId);
};

/** A group done by hand: brushed, wiped, swabbed, polished, or left alone on purpose. */
export function cleanedByHand(ctx: Context, jobId: number, method: CleanMethod): void {
  const job = getOpenJob(ctx.db, jobId);
  if (isBath(method)) throw new Refusal("bath", `${cleanMethods[method].name}: put it in its bath and count it back in.`);
  const parts = waitingOf(ctx.db, job, method);
  if (!parts.length) throw new Refusal("nothing", "Nothing in this group is waiting.");
  for (const positionId of parts) markClean(ctx, jobId, positionId, method);
  writeJournal(ctx, "cleaned-by-hand", { jobId, reelId: job.reel.id }, { method, parts: parts.length });
  advanceStation(ctx, job, "clean");
}

/** Everything that waits, cleaned by hand in one go: each part in the way by hand that stands for its bath. What soaks goes on soaking. */
export function cleanedAllByHand(ctx: Context, jobId: number): void {
  const job = getOpenJob(ctx.db, jobId);
  const waiting = getCleaning(ctx.db, job).groups.flatMap(({ method, waiting: ids }) =>
    ids.map((id) => [id, handMethodOf(method)] as const),
  );
  if (!waiting.length) throw new Refusal("nothing", "Nothing is waiting to be cleaned.");
  for (const [positionId, how] of waiting) markClean(ctx, jobId, positionId, how);
  writeJournal(ctx, "all-cleaned-by-hand", { jobId, reelId: job.reel.id }, { parts: waiting.length });
  advanceStation(ctx, job, "clean");
}

/**
 * Says how one part is cleaned when not as its kind is; null gives it back to its kind.
 * @throws Refusal when it would spoil the part, lies in a bath, or is not in the tray.
 */
export function cleanPartAs(ctx: Context, jobId: number, positionId: string, method: CleanMethod | null): void {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  const version = machineOf(db, job);
  const well = listWells(db, jobId).find((one) => one.positionId === positionId);
  const type = version.partTypes.get(version.anatomy.positions.find(({ id }) => id === positionId)?.partTypeId ?? "");
  if (!well || !type) throw new Refusal("not-in-tray", "This part is not in the tray. Take it off first.");
  if (well.soakId !== null) throw new Refusal("in-bath", "It is in a bath. Count it back in first.");
  const carrying = getCleaning(db, job, version).carrying.has(positionId);
  if (method !== null && !cleanMethodsFor(type, carrying).includes(method))
    throw new Refusal(
      "spoils",
      `“${cleanMethods[method].name}” would spoil ${carrying ? "what is still in it" : type.material}. Choose another way.`,
      "method",
    );
  db.prepare("UPDATE tray_well SET clean_as = ?, cleaned_at = NULL, cleaned_how = NULL WHERE job_id = ? AND position_id = ?").run(
    method,
    jobId,
    positionId,
  );
  writeJournal(ctx, "cleaned-otherwise", { jobId, reelId: job.reel.id }, { position: positionId, method });
}

/** A group, or all of the tray, is to be cleaned again: the undo of a press too. */
export function cleanAgain(ctx: Context, jobId: number, method: CleanMethod | null): void {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  const clean = getCleaning(db, job)
    .groups.filter((one) => method === null || one.method === method)
    .flatMap((one) => one.clean);
  if (!clean.length) throw new Refusal("nothing", "None of this is clean yet.");
  const set = db.prepare("UPDATE tray_well SET cleaned_at = NULL, cleaned_how = NULL WHERE job_id = ? AND position_id = ?");
  for (const positionId of clean) set.run(jobId, positionId);
  writeJournal(ctx, "cleaning-undone", { jobId, reelId: job.reel.id }, method === null ? {} : { method });
}
