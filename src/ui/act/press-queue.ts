import type { Pressed } from "@/core/acts/act/board";
import type { WayOut } from "@/core/vocabulary/way-out";
import type { ActionResult } from "./press";

/** One press that waits for its answer: sent again with the same id until it has one, and done once. */
export interface QueuedPress extends Pressed {
  /** What it does, for saying that it was not done. */
  readonly words: string;
  /** Whose state it changes, such as a job. */
  readonly about: string;
}

export interface DonePress extends QueuedPress {
  /** The state of the server that has it. */
  readonly revision: number;
}

export interface Stopped {
  readonly message: string;
  readonly code: string | null;
  readonly way: WayOut | null;
  readonly fields: Readonly<Record<string, string>>;
  /** The press that was refused, and those behind it that were not done either. */
  readonly notDone: readonly QueuedPress[];
}

export interface QueueState {
  /** In the order they were made; the first is under way. */
  readonly pending: readonly QueuedPress[];
  /** Answered, and not in what the page shows from the server yet. */
  readonly done: readonly DonePress[];
  readonly stopped: Stopped | null;
  /** The server does not answer; it is asked again and again. */
  readonly waiting: boolean;
  /** It answers, but nobody is signed in here: presses wait until somebody is. */
  readonly signedOut: boolean;
  /** It answers, but cannot write just now: why, in its words; empty otherwise. */
  readonly notNow: string;
}

/** The server cannot write just now, and says why. */
export class NotNow extends Error {}

/** The server wants somebody to sign in first. */
export class SignedOut extends Error {}

export type Answer = ActionResult<unknown> & { readonly revision?: number };

export interface QueueOptions {
  /** Sends a press; rejects when no answer came. */
  readonly send: (press: QueuedPress) => Promise<Answer>;
  /** Keeps what is pending over a reload. */
  readonly keep: (pending: readonly QueuedPress[]) => void;
  /** Told when nothing is pending any more after something was done or refused. */
  readonly settled: () => void;
  readonly pause?: (ms: number) => Promise<void>;
}

export interface PressQueue {
  readonly state: () => QueueState;
  readonly listen: (listener: () => void) => () => void;
  readonly add: (press: QueuedPress) => void;
  /** Forgets what the page's state of the server has by now. */
  readonly shown: (revision: number) => void;
  /** The words of a stop were read. */
  readonly goOn: () => void;
  /** Resolves once nothing is pending: what is sent beside the queue comes after what was pressed before. */
  readonly idle: () => Promise<void>;
}

/** Waits between tries while nobody answers: short at first, then steadily. */
const delaysMs = [300, 600, 1200, 2500];
const steadyMs = 4000;
const nothing: QueueState = { pending: [], done: [], stopped: null, waiting: false, signedOut: false, notNow: "" };

/**
 * Presses one after the other, in the order they were made. None is lost: it is kept until it is answered, and sent again with its id while
 * nobody answers. When the server disagrees with one, that one and those behind it are not done, and it is said which.
 * @param kept what was pending before a reload.
 */
export function createPressQueue(options: QueueOptions, kept: readonly QueuedPress[] = []): PressQueue {
  const pause = options.pause ?? ((ms: number) => new Promise<void>((settle) => setTimeout(settle, ms)));
  let state: QueueState = nothing;
  let running = false;
  const listeners = new Set<() => void>();
  const set = (change: Partial<QueueState>) => {
    state = { ...state, ...change };
    if (change.pending) options.keep(change.pending);
    for (const listener of listeners) listener();
  };

  const answerOf = async (press: QueuedPress): Promise<Answer> => {
    for (let attempt = 0; ; attempt++)
      try {
        const answer = await options.send(press);
        if (state.waiting || state.signedOut || state.notNow) set({ waiting: false, signedOut: false, notNow: "" });
        return answer;
      } catch (error) {
        if (error instanceof NotNow && state.notNow !== error.message) set({ notNow: error.message });
        if (error instanceof SignedOut && !state.signedOut) set({ signedOut: true });
        // The first silence may be a hiccup; from the second on it is said.
        if (attempt > 0 && !state.waiting && !state.signedOut && !state.notNow) set({ waiting: true });
        await pause(delaysMs[attempt] ?? steadyMs);
      }
  };

  const drain = async () => {
    if (running) return;
    running = true;
    try {
      for (let press = state.pending[0]; press; press = state.pending[0]) {
        const answer = await answerOf(press);
        if (answer.ok) {
          const done = { ...press, revision: answer.revision ?? 0 };
          set({ pending: state.pending.slice(1), done: [...state.done, done] });
        } else
          set({
            pending: [],
            stopped: {
              message: answer.message,
              code: answer.code ?? null,
              way: answer.way ?? null,
              fields: answer.fields,
              notDone: state.pending,
            },
          });
      }
    } finally {
      running = false;
    }
    options.settled();
  };

  if (kept.length) {
    state = { ...nothing, pending: kept };
    void Promise.resolve().then(drain);
  }
  return {
    state: () => state,
    listen(listener) {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    add(press) {
      set({ pending: [...state.pending, press], ...(state.stopped ? { stopped: null } : {}) });
      void drain();
    },
    shown(revision) {
      const left = state.done.filter((press) => press.revision > revision);
      if (left.length !== state.done.length) set({ done: left });
    },
    idle() {
      if (!state.pending.length) return Promise.resolve();
      return new Promise((settle) => {
        const listener = () => {
          if (state.pending.length) return;
          listeners.delete(listener);
          settle();
        };
        listeners.add(listener);
      });
    },
    goOn() {
      if (state.stopped) set({ stopped: null });
    },
  };
}
