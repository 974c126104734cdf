import { describe, expect, it } from "vitest";
import type { TestId } from "@/core/vocabulary/tests";
import { keepsFromReady, keepsHere, keepsHereWords, keepsOnBench, type ReelHere } from "./going-home";

/** A service that is done: opened, together, tested. */
const done = (change: Partial<ReelHere> = {}): ReelHere => ({
  path: { kind: "service", depth: "full", depthSaid: true },
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
  answersThatHold: () => [{ phase: "after" }],
  skipped: () => [],
  ...change,
});
const what = (change: Partial<ReelHere>) => keepsOnBench(done(change)).map((block) => block.what);
const [well] = done().wells;

describe("a reel goes home", () => {
  it("when all that came off is in, all was looked at, and it was tested since", () => {
    expect(keepsHere(done(), [])).toEqual([]);
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
    expect(what({ foreseen, path: { kind: "purchase-check", depth: "full", depthSaid: true } })).toEqual([]);
  });

  it("not with a service's drops waiting; a repair owes none where it did not go", () => {
    expect(what({ toOil: () => ["Handle knob"] })).toEqual(["oil"]);
    expect(what({ toOil: () => ["Handle knob"], path: { kind: "repair", depth: "full", depthSaid: false } })).toEqual([]);
  });

  it("not untested since the last piece went in, and not when each test was left out without a word", () => {
    expect(what({ answersThatHold: () => [{ phase: "before" }] })).toEqual(["not-since-together"]);
    const skipped = (reason: string) => () => [{ phase: "after" as const, testId: "turning" as TestId, reason }];
    expect(what({ answersThatHold: () => [], skipped: skipped("") })).toEqual(["not-since-together"]);
    expect(what({ answersThatHold: () => [], skipped: skipped("no line on it") })).toEqual([]);
  });

  it("not tested bad after an outside service, and an unopened one owes its tests alone", () => {
    const path = { kind: "service", depth: "light", depthSaid: true } as const;
    const outside = (change: Partial<ReelHere>) => what({ path, wells: [], ...change });
    const all = ["turning", "drag-strike", "anti-reverse", "free-spool"].map((testId) => testId as TestId);
    expect(outside({ answers: () => [] })).toEqual(["not-tested", "not-tested", "not-tested"]);
    const answers = (verdict: "good" | "bad") => () => all.map((testId) => ({ phase: "after" as const, testId, verdict }));
    expect(outside({ answers: answers("good") })).toEqual([]);
    expect(outside({ answers: answers("bad") })).toEqual(["still-bad", "still-bad", "still-bad"]);
  });

  it("unrepaired as it came: what was never opened owes nothing", () => {
    expect(what({ declined: true, wells: [], answersThatHold: () => [], toOil: () => ["Handle knob"] })).toEqual([]);
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
});
