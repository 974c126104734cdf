import "server-only";
import { unstable_rethrow } from "next/navigation";
import { mayDo, type Permission } from "@/core/sign-in/permissions";
import { type Context, type Person, Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { pressOnce } from "@/data/database/press";
import { troubleOf } from "@/data/database/trouble";
import { DataUnusable } from "@/data/database/unusable";
import { countFailure } from "@/data/sign-in/failed-tries";
import { WrongSecret } from "@/data/sign-in/secrets";
import type { ActionResult } from "@/ui/act/press";
import { getDb } from "./db";
import { logFault, undoneWords } from "./log";
import { whoAsks } from "./person";

type Refused = Extract<ActionResult<never>, { ok: false }>;
export const refused = (message: string, rest: Partial<Omit<Refused, "ok" | "message">> = {}): Refused => ({
  ok: false,
  message,
  fields: {},
  ...rest,
});

interface Act<R> {
  readonly name: string;
  readonly permission: Permission;
  readonly pressId: string;
  readonly run: (ctx: Context) => R;
  readonly secretAnswer?: boolean | undefined;
  readonly afterwards?: ((db: Db) => Promise<void>) | undefined;
}

/**
 * One press, done once: permission, one transaction with the press id, error to words. Exactly one outcome: done; refused with words at a
 * field; or failed with a reference that is also in the log. What fails after the commit never says that nothing was changed.
 */
export async function actOnce<R>({ name, permission, pressId, run, secretAnswer, afterwards }: Act<R>): Promise<ActionResult<R>> {
  try {
    const db = getDb();
    const { person, session } = await asking(db);
    if (!person) return refused("You have been signed out. Sign in again; what you typed is kept.", { way: { to: "sign-in" } });
    if (!mayDo(person, permission))
      return refused(`${person.name} may not do this (role: ${person.role}). Choose another person at Shop.`, { way: { to: "people" } });
    const ctx: Context = { db, person, session, now: new Date().toISOString() };
    const value = await whileLocked(() =>
      pressOnce(ctx, { id: pressId, action: name, secretAnswer: secretAnswer === true }, () => run(ctx)),
    );
    return afterwards ? await followUp(name, value, () => afterwards(db)) : { ok: true, value };
  } catch (error) {
    unstable_rethrow(error);
    if (error instanceof WrongSecret) countWrong(error);
    if (error instanceof DataUnusable) return refused(`${error.message} ${error.remedy}`);
    if (error instanceof Refusal)
      return refused(error.message, { code: error.code, fields: error.field ? { [error.field]: error.message } : {}, way: error.way });
    const beyond = cannotBe(error);
    if (beyond) return refused(beyond);
    const trouble = troubleOf(error);
    if (trouble)
      return refused(`${trouble.message} Nothing was changed, and what you typed is here still. ${trouble.remedy}`, {
        later: true,
      });
    return refused(undoneWords(logFault(name, error)));
  }
}

/** What no page of ours sends: a reference to nothing, a figure no table can hold. Rolled back, and said; null for anything else. */
function cannotBe(error: unknown): string | null {
  const code = String((error as { code?: unknown } | null)?.code ?? "");
  if (code === "SQLITE_CONSTRAINT_FOREIGNKEY" || code === "SQLITE_CONSTRAINT_TRIGGER")
    return "What this belongs to is not there, or can no longer be changed. Nothing was changed: reload the page.";
  if (/^SQLITE_(CONSTRAINT_(CHECK|DATATYPE|NOTNULL)|MISMATCH|TOOBIG|RANGE)/.test(code) || error instanceof RangeError)
    return "A figure or a text is beyond what can be kept. Nothing was changed: look at what was typed.";
  return null;
}

/** How long a press waits for another program to let go of the data, with pages answered meanwhile. */
const lockPatienceMs = 4000;

/** Does a piece of work again and again while another program holds the data; it has changed nothing then. */
async function whileLocked<T>(work: () => T): Promise<T> {
  const began = Date.now();
  for (;;)
    try {
      return work();
    } catch (error) {
      if (troubleOf(error)?.kind !== "locked" || Date.now() - began > lockPatienceMs) throw error;
      await new Promise((wait) => setTimeout(wait, 60));
    }
}

/** Who asks, with the session the journal names. */
async function asking(db: Db): Promise<{ person: Person | null; session: Context["session"] }> {
  const asks = await whoAsks(db);
  return asks.person ? { person: asks.person, session: asks.session } : { person: null, session: null };
}

/** The try is counted after what it began is rolled back. */
export function countWrong({ counted }: WrongSecret): void {
  countFailure(getDb(), counted, new Date().toISOString());
}

/** What follows a commit. If it fails the act is done all the same, and says so. */
async function followUp<R>(name: string, value: R, work: () => Promise<void>): Promise<ActionResult<R>> {
  try {
    await work();
    return { ok: true, value };
  } catch (error) {
    const reference = logFault(`${name}, afterwards`, error);
    return {
      ok: true,
      value,
      note: `Saved; a follow-up step failed (reference ${reference}). It will be tried again with the next press.`,
    };
  }
}
