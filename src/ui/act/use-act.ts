"use client";
import { nanoid } from "nanoid";
import { useRouter } from "next/navigation";
import { useCallback, useRef, useState, useTransition } from "react";
import type { ActName, AnswerNamed, InputNamed } from "@/core/acts/acts";
import type { WayOut } from "@/core/vocabulary/way-out";
import type { Action, ActionResult } from "./press";
import { pressedAt } from "./pressed-at";
import { bounceMs, useQueueIdle } from "./queue-provider";
import { sendPress } from "./send-press";

/** A press is sent again with the same id while no answer comes: after 0.5, 1, 2, 4 s. The server does it once. */
export const retryDelaysMs = [500, 1000, 2000, 4000];
interface Failure {
  readonly message: string;
  readonly code: string | null;
  readonly fields: Readonly<Record<string, string>>;
  readonly way: WayOut | null;
}
const none: Readonly<Record<string, string>> = {};

export interface Act<R, I = unknown> {
  /** Sends the press; resolves with the outcome, or null when it was a bounce or a press is still under way. */
  readonly press: (input: I) => Promise<ActionResult<R> | null>;
  readonly busy: boolean;
  /** Done, and the page does not show yet what came of it: a key whose question it chooses has none meanwhile. */
  readonly stale: boolean;
  readonly message: string | null;
  /** What kind of refusal it was; null where it was none. */
  readonly code: string | null;
  readonly fields: Readonly<Record<string, string>>;
  /** Where what was refused can be put right, when that is elsewhere. */
  readonly way: WayOut | null;
  readonly clear: () => void;
}

/**
 * One act of the hand: press id, bounce, retry, words, and the page shown anew when it is done.
 * @param doing the act by its name, or where somebody comes in or a copy is made, which are no acts, what is asked of the server.
 */
export function useAct<Name extends ActName>(
  doing: Name,
  after?: (answer: AnswerNamed<Name>) => void,
): Act<AnswerNamed<Name>, InputNamed<Name>>;
export function useAct<R>(doing: Action<R>, after?: (value: R) => void): Act<R>;
export function useAct<R>(doing: ActName | Action<R>, after?: (value: R) => void): Act<R>;
export function useAct<R>(doing: ActName | Action<R>, after?: (value: R) => void): Act<R> {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const [stale, startRefresh] = useTransition();
  const [failure, setFailure] = useState<Failure | null>(null);
  const running = useRef(false);
  const lastAt = useRef(Number.NEGATIVE_INFINITY);
  // A press nobody answered keeps its id as long as its input does: pressed once more it is still the same press, and done once.
  const unanswered = useRef<{ readonly id: string; readonly input: string } | null>(null);
  const idle = useQueueIdle();
  const afterRef = useRef(after);
  afterRef.current = after;

  const press = useCallback(
    async (input: unknown) => {
      const now = pressedAt();
      if (running.current || now - lastAt.current < bounceMs) return null;
      running.current = true;
      lastAt.current = now;
      setBusy(true);
      setFailure(null);
      const said = JSON.stringify(input) ?? "";
      const sent = { pressId: unanswered.current?.input === said ? unanswered.current.id : nanoid(), input };
      unanswered.current = { id: sent.pressId, input: said };
      try {
        // What the queue still holds was pressed before.
        await idle();
        for (let attempt = 0; ; attempt++) {
          try {
            const result =
              typeof doing === "string"
                ? ((await sendPress({ id: sent.pressId, act: doing, input })).answer as ActionResult<R>)
                : await doing(sent);
            unanswered.current = null;
            if (result.ok) {
              if (result.note) setFailure({ message: result.note, code: null, fields: none, way: null });
              afterRef.current?.(result.value);
              startRefresh(() => router.refresh());
            } else {
              const message = result.later ? `${result.message} Then press again.` : result.message;
              setFailure({ message, code: result.code ?? null, fields: result.fields, way: result.way ?? null });
            }
            return result;
          } catch {
            const delay = retryDelaysMs[attempt];
            if (delay === undefined) {
              const message = "The bench computer does not answer. Nothing on this page is lost. Start it again, then press once more.";
              setFailure({ message, code: null, fields: {}, way: null });
              return { ok: false, message, fields: {} } as const;
            }
            await new Promise((resolve) => setTimeout(resolve, delay));
          }
        }
      } finally {
        running.current = false;
        setBusy(false);
      }
    },
    [doing, router, idle],
  );
  const clear = useCallback(() => setFailure(null), []);
  return {
    press,
    busy,
    stale,
    message: failure?.message ?? null,
    code: failure?.code ?? null,
    fields: failure?.fields ?? none,
    way: failure?.way ?? null,
    clear,
  };
}
