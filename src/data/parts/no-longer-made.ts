import { type Grade, grades, gradeWords } from "@/core/interchange/interchange";
import { freeInBin } from "@/core/ordering/free-in-bin";
import { listFitsOfModel } from "@/data/catalogue/interchange";
import { findPartType } from "@/data/catalogue/part-types";
import { type Context, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { writeJournal } from "@/data/database/journal";
import { findJob, getOpenJob } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { listOpenNeedsById } from "@/data/parts/needs";
import { strike } from "@/data/parts/quote-parts";
import { listDonorPieces } from "./donors";
import { listStock } from "./stock";
import { offersOf } from "./suppliers";

/** What is left where nobody sells a part: a donor, another part that will do, our own hands, or words for its owner. */
export interface OtherWay {
  readonly kind: "donor" | "instead";
  /** How far a need's lowest grade has to go for it. */
  readonly grade: Grade;
  readonly words: string;
}

export const isNoLongerMade = (db: Db, partTypeId: string): boolean =>
  db.prepare("SELECT no_longer_made FROM part_type WHERE id = ?").pluck().get(partTypeId) === 1;

/** Where a piece for an open need could come from beyond what its grade allows now, best first. */
export function otherWays(db: Db, needId: number): OtherWay[] {
  const need = listOpenNeedsById(db, [needId]).get(needId);
  if (!need) return [];
  const job = findJob(db, need.jobId);
  if (!job) return [];
  const fits = listFitsOfModel(db, job.reel.modelId).get(need.positionId) ?? [];
  const ids = [...new Set([need.partTypeId, ...fits.map(({ partTypeId }) => partTypeId)])];
  const offers = offersOf(db, ids);
  const free = new Map(listStock(db).map((line) => [line.partTypeId, freeInBin(line)]));
  const instead = fits
    .filter(
      ({ partTypeId, grade }) =>
        grade !== "donor-only" &&
        partTypeId !== need.partTypeId &&
        ((offers.get(partTypeId)?.length ?? 0) > 0 || (free.get(partTypeId) ?? 0) > 0),
    )
    .map(({ partTypeId, grade, note, mark }): OtherWay => {
      const type = findPartType(db, partTypeId)!;
      const where = (free.get(partTypeId) ?? 0) > 0 ? "here in its bin" : `from ${offers.get(partTypeId)![0]!.supplierName}`;
      return {
        kind: "instead",
        grade,
        words: [`${type.number} ${type.name}, ${where}`, gradeWords[grade], note, mark && `look for ${mark}`].filter(Boolean).join("; "),
      };
    });
  const donors = listDonorPieces(db)
    .filter(({ partTypeId, condition }) => ids.includes(partTypeId) && condition === "good")
    .map(
      ({ number, name, condition, drawer, origin }): OtherWay => ({
        kind: "donor",
        grade: "donor-only",
        words: `${number} ${name}, ${condition}, off ${origin}${drawer ? `, drawer ${drawer}` : ""}`,
      }),
    );
  return [...instead.sort((a, b) => grades.indexOf(a.grade) - grades.indexOf(b.grade)), ...donors];
}

/**
 * A piece cannot be had: its need ends, it leaves the quote, and its owner is told so in the report.
 * @throws Refusal when the need is not open any more.
 */
export function cannotBeHad(ctx: Context, needId: number, words: string): void {
  const need = listOpenNeedsById(ctx.db, [needId]).get(needId);
  if (!need) throw new Refusal("ordered", "This part is already on order, or was withdrawn. Reload the page.");
  const job = getOpenJob(ctx.db, need.jobId);
  ctx.db
    .prepare(
      `INSERT INTO not_to_be_had (job_id, position_id, part_type_id, words, at, person_id) VALUES (?, ?, ?, ?, ?, ?)
       ON CONFLICT DO UPDATE SET part_type_id = excluded.part_type_id, words = excluded.words, at = excluded.at, person_id = excluded.person_id`,
    )
    .run(need.jobId, need.positionId, need.partTypeId, words, ctx.now, ctx.person.id);
  strike(ctx, need.jobId, need.positionId);
  writeJournal(ctx, "cannot-be-had", { jobId: job.id, reelId: job.reel.id }, { position: need.positionId, part: need.partTypeId });
}

/** What could not be had for a job and was not fitted in the end either. */
export const listNotToBeHad = (db: Db, jobId: number): { readonly positionId: string; readonly words: string }[] =>
  db
    .prepare(
      `SELECT position_id AS positionId, words FROM not_to_be_had WHERE job_id = @job
         AND NOT EXISTS (SELECT 1 FROM instance WHERE instance.fitted_job_id = @job AND instance.position_id = not_to_be_had.position_id)
       ORDER BY at, position_id`,
    )
    .all({ job: jobId }) as { positionId: string; words: string }[];

/** What its owner could be told of a need, to be changed by hand. */
export function wordsForOwner(db: Db, needId: number): string {
  const need = listOpenNeedsById(db, [needId]).get(needId);
  const job = need && findJob(db, need.jobId);
  if (!job) return "";
  const seat = machineOf(db, job).anatomy.positions.find(({ id }) => id === need.positionId)?.name ?? "this part";
  return isNoLongerMade(db, need.partTypeId)
    ? `The ${seat.toLowerCase()} is no longer made and none could be found. The old one was refitted.`
    : `No ${seat.toLowerCase()} was available. The old one was refitted.`;
}

/** Takes out what was said to a customer of parts nobody sells. */
export const forgetWordsOfNotToBeHad = (db: Db, customerId: number): void => {
  db.prepare("UPDATE not_to_be_had SET words = 'erased' WHERE job_id IN (SELECT id FROM job WHERE customer_id = ?)").run(customerId);
};
