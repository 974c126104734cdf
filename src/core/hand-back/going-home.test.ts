import { describe, expect, it } from "vitest";
import type { TestId, Verdict } from "@/core/vocabulary/tests";
import { keepsFromReady, keepsHere, keepsHereWords, keepsOnBench, type ReelHere } from "./going-home";
import { handBackSchema } from "./hand-back-input";

/** A repair that is done: opened, together, tested. */
const done = (change: Partial<ReelHere> = {}): ReelHere => ({
  path: { kind: "repair", depth: "full", depthSaid: true },
  family: "star-drag-bridge",
  declined: false,
  pays: undefined,
  wells: [{ well: 1, positionId: "star", name: "Star", refitted: true, leftOutReason: null, renewed: false }],
  foreseen: [],
  notDrawn: [],
  withoutSchematic: 0,
  toOil: () => [],
  steps: () => [],
  answers: () => [{ phase: "after", testId: "turning", verdict: "good" }],
  skipped: () => [],
  worked: () => true,
  asItIs: () => new Set(),
  openFaults: () => [],
  complaints: [],
  billed: () => null,
  ...change,
});
const what = (change: Partial<ReelHere>) => keepsOnBench(done(change)).map((block) => block.what);
const [well] = done().wells;

describe("a reel goes home", () => {
  it("when all that came off is in, all was looked at, and it was tested since", () => {
    expect(keepsHere(done(), [])).toEqual([]);
  });

  it("not for more than was agreed: it is asked, or brought down, after a no too; our own work costs nothing", () => {
    const billed = (totalMinor: number) => ({ billed: () => ({ totalMinor, agreedMinor: 6000 }) });
    const kept = (change: Partial<ReelHere>) => keepsHere(done(change), []).map(({ what }) => what);
    expect(kept(billed(6000))).toEqual([]);
    expect(kept(billed(6001))).toEqual(["over-limit"]);
    expect(keepsFromReady(done(billed(6001)))).toEqual([]);
    expect(keepsHereWords(keepsHere(done(billed(6001)), [])[0]!)).toMatch(/60\.01.*60\.00 was agreed.*Quote/);
    // As it came it is billed nothing; what was fitted before the no, or after it, is.
    expect(kept({ ...billed(0), declined: true })).toEqual([]);
    expect(kept({ ...billed(9000), declined: true })).toEqual(["over-limit"]);
    expect(kept({ ...billed(9000), path: { kind: "comeback", depth: "full", depthSaid: true }, pays: "us" })).toEqual([]);
  });

  it("not with anything in the tray, unless somebody said why it stays out", () => {
    expect(what({ wells: [{ ...well!, refitted: false }] })).toEqual(["well"]);
    expect(what({ wells: [{ ...well!, refitted: false, leftOutReason: "cracked" }] })).toEqual([]);
    expect(what({ notDrawn: ["a shim"] })).toEqual(["not-drawn"]);
    expect(what({ withoutSchematic: 3 })).toEqual(["no-schematic"]);
  });

  it("not without the new piece that the quote names, unless it is declined or only checked", () => {
    const foreseen = [{ positionId: "drag", name: "Drag washer" }];
    expect(what({ foreseen })).toEqual(["foreseen"]);
    expect(what({ foreseen, wells: [{ ...well!, positionId: "drag", renewed: true }] })).toEqual([]);
    expect(what({ foreseen, declined: true })).toEqual([]);
    expect(what({ foreseen, path: { kind: "purchase-check", depth: "full", depthSaid: true } })).not.toContain("foreseen");
  });

  it("not with a service's drops waiting; a repair owes none where it did not go", () => {
    expect(what({ toOil: () => ["Handle knob"], path: { kind: "service", depth: "full", depthSaid: true } })).toEqual(["oil"]);
    expect(what({ toOil: () => ["Handle knob"] })).toEqual([]);
  });

  const answered =
    (...of: readonly (readonly ["before" | "after", TestId, Verdict])[]) =>
    () =>
      of.map(([phase, testId, verdict]) => ({ phase, testId, verdict }));

  it("not untested since the last piece went in, and not when each test was left out without a word", () => {
    expect(what({ answers: () => [] })).toEqual(["not-since-together"]);
    const skipped = (reason: string) => () => [{ phase: "after" as const, testId: "turning" as TestId, reason }];
    expect(what({ answers: () => [], skipped: skipped("") })).toEqual(["not-since-together"]);
    expect(what({ answers: () => [], skipped: skipped("no line on it") })).toEqual([]);
  });

  it("not with a test made only before it, or the one that answers its complaint not made", () => {
    expect(keepsOnBench(done({ answers: answered(["before", "click", "good"], ["after", "turning", "good"]) }))).toEqual([
      { code: "tests", what: "not-tested", names: ["Click"], at: "Prove" },
    ]);
    expect(what({ answers: answered(["before", "click", "good"], ["after", "click", "good"]) })).toEqual([]);
    expect(keepsOnBench(done({ complaints: ["drag-weak"] }))).toEqual([
      { code: "tests", what: "not-tested", names: ["Drag, star fully tight"], at: "Prove" },
    ]);
    expect(what({ complaints: ["drag-weak"], answers: answered(["after", "drag-full", "good"]) })).toEqual([]);
    const skipped = (reason: string) => () => [{ phase: "after" as const, testId: "click" as TestId, reason }];
    const before = answered(["before", "click", "bad"], ["after", "turning", "good"]);
    expect(what({ answers: before, skipped: skipped("") })).toEqual(["left-out-without-reason"]);
    expect(what({ answers: before, skipped: skipped("no line on it") })).toEqual([]);
  });

  it("of which nothing was done is as it was tested when it came, bad or good", () => {
    const untouched = (verdict: Verdict) => ({ wells: [], worked: () => false, answers: answered(["before", "turning", verdict]) });
    expect(what(untouched("good"))).toEqual([]);
    expect(what(untouched("bad"))).toEqual(["still-bad"]);
    expect(what({ ...untouched("good"), worked: () => true })).toEqual(["not-tested"]);
  });

  it("not with a test that is bad, whatever the kind, unless somebody says with what word it goes so", () => {
    const bad = answered(["after", "turning", "bad"]);
    expect(keepsOnBench(done({ answers: bad }))).toEqual([
      { code: "tests", what: "still-bad", testId: "turning", name: "Turning in gear" },
    ]);
    expect(what({ answers: bad, asItIs: () => new Set<TestId>(["turning"]) })).toEqual([]);
    expect(what({ answers: bad, asItIs: () => new Set<TestId>(["click"]) })).toEqual(["still-bad"]);
    expect(what({ answers: bad, declined: true })).toEqual([]);
    expect(what({ answers: answered(["before", "turning", "bad"], ["after", "turning", "doubtful"]) })).toEqual([]);
  });

  it("not with a fault that no act has put right, asked beside what is untested", () => {
    const openFaults = () => [{ id: "drag-worn", name: "Friction washers worn thin" }];
    expect(what({ openFaults })).toEqual(["open-fault"]);
    expect(what({ openFaults, answers: () => [] })).toEqual(["open-fault", "not-since-together"]);
    expect(what({ openFaults, declined: true })).toEqual([]);
    expect(keepsHereWords({ code: "fault", what: "open-fault", faultId: "drag-worn", name: "Friction washers worn thin" })).toBe(
      "Found but not repaired: Friction washers worn thin. Repair it, mark it as fixed, or say how the reel leaves.",
    );
  });

  it("asks nothing of a reel in pieces but its pieces: it cannot be tested", () => {
    expect(what({ wells: [{ ...well!, refitted: false }], answers: () => [] })).toEqual(["well"]);
  });

  it("not tested bad after an outside service, and an unopened one owes its tests alone, named together", () => {
    const path = { kind: "service", depth: "light", depthSaid: true } as const;
    const outside = (change: Partial<ReelHere>) => what({ path, wells: [], ...change });
    const all = ["turning", "drag-strike", "anti-reverse"] as const;
    expect(keepsOnBench(done({ path, wells: [], answers: () => [] }))).toMatchObject([
      { what: "not-tested", names: ["Turning in gear", "Drag, star 1/2 turn", "Anti-reverse"] },
    ]);
    const answers = (verdict: Verdict) => answered(...all.map((testId) => ["after", testId, verdict] as const));
    expect(outside({ answers: answers("good") })).toEqual([]);
    expect(outside({ answers: answers("bad") })).toEqual(["still-bad", "still-bad", "still-bad"]);
  });

  it("a service owes every test of its kind, a check those before, good or bad", () => {
    const service = { kind: "service", depth: "full", depthSaid: true } as const;
    expect(keepsOnBench(done({ path: service }))[0]).toMatchObject({
      what: "not-tested",
      names: expect.arrayContaining(["Click", "Anti-reverse"]),
    });
    const check = { kind: "purchase-check", depth: "complaint", depthSaid: false } as const;
    expect(keepsOnBench(done({ path: check, wells: [], answers: () => [] }))[0]).toMatchObject({ what: "not-tested", at: "Test" });
    expect(keepsHereWords({ code: "tests", what: "not-tested", names: ["Click"], at: "Test" })).toBe("Not tested: Click.");
    expect(keepsHereWords({ code: "tests", what: "not-tested", names: ["Click", "Bail"], at: "Prove" })).toBe(
      "Not tested since the work: Click; Bail.",
    );
    const tests = ["free-spool", "turning", "drag-light", "drag-strike", "drag-full", "anti-reverse", "click"] as const;
    expect(what({ path: check, wells: [], answers: answered(...tests.map((id) => ["before", id, "bad"] as const)) })).toEqual([]);
  });

  it("unrepaired as it came: what was never opened owes nothing", () => {
    expect(what({ declined: true, wells: [], answers: () => [], toOil: () => ["Handle knob"] })).toEqual([]);
  });

  it("not while nobody has said who pays for our own work come back", () => {
    const path = { kind: "comeback", depth: "full", depthSaid: false } as const;
    expect(keepsFromReady(done({ path, pays: "open" })).map((block) => block.what)).toEqual(["pays"]);
    expect(keepsFromReady(done({ path, pays: "us" }))).toEqual([]);
    expect(keepsFromReady(done({ path, pays: "open", declined: true }))).toEqual([]);
  });

  it("not without what came with it, said last", () => {
    const kept = keepsHere(done({ notDrawn: ["a shim"] }), ["clamp"]);
    expect(kept.map(({ code }) => code)).toEqual(["left-over", "brought"]);
    expect(keepsHereWords(kept[1]!)).toBe("Came with it, not ticked off: clamp");
  });

  it("not with a check or an act of its build open; what was placed, or let go by a word, asks nothing", () => {
    const step =
      (kind: string, words: string, change: object = {}) =>
      () =>
        [{ operation: { id: words, kind, words }, state: "waiting", notDue: false, note: "", ...change }] as never;
    expect(keepsOnBench(done({ steps: step("gate", "It turns") }))).toEqual([{ code: "gate", what: "gate", words: "It turns" }]);
    expect(keepsOnBench(done({ steps: step("tighten", "Nut tight") }))).toEqual([{ code: "step", what: "step", words: "Nut tight" }]);
    expect(what({ steps: step("place", "") })).toEqual([]);
    expect(what({ steps: step("tighten", "Nut tight", { state: "done" }) })).toEqual([]);
    expect(what({ steps: step("tighten", "Nut tight", { state: "skipped", note: "wants it off" }) })).toEqual([]);
    expect(what({ steps: step("gate", "It turns", { notDue: true }) })).toEqual([]);
    // What is not together is not tested either.
    expect(what({ steps: step("gate", "It turns"), answers: () => [] })).toEqual(["gate"]);
  });

  it("an opened one that goes back unrepaired is put together, and owes no test", () => {
    expect(what({ declined: true, answers: () => [] })).toEqual([]);
    expect(what({ declined: true, wells: [{ ...well!, refitted: false }] })).toEqual(["well"]);
  });

  it("names a test that only this reel's extra tests have by its own name", () => {
    expect(keepsOnBench(done({ answers: answered(["after", "side-play", "bad"]) }))).toMatchObject([{ name: "Side play" }]);
  });
});

describe("what keeps a reel here is said with what it is and where to do it", () => {
  it.each([
    [{ code: "left-over", what: "well", positionId: "star", well: 7, name: "Star" }, ["7", "Star", "Build"]],
    [{ code: "foreseen", what: "foreseen", name: "Drag washer" }, ["Drag washer", "Parts", "Quote"]],
    [{ code: "left-over", what: "not-drawn", words: "a shim" }, ["a shim", "Build"]],
    [{ code: "left-over", what: "no-schematic", pieces: 1 }, ["1 piece lies", "schematic", "Build"]],
    [{ code: "left-over", what: "no-schematic", pieces: 3 }, ["3 pieces lie"]],
    [{ code: "oil", what: "oil", names: ["Knob", "Worm"] }, ["Knob, Worm", "Build"]],
    [{ code: "gate", what: "gate", words: "It turns" }, ["Check not passed", "It turns"]],
    [{ code: "step", what: "step", words: "Nut tight" }, ["Not done", "Nut tight"]],
    [{ code: "tests", what: "still-bad", testId: "click", name: "Click" }, ["Click", "bad"]],
    [{ code: "tests", what: "left-out-without-reason", names: ["Click", "Bail"], at: "Prove" }, ["Click; Bail", "reason", "Prove"]],
    [{ code: "tests", what: "not-since-together" }, ["Nothing was tested", "Prove"]],
    [{ code: "pays", what: "pays" }, ["pays", "Quote"]],
    [{ code: "brought", what: "brought", item: "box" }, ["box"]],
  ] as const)("%j", (block, words) => {
    for (const word of words) expect(keepsHereWords(block)).toContain(word);
  });
});

it("who took it is a name of two letters or more, and a note is short", () => {
  const hand = { signedBy: " Ada ", paidBy: null, paidNote: "", oldParts: null };
  expect(handBackSchema.parse(hand).signedBy).toBe("Ada");
  for (const [change, ok] of [
    [{ signedBy: "A" }, false],
    [{ signedBy: "Al" }, true],
    [{ signedBy: "x".repeat(80) }, true],
    [{ signedBy: "x".repeat(81) }, false],
    [{ paidNote: "x".repeat(200) }, true],
    [{ paidNote: "x".repeat(201) }, false],
    [{ paidBy: "cheque" }, false],
    [{ paidBy: "cash", oldParts: "kept" }, true],
  ] as const)
    expect(handBackSchema.safeParse({ ...hand, ...change }).success, JSON.stringify(change)).toBe(ok);
});
