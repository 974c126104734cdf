import { seatConstraints } from "@/core/anatomy/constraints";
import type { Anatomy, Batch } from "@/core/anatomy/types";
import { isolate, type ReelSection } from "@/core/diagnosis/isolation";
import { batchesOf } from "@/core/hands/batches";
import type { StripGuide } from "@/core/hands/strip-acts";
import { type Depth, depthOf, type OpenedFor, reachedBy } from "@/core/service/depth";
import { byBenchOrder } from "@/core/teardown/bench-order";
import { heldIn } from "@/core/teardown/held-in";
import { foldRiders, type Opening, planOpening } from "@/core/teardown/opening";
import { removalOrder } from "@/core/teardown/removal-order";
import { sealUnitOf } from "@/core/teardown/seal-unit";
import type { FamilyId } from "@/core/vocabulary/families";
import type { TestId, Verdict } from "@/core/vocabulary/tests";
import { wayInForce } from "@/core/ways/ways";
import type { ModelVersion } from "@/data/catalogue/models";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { listFaults } from "@/data/diagnosis/faults";
import { faultNamer } from "@/data/diagnosis/knowledge";
import { verdictsBefore } from "@/data/diagnosis/observations";
import { getOpenJob, type Job } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { listForeseen } from "@/data/parts/quote-parts";
import { listInPlace, waysOf } from "./ways";

/** How deep a job opens its reel: what is serviced and why, what comes off for it, and the machine with what rides along as one. */
export interface JobOpening {
  readonly depth: Depth;
  readonly opening: Opening;
  /** The machine as it comes apart: what rides on a part is one with it. */
  readonly machine: Anatomy;
  readonly batches: readonly Batch[];
}

/** What is settled of assemblies: why one is open, or that it stays shut. */
const saidOf = (db: Db, jobId: number): ReadonlyMap<string, OpenedFor | "shut"> =>
  new Map(
    (
      db.prepare("SELECT assembly_id AS id, opened, why FROM job_assembly WHERE job_id = ? ORDER BY assembly_id").all(jobId) as {
        id: string;
        opened: 0 | 1;
        why: OpenedFor;
      }[]
    ).map(({ id, opened, why }) => [id, opened ? why : "shut"]),
  );

/** Holds fast what was to be opened when the first part came off: what is found from then on widens it, and never narrows it. */
export function settleOpening(ctx: Context, job: Job): void {
  const add = ctx.db.prepare("INSERT OR IGNORE INTO job_assembly (job_id, assembly_id, opened, why, at) VALUES (?, ?, 1, ?, ?)");
  for (const [id, why] of openingOf(ctx.db, job).depth.open) add.run(job.id, id, why, ctx.now);
}

/** The first part went back: what is opened follows the job again, but for what somebody said. */
export const unsettleOpening = (db: Db, jobId: number): void => {
  db.prepare("DELETE FROM job_assembly WHERE job_id = ? AND why <> 'asked'").run(jobId);
};

/** Where the tests made before service point. */
export function sectionsOfTests(family: FamilyId, verdicts: Partial<Record<TestId, Verdict>>): ReturnType<typeof isolate> {
  const drags = (["drag-light", "drag-strike", "drag-full"] as const).flatMap((id) => verdicts[id] ?? []);
  return isolate(family, {
    ...(verdicts["free-spool"] ? { freeSpool: verdicts["free-spool"] } : {}),
    ...(verdicts.turning ? { turning: verdicts.turning } : {}),
    ...(drags.length ? { drag: drags.find((v) => v === "bad") ?? drags.find((v) => v === "doubtful") ?? drags[0]! } : {}),
    ...(verdicts["anti-reverse"] ? { antiReverse: verdicts["anti-reverse"] } : {}),
    ...(verdicts.click ? { click: verdicts.click } : {}),
  });
}

export function openingOf(db: Db, job: Job, version: ModelVersion = machineOf(db, job)): JobOpening {
  const ways = waysOf(db, job);
  const faultOf = faultNamer(db);
  const depth = depthOf(version.anatomy, version.partTypes, {
    family: version.model.family,
    depth: wayInForce("depth", ways).choice,
    faults: listFaults(db, job.id).flatMap(({ faultId, outcome }) => (outcome === null ? (faultOf(faultId) ?? []) : [])),
    complaints: job.intake.complaints,
    sections: sectionsOfTests(version.model.family, verdictsBefore(db, [job.id]).get(job.id) ?? {}).map(
      ({ section }): ReelSection => section,
    ),
    newParts: listForeseen(db, job.id),
    forService: job.kind === "service" || job.intake.complaints.includes("service"),
    said: saidOf(db, job.id),
  });
  const opening = planOpening(version.anatomy, reachedBy(version.anatomy, depth));
  const machine = foldRiders(version.anatomy, opening.ridesOn);
  const unit = wayInForce("fluidSeal", ways).choice === "here" ? new Set<string>() : sealUnitOf(version.anatomy, version.partTypes);
  return { depth, opening, machine, batches: batchesOf(machine, version.partTypes, unit) };
}

/** Everything expected to come off in the shop's bench order, what is off already among it. */
export function expectedOff(
  db: Db,
  job: Job,
  version: ModelVersion = machineOf(db, job),
  of: JobOpening = openingOf(db, job, version),
): string[] {
  const inPlace = new Set(listInPlace(db, job.id).map(({ positionId }) => positionId));
  // What a left piece holds stays with it.
  const held = heldIn(version.anatomy, inPlace);
  const { machine, opening } = of;
  const constraints = seatConstraints(machine);
  const order = removalOrder(machine).filter((id) => opening.off.has(id) && !inPlace.has(id) && !held.has(id));
  return byBenchOrder(machine, order, wayInForce("benchOrder", waysOf(db, job)).choice, (id, gone) =>
    constraints.every((constraint) => constraint.before !== id || gone.has(constraint.after)),
  );
}

/** What the bench goes by as a reel comes apart. */
export function stripGuideOf(db: Db, job: Job, version: ModelVersion, of: JobOpening): StripGuide {
  return { anatomy: of.machine, types: version.partTypes, batches: of.batches, expected: expectedOff(db, job, version, of) };
}

/** Opens an assembly that the job would leave shut, or leaves one shut; null gives it back to the kind of service and the faults. */
export function openAssembly(ctx: Context, jobId: number, assemblyId: string, opened: boolean | null): void {
  const job = getOpenJob(ctx.db, jobId);
  if (!machineOf(ctx.db, job).anatomy.assemblies.some(({ id }) => id === assemblyId))
    throw new Refusal("no-assembly", "This model has no such assembly. Reload the page.");
  if (opened === null) ctx.db.prepare("DELETE FROM job_assembly WHERE job_id = ? AND assembly_id = ?").run(jobId, assemblyId);
  else
    ctx.db
      .prepare(
        "INSERT INTO job_assembly (job_id, assembly_id, opened, at) VALUES (?, ?, ?, ?) ON CONFLICT DO UPDATE SET opened = excluded.opened, why = 'asked', at = excluded.at",
      )
      .run(jobId, assemblyId, opened ? 1 : 0, ctx.now);
  writeJournal(ctx, "assembly-opened", { jobId, reelId: job.reel.id }, { assembly: assemblyId, opened });
}
