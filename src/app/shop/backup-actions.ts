"use server";
import { startBackup } from "@/app/server/daily-backup";
import { closeDb, getDb } from "@/app/server/db";
import { whoAsks } from "@/app/server/person";
import { mayDo } from "@/core/sign-in/permissions";
import { dataDirectory } from "@/data/database/database";
import { restoreShop } from "@/data/erasing/restore-shop";
import { type ActionResult, type Press, pressSchema } from "@/ui/act/press";

const refused = (message: string): ActionResult<never> => ({ ok: false, message, fields: {} });
const isOwner = async () => {
  const { person } = await whoAsks(getDb());
  return person !== null && mayDo(person, "shop");
};

/** A copy at once. It is a program of its own: nothing of it is undone with a press. */
export async function backUpNow(): Promise<ActionResult<void>> {
  if (!(await isOwner())) return refused("Only an owner may do this. Choose another person at Shop.");
  return (await startBackup("by-hand"))
    ? { ok: true, value: undefined }
    : refused("No copy could be made; earlier ones are as they were. npm run doctor says what is wrong.");
}

/** Puts a copy in the place of the shop's data: the database is let go of, changed, and opened anew by the next page. */
export async function restoreCopy(press: Press): Promise<ActionResult<string>> {
  const sent = pressSchema.safeParse(press);
  const name = (sent.data?.input as { name?: unknown } | undefined)?.name;
  if (!sent.success || typeof name !== "string") return refused("That did not send properly. Reload the page and try again.");
  if (!(await isOwner())) return refused("Only an owner may do this. Choose another person at Shop.");
  closeDb();
  try {
    return { ok: true, value: restoreShop(dataDirectory(), name, new Date()) };
  } catch (error) {
    return refused(`Nothing was changed: ${(error as Error).message}`);
  } finally {
    getDb();
  }
}
