import { z } from "zod";
import { getDb } from "@/app/server/db";
import { queuedActs } from "@/app/server/queued-acts";
import { revisionOf } from "@/data/store/journal";

const bodySchema = z.object({ pressId: z.string().min(8).max(64), act: z.string().max(60), input: z.unknown() });

/** One press of a bench's queue. It answers as an action does, with the revision of the state that has it. */
export async function POST(request: Request): Promise<Response> {
  const body = bodySchema.safeParse(await request.json().catch(() => null));
  const act = body.success ? queuedActs.get(body.data.act) : undefined;
  if (!body.success || !act)
    return Response.json({ ok: false, message: "This press arrived damaged. Reload the page and try again.", fields: {} }, { status: 400 });
  const result = await act({ pressId: body.data.pressId, input: body.data.input });
  return Response.json(result.ok ? { ...result, revision: revisionOf(getDb()) } : result);
}
