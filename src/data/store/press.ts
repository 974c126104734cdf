import { type Context, Refusal } from "./context";

/**
 * Does the work of one press exactly once. The press id and its answer are written in the transaction of the work itself: after a crash
 * either both are there or neither, so the client may send the same press again until it hears an answer.
 * @throws Refusal when the id was used for another action.
 */
export function pressOnce<T>(ctx: Context, press: { id: string; action: string }, work: () => T): T {
  return ctx.db
    .transaction(() => {
      const before = ctx.db.prepare("SELECT action, answer FROM press WHERE id = ?").get(press.id) as
        | { action: string; answer: string }
        | undefined;
      if (before) {
        if (before.action !== press.action) throw new Refusal("press-reused", "This press was used already. Reload the page.");
        return JSON.parse(before.answer) as T;
      }
      const answer = work();
      ctx.db
        .prepare("INSERT INTO press (id, action, person_id, at, answer) VALUES (?, ?, ?, ?, ?)")
        .run(press.id, press.action, ctx.person.id, ctx.now, JSON.stringify(answer ?? null));
      return answer;
    })
    .immediate();
}
