import { z } from "zod";
import { getDb } from "@/app/server/db";
import { whoAsks } from "@/app/server/person";
import { queuedActs } from "@/app/server/queued-acts";
import { revisionOf } from "@/data/store/journal";

const bodySchema = z.object({ pressId: z.string().min(8).max(64), act: z.string().max(60), input: z.unknown() });

/** A press is small; a trace of some thousand samples is the largest. */
const mostBytes = 2 * 1024 * 1024;

/** One press of a bench's queue. It answers as an action does, with the revision of the state that has it. */
export async function POST(request: Request): Promise<Response> {
  // A press of somebody who was signed out meanwhile waits: it is sent again once somebody is in.
  if (!(await whoAsks(getDb())).person) return Response.json({ ok: false, message: "Sign in first.", fields: {} }, { status: 401 });
  if (!request.headers.get("content-type")?.startsWith("application/json"))
    return Response.json({ ok: false, message: "A press is sent as JSON.", fields: {} }, { status: 415 });
  if (Number(request.headers.get("content-length") ?? Number.NaN) > mostBytes)
    return Response.json({ ok: false, message: "A press is a few words, not that many.", fields: {} }, { status: 413 });
  const body = bodySchema.safeParse(await request.json().catch(() => null));
  const act = body.success ? queuedActs.get(body.data.act) : undefined;
  if (!body.success || !act)
    return Response.json({ ok: false, message: "This press arrived damaged. Reload the page and try again.", fields: {} }, { status: 400 });
  const result = await act({ pressId: body.data.pressId, input: body.data.input });
  // The disk is full, or another program holds the data: the press waits at the page and is sent again.
  if (!result.ok && result.later) return Response.json(result, { status: 503 });
  return Response.json(result.ok ? { ...result, revision: revisionOf(getDb()) } : result);
}
