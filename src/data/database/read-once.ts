import type { Statement } from "better-sqlite3";
import type { Db } from "./database";
import { withDigest } from "./trouble";

const roots = new WeakMap<Db, Db>();

/** The database behind a handle of `readOnce`; any other is itself. What is kept over requests is kept by this. */
export const rootOf = (db: Db): Db => roots.get(db) ?? db;

/**
 * A handle on a database for one page or paper: it only reads, and a question asked twice is answered once, so that the readings of a page
 * need not know of each other. Short-lived: what is written meanwhile it does not see.
 * @throws Error on a statement that writes.
 */
export function readOnce(db: Db): Db {
  const answers = new Map<string, unknown>();
  const handle = Object.create(db) as Db;
  handle.prepare = ((sql: string) => new StatementOnce(() => db.prepare(sql), sql, answers)) as unknown as Db["prepare"];
  roots.set(handle, db);
  return handle;
}

class StatementOnce {
  private shape: "rows" | "pluck" | "raw" = "rows";
  private statement: Statement | null = null;
  constructor(
    private readonly prepare: () => Statement,
    private readonly sql: string,
    private readonly answers: Map<string, unknown>,
  ) {}

  pluck(): this {
    this.shape = "pluck";
    return this;
  }
  raw(): this {
    this.shape = "raw";
    return this;
  }
  get(...values: unknown[]): unknown {
    return this.ask("get", values);
  }
  all(...values: unknown[]): unknown {
    return this.ask("all", values);
  }
  run(): never {
    throw new Error(`A page only reads: ${this.sql}`);
  }

  private ask(how: "get" | "all", values: unknown[]): unknown {
    const question = `${how} ${this.shape} ${this.sql} ${JSON.stringify(values)}`;
    if (!this.answers.has(question)) {
      this.statement ??= this.shape === "rows" ? this.prepare() : this.prepare()[this.shape]();
      if (!this.statement.readonly) throw new Error(`A page only reads: ${this.sql}`);
      try {
        this.answers.set(question, this.statement[how](...values));
      } catch (error) {
        throw withDigest(error);
      }
    }
    return this.answers.get(question);
  }
}
