import { runInNewContext } from "node:vm";
import { z } from "zod";
import type { Call } from "./call-of";

/** Longest a call thinks, ms. */
export const callLimitMs = 4000;

export type CallAnswer = { readonly ok: true; readonly json: string } | { readonly ok: false; readonly words: string };

/**
 * What a call answers to a text: JSON, or why it cannot. Never throws, and comes within the limit: what takes longer is stopped and said.
 * @param calls by name. @param text what came in.
 */
export function answerCall(calls: Readonly<Record<string, Call>>, name: string, text: string, limitMs = callLimitMs): CallAnswer {
  const chosen = Object.hasOwn(calls, name) ? calls[name]! : null;
  if (!chosen) return { ok: false, words: `no call named "${name}". There are ${Object.keys(calls).join(", ")}.` };
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return { ok: false, words: "standard input is no JSON." };
  }
  let allowed = limitMs;
  // The engine's own watch stops what never ends; nothing foreign runs in there.
  const watched = <T>(work: () => T): T => runInNewContext("work()", { work }, { timeout: allowed }) as T;
  try {
    const parsed = watched(() => chosen.input.safeParse(json));
    if (!parsed.success) return { ok: false, words: z.prettifyError(parsed.error).replaceAll(", received undefined", ": it is missing") };
    allowed = Math.max(limitMs, chosen.limitMs?.(parsed.data as never) ?? 0);
    return { ok: true, json: watched(() => JSON.stringify(chosen.run(parsed.data as never), null, 2)) };
  } catch (error) {
    if ((error as { code?: string }).code === "ERR_SCRIPT_EXECUTION_TIMEOUT")
      return { ok: false, words: `this takes longer than ${allowed / 1000} s: give less at once.` };
    // What the core refuses it says in words; anything else is a fault of ours, told without its trace.
    const words = error instanceof Error ? error.message : String(error);
    return { ok: false, words: /call stack/.test(words) ? "this is nested too deep, or too much at once." : words.replace(/^\w+: /, "") };
  }
}
