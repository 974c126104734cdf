import { type Context, Refusal } from "./context";
import type { Db } from "./database";

/**
 * Does the work of one press exactly once. The press id and its answer are written in the transaction of the work itself: after a crash
 * either both are there or neither, so the client may send the same press again until it hears an answer.
 * @param press `secretAnswer`: what is answered stands nowhere; the same press again is refused. @throws Refusal when the id was used for another
 * action, or by somebody else.
 */
export function pressOnce<T>(ctx: Context, press: { id: string; action: string; secretAnswer?: boolean }, work: () => T): T {
  return ctx.db
    .transaction(() => {
      const before = ctx.db.prepare("SELECT action, person_id AS personId, answer FROM press WHERE id = ?").get(press.id) as
        | { action: string; personId: number; answer: string }
        | undefined;
      if (before) {
        // Its answer belongs to who pressed it.
        if (before.action !== press.action || before.personId !== ctx.person.id)
          throw new Refusal("press-reused", "This was already sent. Reload the page.");
        if (press.secretAnswer)
          throw new Refusal("answered-once", "This was already created and is shown only once. Press again for a new one.");
        return JSON.parse(before.answer) as T;
      }
      const answer = work();
      ctx.db
        .prepare("INSERT INTO press (id, action, person_id, at, answer) VALUES (?, ?, ?, ?, ?)")
        .run(press.id, press.action, ctx.person.id, ctx.now, press.secretAnswer ? "null" : JSON.stringify(answer ?? null));
      return answer;
    })
    .immediate();
}

/** Forgets what presses answered where one of these words stands in it. */
export function forgetAnswersWith(db: Db, words: readonly string[]): void {
  const forget = db.prepare("UPDATE press SET answer = 'null' WHERE instr(answer, ?) > 0");
  for (const word of words) forget.run(word);
}
