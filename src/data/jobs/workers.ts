import { buildActs } from "@/core/acts/build/acts";
import { cleanActs } from "@/core/acts/clean/acts";
import { stripActs } from "@/core/acts/strip/acts";
import { testActs } from "@/core/acts/test/acts";
import type { Db } from "@/data/database/database";

/** What the journal calls work of the hands. */
const handWork: readonly string[] = [testActs, stripActs, cleanActs, buildActs].flatMap((acts) =>
  acts.flatMap(({ journals }) => [...journals]),
);

/** Who worked on a job with their hands, whoever did most of it first. */
export const workersOf = (db: Db, jobId: number): string[] =>
  db
    .prepare(
      `SELECT person.name FROM journal JOIN person ON person.id = journal.person_id
       WHERE journal.job_id = ? AND journal.action IN (SELECT value FROM json_each(?)) GROUP BY person.id ORDER BY count(*) DESC, person.name`,
    )
    .pluck()
    .all(jobId, JSON.stringify(handWork)) as string[];
