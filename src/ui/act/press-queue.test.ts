import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type Answer, createPressQueue, type QueuedPress, SignedOut } from "./press-queue";

const press = (n: number): QueuedPress => ({ id: `press-${n}`, act: "take", input: { n }, words: `part ${n} off`, about: "Z" });
const ok = (revision: number): Answer => ({ ok: true, value: null, revision });

/** A server that does each id once and remembers it, behind a line that fails as it is told to. */
function bench(fails: (attempt: number) => "before" | "after" | null, refuse: (press: QueuedPress) => string | null = () => null) {
  const done: string[] = [];
  let attempts = 0;
  let store: readonly QueuedPress[] = [];
  const send = async (one: QueuedPress): Promise<Answer> => {
    await Promise.resolve();
    const how = fails(attempts++);
    if (how === "before") throw new Error("no line");
    const message = refuse(one);
    if (message && !done.includes(one.id)) return { ok: false, message, fields: {} };
    if (!done.includes(one.id)) done.push(one.id);
    if (how === "after") throw new Error("answer lost");
    return ok(done.indexOf(one.id) + 1);
  };
  return { done, send, keep: (pending: readonly QueuedPress[]) => (store = pending), kept: () => store };
}
const settle = () => new Promise<void>((resolve) => setTimeout(resolve, 0));
const pause = () => Promise.resolve();

describe("the queue of presses", () => {
  it("sends one after the other in the order they were made", async () => {
    const server = bench(() => null);
    let settled = 0;
    const queue = createPressQueue({ ...server, settled: () => settled++, pause });
    for (let n = 0; n < 20; n++) queue.add(press(n));
    expect(queue.state().pending).toHaveLength(20);
    await settle();
    expect(server.done).toEqual(Array.from({ length: 20 }, (_, n) => `press-${n}`));
    expect(queue.state().pending).toEqual([]);
    expect(server.kept()).toEqual([]);
    expect(settled).toBe(1);
  });

  it("loses none and doubles none, whenever the line breaks: before the server had it, or after", async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.integer({ min: 1, max: 30 }),
        fc.array(fc.constantFrom("before" as const, "after" as const, null), { maxLength: 60 }),
        async (count, breaks) => {
          const server = bench((attempt) => breaks[attempt] ?? null);
          const queue = createPressQueue({ ...server, settled: () => undefined, pause });
          for (let n = 0; n < count; n++) queue.add(press(n));
          await settle();
          await settle();
          expect(server.done).toEqual(Array.from({ length: count }, (_, n) => `press-${n}`));
        },
      ),
      { numRuns: 60 },
    );
  });

  it("goes on after a reload with what was pending, under the same ids", async () => {
    const dead = bench(() => "after");
    // The line is gone for good: the first press is with the server, its answer is not.
    const first = createPressQueue({ ...dead, settled: () => undefined, pause: () => new Promise(() => undefined) });
    for (let n = 0; n < 5; n++) first.add(press(n));
    await settle();
    expect(dead.done).toEqual(["press-0"]);
    expect(dead.kept()).toHaveLength(5);
    const again = bench(() => null);
    again.done.push(...dead.done);
    createPressQueue({ ...again, settled: () => undefined, pause }, dead.kept());
    await settle();
    expect(again.done).toEqual(["press-0", "press-1", "press-2", "press-3", "press-4"]);
  });

  it("stops when the server disagrees, and says which presses were not done", async () => {
    const server = bench(
      () => null,
      ({ id }) => (id === "press-2" ? "It lies in the tray already." : null),
    );
    const queue = createPressQueue({ ...server, settled: () => undefined, pause });
    for (let n = 0; n < 5; n++) queue.add(press(n));
    await settle();
    expect(server.done).toEqual(["press-0", "press-1"]);
    const { stopped, pending } = queue.state();
    expect(pending).toEqual([]);
    expect(stopped).toMatchObject({ message: "It lies in the tray already." });
    expect(stopped!.notDone.map(({ words }) => words)).toEqual(["part 2 off", "part 3 off", "part 4 off"]);
    // The next press goes on from the server's state; so does reading the words.
    queue.add(press(9));
    expect(queue.state().stopped).toBeNull();
    await settle();
    expect(server.done.at(-1)).toBe("press-9");
  });

  it("keeps what was done on the page until the page shows it, and no longer", async () => {
    const server = bench(() => null);
    const queue = createPressQueue({ ...server, settled: () => undefined, pause });
    queue.add(press(1));
    queue.add(press(2));
    await settle();
    expect(queue.state().done.map(({ revision }) => revision)).toEqual([1, 2]);
    queue.shown(1);
    expect(queue.state().done.map(({ id }) => id)).toEqual(["press-2"]);
    queue.shown(7);
    expect(queue.state().done).toEqual([]);
  });

  it("keeps what was pressed while nobody is signed in, says so, and sends it once somebody is", async () => {
    let signedIn = false;
    const server = bench(() => null);
    const send = async (one: QueuedPress) => {
      if (!signedIn) throw new SignedOut();
      return server.send(one);
    };
    let wait: (() => void) | null = null;
    const queue = createPressQueue({
      ...server,
      send,
      settled: () => undefined,
      pause: () => new Promise<void>((go) => (wait = go)),
    });
    queue.add(press(1));
    queue.add(press(2));
    await settle();
    expect(queue.state()).toMatchObject({ signedOut: true, pending: [{ id: "press-1" }, { id: "press-2" }] });
    expect(server.kept()).toHaveLength(2);
    signedIn = true;
    wait!();
    await settle();
    expect(queue.state()).toMatchObject({ signedOut: false, pending: [] });
    expect(server.done).toEqual(["press-1", "press-2"]);
  });

  it("says that nobody answers from the second try on, and takes it back with the answer", async () => {
    const server = bench((attempt) => (attempt < 3 ? "before" : null));
    const seen: boolean[] = [];
    const queue = createPressQueue({ ...server, settled: () => undefined, pause });
    queue.listen(() => seen.push(queue.state().waiting));
    queue.add(press(1));
    await settle();
    expect(seen).toContain(true);
    expect(queue.state().waiting).toBe(false);
    expect(server.done).toEqual(["press-1"]);
  });
});
