import { z } from "zod";
import { buildActs } from "@/core/acts/build/acts";
import { cleanActs } from "@/core/acts/clean/acts";
import { stripActs } from "@/core/acts/strip/acts";
import { testActs } from "@/core/acts/test/acts";
import { groupBy } from "@/core/group-by";
import type { Db } from "@/data/database/database";
import { id, rows } from "@/data/database/rows";

/** What the journal calls work of the hands. */
const handWork: readonly string[] = [testActs, stripActs, cleanActs, buildActs].flatMap((acts) =>
  acts.flatMap(({ journals }) => [...journals]),
);

const worker = z.object({ jobId: id, name: z.string() });

/** Who worked on each of some jobs with their hands, whoever did most of it first; a job nobody worked on is not in it. */
export function workersOfJobs(db: Db, jobIds: readonly number[]): ReadonlyMap<number, string[]> {
  const found = rows(
    worker,
    db
      .prepare(
        `SELECT journal.job_id AS jobId, person.name FROM journal JOIN person ON person.id = journal.person_id
         WHERE journal.job_id IN (SELECT value FROM json_each(?)) AND journal.action IN (SELECT value FROM json_each(?))
         GROUP BY journal.job_id, person.id ORDER BY count(*) DESC, person.name`,
      )
      .all(JSON.stringify(jobIds), JSON.stringify(handWork)),
  );
  return new Map([...groupBy(found, ({ jobId }) => jobId)].map(([jobId, own]) => [jobId, own.map(({ name }) => name)]));
}

/** Who worked on a job with their hands, whoever did most of it first. */
export const workersOf = (db: Db, jobId: number): string[] => workersOfJobs(db, [jobId]).get(jobId) ?? [];
