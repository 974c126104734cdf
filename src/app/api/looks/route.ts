import { readFile } from "@/app/server/reading";
import { lookLines } from "@/core/diagnosis/look-line";
import { exactNextTests } from "@/data/diagnosis/diagnosis";
import { knowledgeOf } from "@/data/diagnosis/knowledge";
import { findJob } from "@/data/jobs/jobs";

/** The next looks of a heavy case, from everything that was noticed. Given up when nobody waits for them any more. */
export const GET = readFile("jobs", async (db, _: object, request) => {
  const job = findJob(db, Number(new URL(request.url).searchParams.get("job")));
  if (!job) return new Response("There is no such job in the shop.", { status: 404 });
  const next = await exactNextTests(db, job, async () => {
    await new Promise<void>((turn) => setImmediate(turn));
    request.signal.throwIfAborted();
  }).catch((error: unknown) => {
    if (request.signal.aborted) return null;
    throw error;
  });
  return next ? Response.json(lookLines(next, knowledgeOf(db))) : new Response(null, { status: 499 });
});
