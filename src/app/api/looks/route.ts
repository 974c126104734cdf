import { exactNextTests } from "@/data/diagnosis/diagnosis";
import { knowledgeOf } from "@/data/diagnosis/knowledge";
import { findJob } from "@/data/jobs/jobs";
import { shownLooks } from "../../bench/[tag]/shown-looks";
import { getDb } from "../../server";

/** The next looks of a heavy case, from everything that was noticed. Given up when nobody waits for them any more. */
export async function GET(request: Request): Promise<Response> {
  const db = getDb();
  const job = findJob(db, Number(new URL(request.url).searchParams.get("job")));
  if (!job) return new Response("No such job hangs here.", { status: 404 });
  const next = await exactNextTests(db, job, async () => {
    await new Promise<void>((turn) => setImmediate(turn));
    request.signal.throwIfAborted();
  }).catch((error: unknown) => {
    if (request.signal.aborted) return null;
    throw error;
  });
  return next ? Response.json(shownLooks(next, knowledgeOf(db))) : new Response(null, { status: 499 });
}
