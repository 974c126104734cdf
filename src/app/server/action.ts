import "server-only";
import { unstable_rethrow } from "next/navigation";
import type { z } from "zod";
import { type Context, Refusal } from "@/data/store/context";
import type { Db } from "@/data/store/database";
import { pressOnce } from "@/data/store/press";
import { DataUnusable } from "@/data/store/unusable";
import { type ActionResult, type Press, pressSchema } from "@/ui/act/press";
import { getDb } from "./db";
import { logFault, undoneWords } from "./log";
import { currentPerson, mayDo, type Permission } from "./person";

interface ActionSpec<S extends z.ZodType, R> {
  /** Names the act in the press table and the log. */
  readonly name: string;
  readonly permission: Permission;
  readonly input: S;
  readonly run: (ctx: Context, input: z.output<S>) => R;
  /** What must happen outside the transaction, once it is safe on disk: devices, messages. What it does not reach it does at the next call. */
  readonly afterwards?: (db: Db) => Promise<void>;
}

type Refused = Extract<ActionResult<never>, { ok: false }>;
const refused = (message: string, rest: Partial<Omit<Refused, "ok" | "message">> = {}): Refused => ({
  ok: false,
  message,
  fields: {},
  ...rest,
});

const fieldErrors = (error: z.ZodError): Record<string, string> => {
  const fields: Record<string, string> = {};
  for (const issue of error.issues) fields[issue.path.join(".") || "form"] ??= issue.message;
  return fields;
};

interface Act<R> {
  readonly name: string;
  readonly permission: Permission;
  readonly pressId: string;
  readonly run: (ctx: Context) => R;
  readonly afterwards?: ((db: Db) => Promise<void>) | undefined;
}

/**
 * One press, done once: permission, one transaction with the press id, error to words. Exactly one outcome: done; refused with words at a
 * field; or failed with a reference that is also in the log. What fails after the commit never says that nothing was changed.
 */
export async function actOnce<R>({ name, permission, pressId, run, afterwards }: Act<R>): Promise<ActionResult<R>> {
  try {
    const db = getDb();
    const person = await currentPerson(db);
    if (!mayDo(person, permission))
      return refused(`${person.name} may not do this (role: ${person.role}). Choose another person at Shop.`, { way: { to: "people" } });
    const ctx: Context = { db, person, now: new Date().toISOString() };
    const value = pressOnce(ctx, { id: pressId, action: name }, () => run(ctx));
    return afterwards ? await followUp(name, value, () => afterwards(db)) : { ok: true, value };
  } catch (error) {
    unstable_rethrow(error);
    if (error instanceof DataUnusable) return refused(`${error.message} ${error.remedy}`);
    if (error instanceof Refusal)
      return refused(error.message, { fields: error.field ? { [error.field]: error.message } : {}, way: error.way });
    return refused(undoneWords(logFault(name, error)));
  }
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
      note: `It is done and saved. What should follow did not work and was noted as ${reference}; it is tried again with the next one.`,
    };
  }
}

/** The one wrapper every server action goes through: what arrived is parsed, then done once. */
export function defineAction<S extends z.ZodType, R>(spec: ActionSpec<S, R>): (press: Press) => Promise<ActionResult<R>> {
  return async (press) => {
    const outer = pressSchema.safeParse(press);
    if (!outer.success) return refused("This press arrived damaged. Reload the page and try again.");
    const parsed = spec.input.safeParse(outer.data.input);
    if (!parsed.success) {
      const fields = fieldErrors(parsed.error);
      return refused(Object.values(fields)[0] ?? "Something typed is not right.", { fields });
    }
    return actOnce({ ...spec, pressId: outer.data.pressId, run: (ctx) => spec.run(ctx, parsed.data) });
  };
}
