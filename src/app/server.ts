import "server-only";
import { randomUUID } from "node:crypto";
import { cookies } from "next/headers";
import { unstable_rethrow } from "next/navigation";
import type { z } from "zod";
import { ensureFirstPerson, findPerson } from "@/data/shop/people";
import { type Context, type Person, Refusal, type Role } from "@/data/store/context";
import { type Db, openDatabase } from "@/data/store/database";
import { pressOnce } from "@/data/store/press";
import { DataUnusable } from "@/data/store/unusable";
import { type ActionResult, type Press, personCookie, pressSchema } from "@/ui/act/press";

const holder = globalThis as typeof globalThis & { zorbekDb?: Db };

/** The one open database of this server. Kept on globalThis because the bundler may load this module more than once. */
export function getDb(): Db {
  holder.zorbekDb ??= openDatabase();
  return holder.zorbekDb;
}

/** Who is at the bench: chosen at Shop and kept in a cookie; on a loopback server nobody signs in. */
export async function currentPerson(db: Db = getDb()): Promise<Person> {
  const chosen = Number((await cookies()).get(personCookie)?.value);
  return (Number.isInteger(chosen) ? findPerson(db, chosen) : null) ?? ensureFirstPerson(db);
}

/** The shop's day. The server's clock and zone are the shop's. */
export const today = (): string => new Date().toLocaleDateString("sv-SE");

const allowed: Record<Permission, readonly Role[]> = {
  counter: ["owner", "counter", "bench"],
  bench: ["owner", "bench"],
  stores: ["owner", "bench", "counter"],
  shop: ["owner"],
};
export type Permission = "counter" | "bench" | "stores" | "shop";

interface ActionSpec<S extends z.ZodType, R> {
  /** Names the act in the press table and the log. */
  readonly name: string;
  readonly permission: Permission;
  readonly input: S;
  readonly run: (ctx: Context, input: z.output<S>) => R;
  /** What must happen outside the transaction, once it is safe on disk: devices, messages. */
  readonly afterwards?: (db: Db) => Promise<void>;
}

const fieldErrors = (error: z.ZodError): Record<string, string> => {
  const fields: Record<string, string> = {};
  for (const issue of error.issues) fields[issue.path.join(".") || "form"] ??= issue.message;
  return fields;
};

/**
 * The one wrapper every server action goes through: parse, permission, one transaction with the press id, error to words.
 * Exactly one outcome: done; refused with words at a field; or failed with a reference that is also in the log.
 */
export function defineAction<S extends z.ZodType, R>(spec: ActionSpec<S, R>): (press: Press) => Promise<ActionResult<R>> {
  return async (press) => {
    const outer = pressSchema.safeParse(press);
    if (!outer.success) return { ok: false, message: "This press did not arrive whole. Reload the page and try again.", fields: {} };
    const parsed = spec.input.safeParse(outer.data.input);
    if (!parsed.success) {
      const fields = fieldErrors(parsed.error);
      return { ok: false, message: Object.values(fields)[0] ?? "Something typed does not fit.", fields };
    }
    try {
      const db = getDb();
      const person = await currentPerson(db);
      if (!allowed[spec.permission].includes(person.role))
        return {
          ok: false,
          message: `${person.name} may not do this (role: ${person.role}). Choose another person at Shop.`,
          fields: {},
          way: { to: "people" },
        };
      const ctx: Context = { db, person, now: new Date().toISOString() };
      const value = pressOnce(ctx, { id: outer.data.pressId, action: spec.name }, () => spec.run(ctx, parsed.data));
      if (spec.afterwards) await spec.afterwards(db);
      return { ok: true, value };
    } catch (error) {
      unstable_rethrow(error);
      if (error instanceof DataUnusable) return { ok: false, message: `${error.message} ${error.remedy}`, fields: {} };
      if (error instanceof Refusal)
        return { ok: false, message: error.message, fields: error.field ? { [error.field]: error.message } : {}, way: error.way };
      return { ok: false, message: logged(spec.name, error), fields: {} };
    }
  };
}

/** Logs a fault of the program once and gives the words the user sees. No customer words are in it. */
export function logged(where: string, error: unknown): string {
  const reference = randomUUID().slice(0, 8);
  console.error(
    JSON.stringify({ at: new Date().toISOString(), reference, where, error: error instanceof Error ? error.stack : String(error) }),
  );
  return `Zorbek failed here and has noted it as ${reference}. Nothing was changed. Try again; if it comes back, tell that reference.`;
}
