import { z } from "zod";
import { seatOfPlacing } from "@/core/anatomy/types";
import { type JournalNames, journalSentence } from "@/core/journal/journal-sentence";
import { testOn } from "@/core/proving/protocol";
import { familyIds } from "@/core/vocabulary/families";
import { testIds } from "@/core/vocabulary/tests";
import { findPartTypes } from "@/data/catalogue/part-types";
import type { Db } from "@/data/database/database";
import { type JournalEntry, listJournal, listJournalOfCustomer } from "@/data/database/journal";
import { rows } from "@/data/database/rows";
import { faultNamer, knowledgeOf } from "@/data/diagnosis/knowledge";

const familyOfReel = z.object({ id: z.number(), family: z.enum(familyIds) });
const testIdSchema = z.enum(testIds);

export interface JournalLine {
  readonly id: number;
  readonly at: string;
  readonly tag: string | null;
  readonly sentence: string;
  /** The device it was done from, where that was another than this computer. */
  readonly device: string | null;
}

/** The newest entries first, as sentences with names: the same few statements for a page of them as for one. */
export const listJournalSentences = (db: Db, filter: { jobId?: number; limit: number; before?: number }): JournalLine[] =>
  sentencesOf(db, listJournal(db, filter));

/** What the journal says of one customer and the jobs of theirs, newest first. */
export const listJournalSentencesOf = (db: Db, customerId: number, limit?: number): JournalLine[] =>
  sentencesOf(db, listJournalOfCustomer(db, customerId, limit));

function sentencesOf(db: Db, entries: readonly JournalEntry[]): JournalLine[] {
  const ids = (key: "jobId" | "reelId" | "customerId") => JSON.stringify([...new Set(entries.flatMap((entry) => entry[key] ?? []))]);
  const idsUnder = (key: string) => entries.flatMap(({ detail }) => (detail[key] === undefined ? [] : [String(detail[key])]));
  const named = (sql: string, list: string) => new Map((db.prepare(sql).raw().all(list) as [string | number, string][]).map((row) => row));
  const seats = named(
    `SELECT job.id || ' ' || position.id, position.name FROM job JOIN position ON position.model_version_id = job.model_version_id
     WHERE job.id IN (SELECT value FROM json_each(?))`,
    ids("jobId"),
  );
  const steps = named(
    `SELECT job.id || ' ' || operation.id, coalesce(operation.act ->> 'words', '') FROM job
     JOIN operation ON operation.model_version_id = job.model_version_id WHERE job.id IN (SELECT value FROM json_each(?))`,
    ids("jobId"),
  );
  const assemblies = named(
    `SELECT job.id || ' ' || assembly.id, assembly.name FROM job JOIN assembly ON assembly.model_version_id = job.model_version_id
     WHERE job.id IN (SELECT value FROM json_each(?))`,
    ids("jobId"),
  );
  const customers = named("SELECT id, name FROM customer WHERE id IN (SELECT value FROM json_each(?))", ids("customerId"));
  const families = new Map(
    rows(
      familyOfReel,
      db
        .prepare(
          "SELECT reel.id, model.family FROM reel JOIN model ON model.id = reel.model_id WHERE reel.id IN (SELECT value FROM json_each(?))",
        )
        .all(ids("reelId")),
    ).map(({ id, family }) => [id, family]),
  );
  const reels = named(
    `SELECT reel.id, model.maker || ' ' || model.name || CASE reel.serial WHEN '' THEN '' ELSE ', serial ' || reel.serial END
     FROM reel JOIN model ON model.id = reel.model_id WHERE reel.id IN (SELECT value FROM json_each(?))`,
    ids("reelId"),
  );
  const models = named(
    "SELECT id, maker || ' ' || name FROM model WHERE id IN (SELECT value FROM json_each(?))",
    JSON.stringify([...idsUnder("model"), ...idsUnder("modelId")]),
  );
  const suppliers = named(
    "SELECT id, name FROM supplier WHERE id IN (SELECT value FROM json_each(?))",
    JSON.stringify(idsUnder("supplier")),
  );
  const people = named(
    "SELECT id, name FROM person WHERE id IN (SELECT value FROM json_each(?))",
    JSON.stringify(idsUnder("personId").map(Number)),
  );
  const parts = findPartTypes(db, idsUnder("part"));
  const faultOf = faultNamer(db);
  const findings = idsUnder("finding").length
    ? new Map<string, string>(knowledgeOf(db).findings.map(({ id, name }) => [id, name]))
    : new Map();
  return entries.map((entry) => {
    const seat = (id: unknown) => seats.get(`${entry.jobId} ${String(id)}`) ?? "a part";
    const part = (id: unknown) => {
      const type = parts.get(String(id));
      return type ? `${type.number} ${type.name}` : "a part";
    };
    const names: JournalNames = {
      seat,
      // A step every seat has was never written down with the model.
      step: (id) => {
        const placed = seatOfPlacing(String(id));
        return steps.get(`${entry.jobId} ${String(id)}`) || (placed === null ? "a step" : `Fit ${seat(placed)}`);
      },
      assembly: (id) => assemblies.get(`${entry.jobId} ${String(id)}`) ?? "an assembly",
      part,
      supplier: (id) => suppliers.get(String(id)) ?? "a supplier",
      model: (id) => models.get(String(id)) ?? "a model",
      fault: (id) => faultOf(String(id))?.name ?? "a fault",
      sign: (id) => findings.get(String(id)) ?? "a sign",
      test: (id) => {
        const test = testIdSchema.safeParse(id).data;
        const family = families.get(entry.reelId ?? 0);
        return test === undefined || family === undefined ? "a test" : testOn(family, test).name;
      },
      person: (id) => people.get(Number(id)) ?? "somebody",
      customer: customers.get(entry.customerId ?? 0) ?? "a customer",
      reel: reels.get(entry.reelId ?? 0) ?? "a reel",
    };
    return {
      id: entry.id,
      at: entry.at,
      tag: entry.tag,
      device: entry.device,
      sentence: journalSentence(entry.person, entry.action, entry.detail, names),
    };
  });
}
