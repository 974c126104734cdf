"use client";
import { nanoid } from "nanoid";
import { useRouter } from "next/navigation";
import { createContext, type ReactNode, useCallback, useContext, useEffect, useMemo, useRef, useState, useSyncExternalStore } from "react";
import type { ActName, InputNamed } from "@/core/acts/acts";
import { patientFetch } from "./patient-fetch";
import { type Answer, createPressQueue, NotNow, type PressQueue, type QueuedPress, type QueueState, SignedOut } from "./press-queue";
import { pressedAt } from "./pressed-at";
import { sendPress } from "./send-press";

const Context = createContext<PressQueue | null>(null);
const storeKey = (tab: string) => `zorbek-presses ${tab}`;
/** After the last press the page is fetched anew; not between presses, so that a row of them stays quick. */
const refreshAfterMs = 350;
/** A switch's bounce: two presses of one key within this time are one. */
export const bounceMs = 60;

/** This tab's own name, kept over a reload. */
function tabName(): string {
  const known = sessionStorage.getItem("zorbek-tab");
  if (known) return known;
  const name = nanoid(10);
  sessionStorage.setItem("zorbek-tab", name);
  return name;
}

function readKept(tab: string): QueuedPress[] {
  try {
    return JSON.parse(localStorage.getItem(storeKey(tab)) ?? "[]") as QueuedPress[];
  } catch {
    return [];
  }
}

async function send(press: QueuedPress): Promise<Answer> {
  const { status, answer } = await sendPress(press, AbortSignal.timeout(15_000));
  if (status === 401) throw new SignedOut();
  if (status === 503) throw new NotNow(answer.ok ? "" : answer.message);
  return answer;
}

/** What tabs that are gone left unanswered: sent by this one, with the same ids. */
async function takeOverOrphans(own: string): Promise<QueuedPress[]> {
  if (!navigator.locks) return [];
  const { held = [] } = await navigator.locks.query();
  const alive = new Set(held.map(({ name }) => name));
  const orphans: QueuedPress[] = [];
  for (const key of Object.keys(localStorage)) {
    if (!key.startsWith("zorbek-presses ") || key === storeKey(own) || alive.has(key)) continue;
    orphans.push(...readKept(key.slice("zorbek-presses ".length)));
    localStorage.removeItem(key);
  }
  return orphans;
}

/** Holds the one queue of presses of this tab. */
export function QueueProvider({ children }: { children: ReactNode }) {
  const router = useRouter();
  const [queue, setQueue] = useState<PressQueue | null>(null);
  useEffect(() => {
    const own = window.fetch;
    window.fetch = patientFetch(own.bind(window));
    return () => {
      window.fetch = own;
    };
  }, []);
  useEffect(() => {
    const tab = tabName();
    let timer: ReturnType<typeof setTimeout> | undefined;
    let over = false;
    // Held as long as this tab lives: others see by it that its presses are looked after.
    if (navigator.locks) void navigator.locks.request(storeKey(tab), { mode: "shared" }, () => new Promise<void>(() => undefined));
    const keep = (pending: readonly QueuedPress[]) => {
      try {
        if (pending.length) localStorage.setItem(storeKey(tab), JSON.stringify(pending));
        else localStorage.removeItem(storeKey(tab));
      } catch {
        // The browser's store is full: the press is sent all the same, and would be lost only by a reload within that second.
      }
    };
    const settled = () => {
      clearTimeout(timer);
      timer = setTimeout(() => router.refresh(), refreshAfterMs);
    };
    const made = createPressQueue({ send, keep, settled }, readKept(tab));
    setQueue(made);
    void takeOverOrphans(tab).then((orphans) => {
      if (!over) for (const press of orphans) made.add(press);
    });
    return () => {
      over = true;
      clearTimeout(timer);
    };
  }, [router]);
  return <Context.Provider value={queue}>{children}</Context.Provider>;
}

const empty: QueueState = { pending: [], done: [], stopped: null, waiting: false, signedOut: false, notNow: "" };

/** The queue's state as it changes; nothing before the page has taken over. */
export function useQueueState(): QueueState {
  const queue = useContext(Context);
  return useSyncExternalStore(
    useCallback((listener: () => void) => queue?.listen(listener) ?? (() => undefined), [queue]),
    () => queue?.state() ?? empty,
    () => empty,
  );
}

export interface Board<S> {
  /** The server's state with every press on it that it has not shown yet. */
  readonly state: S;
  /** @returns whether it was taken: a switch's bounce is none, and nothing else may come of it. */
  readonly press: <Name extends ActName>(act: Name, input: InputNamed<Name>, words: string) => boolean;
  readonly stopped: QueueState["stopped"];
  readonly waiting: boolean;
  readonly pending: number;
}

/**
 * The state of a station as the hand has left it: what the server says, and on it the presses it has not shown yet, taken by the same rules.
 * A press is on the screen at once; the server confirms it or stops the queue.
 * @param revision of the server's state. @param apply takes one press; it must do nothing for a press that the state has already.
 */
export function useBoard<S>(about: string, revision: number, server: S, apply: (state: S, press: QueuedPress) => S): Board<S> {
  const queue = useContext(Context);
  const { pending, done, stopped, waiting } = useQueueState();
  const lastAt = useRef({ act: "", at: Number.NEGATIVE_INFINITY });
  useEffect(() => queue?.shown(revision), [queue, revision]);
  const own = [...done.filter((press) => press.revision > revision), ...pending].filter((press) => press.about === about);
  // A press that is answered changes nothing of what the hand has left: only another row of presses does, and the page is worked out anew then.
  const row = own.map(({ id }) => id).join(" ");
  // biome-ignore lint/correctness/useExhaustiveDependencies: the row stands for the presses in it
  const state = useMemo(() => own.reduce(apply, server), [row, apply, server]);
  const press = useCallback(
    (act: ActName, input: unknown, words: string) => {
      const now = pressedAt();
      if (lastAt.current.act === act && now - lastAt.current.at < bounceMs) return false;
      lastAt.current = { act, at: now };
      queue?.add({ id: nanoid(), act, input, words, about });
      return true;
    },
    [queue, about],
  );
  return { state, press, stopped, waiting, pending: pending.length };
}

/** Waits until the presses made before are answered. */
export function useQueueIdle(): () => Promise<void> {
  const queue = useContext(Context);
  return useCallback(() => queue?.idle() ?? Promise.resolve(), [queue]);
}

/** The words of a stop are read: the queue goes on. */
export function useGoOn(): () => void {
  const queue = useContext(Context);
  return useCallback(() => queue?.goOn(), [queue]);
}
