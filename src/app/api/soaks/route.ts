import { today } from "@/app/server/clock";
import { readFile } from "@/app/server/reading";
import { cleanMethods } from "@/core/cleaning/methods";
import { listSoaks } from "@/data/bench/cleaning";
import { listPiecesHere } from "@/data/parts/arrivals";

/** The baths that run and the pieces that came, for the bell on every page. */
export const GET = readFile("rack", (db) =>
  Response.json({
    now: Date.now(),
    soaks: listSoaks(db).map(({ id, method, dueAt, jobs }) => ({
      id,
      name: cleanMethods[method].name,
      dueMs: Date.parse(dueAt),
      tags: jobs.map(({ tag, parts }) => ({ tag, parts })),
    })),
    // What came today for reels that wait for nothing else.
    here: listPiecesHere(db, `${today()}T00:00:00`),
  }),
);
