import { readFile } from "@/app/server/reading";
import { cleanMethods } from "@/core/cleaning/methods";
import { listSoaks } from "@/data/bench/cleaning";

/** The baths that run, for the bell on every page. */
export const GET = readFile("rack", (db) =>
  Response.json({
    now: Date.now(),
    soaks: listSoaks(db).map(({ id, method, dueAt, jobs }) => ({
      id,
      name: cleanMethods[method].name,
      dueMs: Date.parse(dueAt),
      tags: jobs.map(({ tag, parts }) => ({ tag, parts })),
    })),
  }),
);
