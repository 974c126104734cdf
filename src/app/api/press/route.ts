import { z } from "zod";
import { doAct } from "@/app/acts/do-act";
import { actOf } from "@/app/acts/registry";
import { getDb } from "@/app/server/db";
import { whoAsks } from "@/app/server/person";
import { pressBytes } from "@/core/acts/act/act";
import { revisionOf } from "@/data/database/journal";

const bodySchema = z.object({ pressId: z.string().min(8).max(64), act: z.string().max(60), input: z.unknown() });

const refuse = (status: number, message: string, way?: { readonly to: "sign-in" }) =>
  Response.json({ ok: false, message, fields: {}, ...(way ? { way } : {}) }, { status });
const damaged = "That did not send properly. Reload the page and try again.";
const tooLong = "A press is a few words, not that many.";

/** The one door of every act: a press comes in, and is done once. It answers with the revision of the state that has it. */
export async function POST(request: Request): Promise<Response> {
  // A press of somebody who was signed out meanwhile waits: it is sent again once somebody is in.
  if (!(await whoAsks(getDb())).person)
    return refuse(401, "You have been signed out. Sign in again; what you typed is kept.", { to: "sign-in" });
  if (!request.headers.get("content-type")?.startsWith("application/json")) return refuse(415, "A press is sent as JSON.");
  const length = Number(request.headers.get("content-length") ?? Number.NaN);
  if (length > pressBytes.file) return refuse(413, tooLong);
  const body = bodySchema.safeParse(await request.json().catch(() => null));
  const found = body.success ? actOf(body.data.act) : null;
  if (!body.success || !found) return length > pressBytes.usual ? refuse(413, tooLong) : refuse(400, damaged);
  if (length > pressBytes[found.act.size ?? "usual"]) return refuse(413, tooLong);
  const result = (await doAct(body.data.act, body.data.pressId, body.data.input)) ?? { ok: false, message: damaged, fields: {} };
  // The disk is full, or another program holds the data: the press waits at the page and is sent again.
  if (!result.ok && result.later) return Response.json(result, { status: 503 });
  return Response.json(result.ok ? { ...result, revision: revisionOf(getDb()) } : result);
}
