import "server-only";
import type { z } from "zod";
import { actOnce, refused } from "@/app/server/action";
import { getDb } from "@/app/server/db";
import { whoAsks } from "@/app/server/person";
import { mayDo } from "@/core/sign-in/permissions";
import { controlSignAt } from "@/core/vocabulary/control-signs";
import type { ActionResult } from "@/ui/act/press";
import { actOf } from "./registry";

const fieldErrors = (error: z.ZodError): Record<string, string> => {
  const fields: Record<string, string> = {};
  for (const issue of error.issues) fields[issue.path.join(".") || "form"] ??= issue.message;
  return fields;
};

const unseenWords = "The text has a hidden character, perhaps from pasting. Delete it and type it again.";

/**
 * One press of an act: its input is read by the act's own schema, then it is done once.
 * @param name the act's name. @param sent what the page sent, read by nobody yet. @returns null where there is no such act.
 */
export async function doAct(name: string, pressId: string, sent: unknown): Promise<ActionResult<unknown> | null> {
  const found = actOf(name);
  if (!found) return null;
  const { act, run } = found;
  const unseen = controlSignAt(sent);
  if (unseen !== null) return refused(unseenWords, { fields: unseen ? { [unseen]: unseenWords } : {} });
  const read = act.input.safeParse(sent);
  if (!read.success) {
    const fields = fieldErrors(read.error);
    return refused(Object.values(fields)[0] ?? "Something typed is not right.", { fields });
  }
  const input = read.data as never;
  if (run.before) {
    const { person } = await whoAsks(getDb());
    const answer = person && mayDo(person, act.permission) ? await run.before(input) : null;
    if (answer !== null) return { ok: true, value: answer };
  }
  return actOnce({ ...act, pressId, run: (ctx) => run.run(ctx, input), afterwards: run.afterwards });
}
