import { mayGrow } from "@/core/anatomy/grow-anatomy";
import { type Case, findingOfTest, type Observation, verdictWeights } from "@/core/diagnosis/case-net";
import { comebackPrior, type LastVisit, type LastWork } from "@/core/diagnosis/comeback-priors";
import { type Diagnosis, diagnose } from "@/core/diagnosis/diagnose";
import type { FindingId } from "@/core/diagnosis/finding-table";
import { type NextTest, nextTests } from "@/core/diagnosis/next-looks";
import { type Norm, numberWeight, withVerdict } from "@/core/diagnosis/number-weight";
import { type WeighedClaim, weighClaim } from "@/core/diagnosis/purchase-check";
import { type Count, lotCounts, shopPrior } from "@/core/diagnosis/shop-priors";
import { mayHave, signOn } from "@/core/diagnosis/signs-on-reel";
import { groupBy } from "@/core/group-by";
import { findingOfComplaint, lifeFactorsOf } from "@/core/intake/complaint-findings";
import { protocolFor, testSpec } from "@/core/proving/protocol";
import { median } from "@/core/quantile";
import { warrantyEnds } from "@/core/shop/duties";
import { sayMeasure } from "@/core/units/say-measure";
import { conditionMarks } from "@/core/vocabulary/counter-lists";
import type { TestId } from "@/core/vocabulary/tests";
import type { UseFactor } from "@/core/vocabulary/use";
import { familyOf } from "@/data/catalogue/built";
import { readSerial } from "@/data/catalogue/editions";
import type { ModelVersion } from "@/data/catalogue/models";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { revisionOf, writeJournal } from "@/data/database/journal";
import { keptAnswer, lastReadingAfter } from "@/data/database/kept-answers";
import { findJob, getOpenJob, type Job } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { listFittedParts } from "@/data/jobs/pieces";
import { getShopSettings } from "@/data/shop/settings";
import { addFault, listFaults, withdrawFault } from "./faults";
import { faultOf, knowledgeOf } from "./knowledge";
import { listObservations } from "./observations";

const isFinding = (db: Db, id: string): id is FindingId => knowledgeOf(db).findings.some((finding) => finding.id === id);

/** Whether something of this reel could show a finding: a fault that it can have. */
function mayBeSeen(db: Db, job: Job, finding: FindingId): boolean {
  const { faults, links } = knowledgeOf(db);
  const roles = rolesIn(db, machineOf(db, job));
  const possible = new Set(faults.flatMap((fault) => (mayHave(fault, roles) ? [fault.id] : [])));
  const signs = links.filter((link) => link.finding === finding);
  return !signs.length || signs.some(({ fault }) => possible.has(fault));
}

/** Notes what a look showed; null takes the answer back. */
export function recordLook(ctx: Context, jobId: number, findingId: string, so: boolean | null): void {
  const job = getOpenJob(ctx.db, jobId);
  if (!isFinding(ctx.db, findingId)) throw new Refusal("no-finding", "There is no such check. Reload the page.");
  if (so !== null && !mayBeSeen(ctx.db, job, findingId))
    throw new Refusal("not-on-this-reel", "This reel has no such part, so there is nothing to check. Choose another check.");
  if (so === null) ctx.db.prepare("DELETE FROM look WHERE job_id = ? AND finding_id = ?").run(jobId, findingId);
  else
    ctx.db
      .prepare(
        "INSERT INTO look (job_id, finding_id, so, at, person_id) VALUES (?, ?, ?, ?, ?) ON CONFLICT DO UPDATE SET so = excluded.so, at = excluded.at, person_id = excluded.person_id",
      )
      .run(jobId, findingId, Number(so), ctx.now, ctx.person.id);
  writeJournal(ctx, "looked-at", { jobId, reelId: job.reel.id }, { finding: findingId, so });
}

/** Proved, ruled out, or open again. A proved fault becomes a task of the job with its parts foreseen; a ruled-out one is no task. */
export function settleFault(ctx: Context, jobId: number, faultId: string, proved: boolean | null): void {
  const { db } = ctx;
  const job = getOpenJob(db, jobId);
  const fault = faultOf(db, faultId);
  if (!fault) throw new Refusal("no-fault", "This fault is not in the catalogue. Choose one from the list.");
  if (proved !== null && !mayHave(fault, rolesIn(db, machineOf(db, job))))
    throw new Refusal("not-on-this-reel", "This reel has no such part, so it has no such fault. Choose one from the list.");
  if (proved === true) addFault(ctx, jobId, faultId, "");
  else withdrawFault(ctx, jobId, faultId);
  if (proved === null) db.prepare("DELETE FROM settled_fault WHERE job_id = ? AND fault_id = ?").run(jobId, faultId);
  else
    db.prepare(
      "INSERT INTO settled_fault (job_id, fault_id, proved, at) VALUES (?, ?, ?, ?) ON CONFLICT DO UPDATE SET proved = excluded.proved, at = excluded.at",
    ).run(jobId, faultId, Number(proved), ctx.now);
  writeJournal(ctx, "fault-settled", { jobId, reelId: job.reel.id }, { fault: faultId, proved });
}

export const listLooks = (db: Db, jobId: number): ReadonlyMap<FindingId, boolean> =>
  new Map(
    (
      db.prepare("SELECT finding_id AS finding, so FROM look WHERE job_id = ? ORDER BY at, finding_id").all(jobId) as {
        finding: FindingId;
        so: 0 | 1;
      }[]
    ).map(({ finding, so }) => [finding, so === 1]),
  );

/** By job, the faults that were proved (true) or ruled out. */
export function settledOf(db: Db, jobIds: readonly number[]): ReadonlyMap<number, ReadonlyMap<string, boolean>> {
  const rows = groupBy(
    db
      .prepare("SELECT job_id AS jobId, fault_id AS fault, proved FROM settled_fault WHERE job_id IN (SELECT value FROM json_each(?))")
      .all(JSON.stringify(jobIds)) as { jobId: number; fault: string; proved: 0 | 1 }[],
    ({ jobId }) => jobId,
  );
  return new Map(jobIds.map((id) => [id, new Map((rows.get(id) ?? []).map(({ fault, proved }) => [fault, proved === 1]))]));
}

export const listSettled = (db: Db, jobId: number): ReadonlyMap<string, boolean> => settledOf(db, [jobId]).get(jobId)!;

/**
 * What this bench settled of each fault, in a family and in one of its models, without the job in question. Only reels in which the fault was
 * proved or ruled out count; of one sender's like reels of one month no more than a few.
 */
function listCounts(db: Db, job: Job, model: { id: string; family: string }): ReadonlyMap<string, { family: Count; model: Count }> {
  const standing = db
    .prepare("SELECT count(*) || ' ' || coalesce(sum(proved), 0) || ' ' || coalesce(max(job_id), 0) FROM settled_fault")
    .pluck()
    .get();
  return keptAnswer(db, `counts ${job.id} ${model.id}`, String(standing), () => countSettled(db, job, model));
}

function countSettled(db: Db, job: Job, model: { id: string; family: string }): Map<string, { family: Count; model: Count }> {
  const rows = db
    .prepare(
      `WITH ranked AS (
         SELECT settled_fault.fault_id AS fault, settled_fault.proved, model.id AS model_id,
                row_number() OVER (PARTITION BY settled_fault.fault_id, job.customer_id, model.id, substr(job.opened_at, 1, 7) ORDER BY job.id) AS place
         FROM settled_fault JOIN job ON job.id = settled_fault.job_id JOIN reel ON reel.id = job.reel_id JOIN model ON model.id = reel.model_id
         WHERE model.family = @family AND job.id <> @job)
       SELECT fault, count(*) AS settled, sum(proved) AS proved, sum(model_id = @model) AS modelSettled, sum(proved AND model_id = @model) AS modelProved
       FROM ranked WHERE place <= @most GROUP BY fault`,
    )
    .all({ family: model.family, model: model.id, job: job.id, most: lotCounts }) as {
    fault: string;
    settled: number;
    proved: number;
    modelSettled: number;
    modelProved: number;
  }[];
  return new Map(
    rows.map((row) => [
      row.fault,
      { family: { proved: row.proved, settled: row.settled }, model: { proved: row.modelProved, settled: row.modelSettled } },
    ]),
  );
}

const readingsAfter = (db: Db, modelId: string) =>
  keptAnswer(db, `readings after ${modelId}`, lastReadingAfter(db), () => readAfter(db, modelId));

const readAfter = (db: Db, modelId: string) =>
  groupBy(
    db
      .prepare(
        `SELECT observation.test_id AS test, observation.value FROM observation JOIN job ON job.id = observation.job_id
         JOIN model_version ON model_version.id = job.model_version_id
         WHERE model_version.model_id = ? AND observation.phase = 'after' AND observation.value > 0 AND observation.simulated = 0 ORDER BY observation.value`,
      )
      .all(modelId) as { test: TestId; value: number }[],
    ({ test }) => test,
  );

/** Fewest readings a norm of this model's own is made from. */
const leastReadings = 3;
/** Where the model has no record of its own (rule of thumb). */
const rules: Partial<Record<TestId, Norm>> = {
  turning: { median: 10, spread: 0.3, count: 0 },
  "free-spool": { median: 28, spread: 0.35, count: 0 },
};

/** What a test of a model usually reads once the reel is sound: its readings after service, from this shop's jobs. */
export function normOf(db: Db, modelId: string, test: TestId): Norm | null {
  const values = (readingsAfter(db, modelId).get(test) ?? []).map(({ value }) => Math.log(value));
  if (values.length < leastReadings) return rules[test] ?? null;
  const middle = median(values);
  const spread = Math.sqrt(values.reduce((sum, v) => sum + (v - middle) ** 2, 0) / values.length);
  // A handful of readings that agree by chance must not make a cliff.
  return { median: Math.exp(middle), spread: Math.max(0.15, spread), count: values.length };
}

/** Roles of the parts a reel has; one that no drawing knows, or whose drawing is only guessed, may have all that its family has. */
export function rolesIn(db: Db, { model, anatomy, partTypes }: ModelVersion): ReadonlySet<string> {
  const own = anatomy.positions.map(({ partTypeId }) => partTypes.get(partTypeId)!.role);
  return new Set(mayGrow(anatomy) ? [...own, ...familyOf(db, model).parts.map(({ role }) => role)] : own);
}

/** The case of a job as it stands: complaint, tests, looks, what is settled, this reel's own roles and life, the shop's own counts. */
export function caseOf(db: Db, job: Job): Case {
  const machine = machineOf(db, job);
  const roles = rolesIn(db, machine);
  const observations: Observation[] = [];
  for (const complaint of job.intake.complaints) {
    const finding = findingOfComplaint[complaint];
    if (finding) observations.push({ by: "told", finding: signOn(finding, roles) });
  }
  for (const test of listObservations(db, job.id)) {
    if (test.phase !== "before") continue;
    const { better } = testSpec(test.testId);
    const norm = test.value !== null && better !== "none" ? normOf(db, machine.model.id, test.testId) : null;
    const finding = signOn(findingOfTest[test.testId], roles);
    // Number and verdict count together: a technician's "bad" is never dropped because a number stands beside it.
    if (norm && test.value !== null && better !== "none")
      observations.push({
        by: "number",
        finding,
        weight: withVerdict(numberWeight(test.value, norm, better), verdictWeights[test.verdict]),
      });
    else observations.push({ by: "test", finding, verdict: test.verdict });
  }
  for (const [finding, so] of listLooks(db, job.id)) observations.push({ by: "look", finding, so });
  const year = readSerial(db, machine.model, job.reel.serial)?.year ?? null;
  const last = lastWorkOf(db, job);
  const use = [
    ...new Set<UseFactor>([
      ...lifeFactorsOf(job.intake, year, Number(job.openedAt.slice(0, 4))),
      ...(job.kind === "purchase-check" ? (["second-hand"] as const) : []),
      // What a hand before us can have done wrong, we can have too.
      ...(last ? (["opened"] as const) : []),
    ]),
  ];
  const knowledge = knowledgeOf(db);
  const counts = listCounts(db, job, machine.model);
  const priors = new Map<string, number>();
  for (const { id, needs, remedy } of knowledge.faults) {
    const count = counts.get(id);
    const prior = count ? shopPrior(knowledge.priorOf(id, use), count.family, count.model) : knowledge.priorOf(id, use);
    if (last) priors.set(id, comebackPrior(prior, id, [...remedy.partRoles, ...(needs ? [needs] : [])], last));
    else if (count) priors.set(id, prior);
  }
  return { roles, use, observations, settled: listSettled(db, job.id), priors, knowledge };
}

/** What was found and renewed in the job whose work came back; null for any other job. */
function lastWorkOf(db: Db, job: Job): LastWork | null {
  if (job.comebackOf === null) return null;
  return {
    faults: new Set(listFaults(db, job.comebackOf).map((finding) => finding.faultId)),
    renewed: new Set(listFittedParts(db, job.comebackOf).map((part) => part.role)),
  };
}

export function lastVisitOf(db: Db, job: Job): LastVisit | null {
  const last = job.comebackOf === null ? null : findJob(db, job.comebackOf);
  if (!last) return null;
  const protocol = protocolFor(machineOf(db, last).model.family);
  const { shownForce: force, warrantyMonths } = getShopSettings(db);
  const warrantedTo = warrantyEnds((last.closedAt ?? last.openedAt).slice(0, 10), warrantyMonths);
  return {
    tag: last.tag,
    closedAt: last.closedAt ?? last.openedAt,
    warrantedTo,
    inWarranty: warrantedTo !== null && job.openedAt.slice(0, 10) <= warrantedTo,
    found: listFaults(db, last.id).map(({ faultId }) => faultOf(db, faultId)?.name ?? faultId),
    renewed: listFittedParts(db, last.id).map((part) => part.positionName),
    measured: listObservations(db, last.id)
      .filter(({ phase }) => phase === "after")
      .map(({ testId, verdict, value, unit, simulated }) => ({
        testId,
        name: protocol.find(({ id }) => id === testId)?.name ?? testId,
        words: value === null ? verdict : `${sayMeasure(value, unit, force)}${simulated ? " (simulated)" : ""}`,
      })),
  };
}

/** What a seller says of the reel, each beside what was found so far. Empty but for a purchase check. */
export function claimsOf(db: Db, job: Job): WeighedClaim[] {
  const machine = machineOf(db, job);
  const roles = rolesIn(db, machine);
  const { faults, links } = knowledgeOf(db);
  const able = new Set(faults.filter((fault) => mayHave(fault, roles)).map(({ id }) => id));
  const names = new Map(protocolFor(machine.model.family).map(({ id, name }) => [id, name]));
  const evidence = {
    looks: listLooks(db, job.id),
    tests: new Map(
      listObservations(db, job.id)
        .filter(({ phase }) => phase === "before")
        .map(({ testId, verdict }) => [testId, { name: names.get(testId) ?? testId, verdict }]),
    ),
    conditions: job.intake.conditions.map((id) => ({ id, name: conditionMarks[id] })),
    possible: new Set(links.filter(({ fault }) => able.has(fault)).map(({ finding }) => finding)),
  };
  return (job.intake.claims ?? []).map((claim) => weighClaim(claim, evidence));
}

/** All of a case in letters: the same letters are the same case. */
const lettersOf = (subject: Case): string =>
  JSON.stringify(subject, (_, value: unknown) => (value instanceof Map ? [...value] : value instanceof Set ? [...value] : value));

/** The diagnosis of a job, and what to look at next: worked out anew when anything of its case has changed. */
export function diagnosisOf(db: Db, job: Job): { subject: Case; diagnosis: Diagnosis; next: NextTest[] } {
  const subject = keptAnswer(db, `case of ${job.id}`, String(revisionOf(db)), () => caseOf(db, job));
  return keptAnswer(db, `diagnosis ${job.id}`, lettersOf(subject), () => ({
    subject,
    diagnosis: diagnose(subject),
    next: nextTests(subject),
  }));
}
