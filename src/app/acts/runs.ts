import type { Act, AnswerOf, ToldOf } from "@/core/acts/act/act";
import type { Context } from "@/data/database/context";
import type { Db } from "@/data/database/database";

type Work<A> = (ctx: Context, told: ToldOf<A>) => AnswerOf<A>;

/** What an act does in its one transaction, and what it needs around it. */
export interface Run<A> {
  readonly run: Work<A>;
  /** Before the transaction: an answer ends it there, with nothing changed. */
  readonly before?: (told: ToldOf<A>) => Promise<AnswerOf<A> | null>;
  /** What must happen outside the transaction, once it is safe on disk: devices, messages. What it does not reach it does at the next call. */
  readonly afterwards?: (db: Db) => Promise<void>;
}

/** For each act of a station, by its name, what it does. */
export type RunsOf<Acts extends readonly Act[]> = {
  readonly [A in Acts[number] as A["name"]]: Work<A> | Run<A>;
};
