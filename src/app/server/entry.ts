import "server-only";
import { unstable_rethrow } from "next/navigation";
import type { z } from "zod";
import { Refusal } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { DataUnusable } from "@/data/database/unusable";
import { rememberDevice } from "@/data/sign-in/known-devices";
import { WrongSecret } from "@/data/sign-in/secrets";
import type { From } from "@/data/sign-in/sessions";
import { type ActionResult, type Press, pressSchema } from "@/ui/act/press";
import { countWrong } from "./action";
import { getDb } from "./db";
import { logFault, undoneWords } from "./log";
import { keepDevice, keepToken, knownDevice } from "./person";
import { fromSocket } from "./socket";

interface EntrySpec<S extends z.ZodType> {
  readonly name: string;
  readonly input: S;
  /** The only ones in question; null for both. */
  readonly over: From["over"] | null;
  /** Gives the token of a session that was begun, or null where the one there is goes on. */
  readonly run: (db: Db, input: z.output<S>, from: From, now: string, device: string) => string | Came | null;
}

/** A session that began, and whose: the device is remembered as theirs. */
export interface Came {
  readonly token: string;
  readonly personId: number;
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
        return refused("That did not send properly. Reload the page and try again.");
      const db = getDb();
      const device = from.over === "network" ? await knownDevice() : "";
      const now = new Date().toISOString();
      const came = db.transaction(() => {
        const begun = run(db, parsed.data, from, now, device);
        if (begun === null || typeof begun === "string") return { token: begun, device: null };
        return { token: begun.token, device: from.over === "network" ? rememberDevice(db, begun.personId, now) : null };
      })();
      if (came.token !== null) await keepToken(from.over, came.token);
      if (came.device !== null) await keepDevice(came.device);
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
