import { cleanMethods } from "@/core/cleaning/methods";
import { listSoaks } from "@/data/bench/cleaning";
import { getDb } from "../../server";

/** The baths that run, for the bell on every page. */
export function GET(): Response {
  return Response.json({
    now: Date.now(),
    soaks: listSoaks(getDb()).map(({ id, method, dueAt, jobs }) => ({
      id,
      name: cleanMethods[method].name,
      dueMs: Date.parse(dueAt),
      tags: jobs.map(({ tag, parts }) => ({ tag, parts })),
    })),
  });
}
