import "server-only";
import { unstable_rethrow } from "next/navigation";
import type { z } from "zod";
import { type From, WrongSecret } from "@/data/shop/sign-in";
import { Refusal } from "@/data/store/context";
import type { Db } from "@/data/store/database";
import { DataUnusable } from "@/data/store/unusable";
import { type ActionResult, type Press, pressSchema } from "@/ui/act/press";
import { countWrong } from "./action";
import { getDb } from "./db";
import { logFault, undoneWords } from "./log";
import { keepToken } from "./person";
import { fromSocket } from "./socket";

interface EntrySpec<S extends z.ZodType> {
  readonly name: string;
  readonly input: S;
  /** The only ones in question; null for both. */
  readonly over: From["over"] | null;
  /** Gives the token of a session that was begun, or null where the one there is goes on. */
  readonly run: (db: Db, input: z.output<S>, from: From, now: string) => string | null;
}

const refused = (message: string, field: string | null = null): ActionResult<never> => ({
  ok: false,
  message,
  fields: field ? { [field]: message } : {},
});

/** An act of somebody who is nobody yet: lets them in, or says why not, in words that tell nothing else. What failed is counted. */
export function defineEntry<S extends z.ZodType>({ name, input, over, run }: EntrySpec<S>): (press: Press) => Promise<ActionResult<null>> {
  return async (press) => {
    try {
      const sent = pressSchema.safeParse(press);
      const from = await fromSocket();
      const parsed = input.safeParse(sent.data?.input);
      if (!sent.success || !parsed.success || !from || (over && from.over !== over))
        return refused("This press arrived damaged. Reload the page and try again.");
      const db = getDb();
      const token = db.transaction(() => run(db, parsed.data, from, new Date().toISOString())).immediate();
      if (token !== null) await keepToken(from.over, token);
      return { ok: true, value: null };
    } catch (error) {
      unstable_rethrow(error);
      if (error instanceof WrongSecret) countWrong(error);
      if (error instanceof Refusal) return refused(error.message, error.field);
      if (error instanceof DataUnusable) return refused(`${error.message} ${error.remedy}`);
      return refused(undoneWords(logFault(name, error)));
    }
  };
}
