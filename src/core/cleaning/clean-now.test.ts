import { describe, expect, it } from "vitest";
import type { CleanMethod } from "@/core/vocabulary/clean-methods";
import { type AtClean, cleanNow } from "./clean-now";
import { cleanMethods, isBath } from "./methods";
import type { CleanPlan } from "./plan";
import type { Soak, TrayGroup } from "./soak";

const noon = Date.parse("2026-03-02T12:00:00Z");
const bath = (Object.keys(cleanMethods) as CleanMethod[]).find(isBath)!;
const hand = (Object.keys(cleanMethods) as CleanMethod[]).find((method) => !isBath(method) && method !== "leave-dry")!;
const group = (method: CleanMethod, more: Partial<TrayGroup>) =>
  ({ method, waiting: [], soaking: [], clean: [], ...more }) as unknown as TrayGroup;
const soak = (method: CleanMethod, dueAt: string) => ({ id: 7, method, dueAt }) as unknown as Soak;
const plan = (...acts: readonly (readonly ["load" | "hand", CleanMethod])[]) =>
  ({ acts: acts.map(([kind, method]) => ({ kind, method })) }) as unknown as CleanPlan;
const key = (groups: TrayGroup[], more: Partial<AtClean> = {}) =>
  cleanNow({ groups, plan: plan(), soaks: [], chosen: null, nowMs: noon, ...more }).key;

describe("what the main key of Clean does", () => {
  it("cleans the whole tray in one act where nothing of it goes into a bath, and says what is left alone", () => {
    const groups = [group(hand, { waiting: ["a", "b"] }), group("leave-dry", { waiting: ["c"] })];
    expect(key(groups)).toEqual({ what: "all-by-hand", waiting: 3, alone: 1 });
    // A group somebody turned to is cleaned by itself.
    expect(key(groups, { chosen: hand })).toEqual({ what: "by-hand", method: hand, pieces: 2 });
  });

  it("fills the bath first, has the hands work while it soaks, and counts back what is up before anything else", () => {
    const both = [group(hand, { waiting: ["a"] }), group(bath, { waiting: ["b", "c"] })];
    expect(key(both, { plan: plan(["load", bath], ["hand", hand]) })).toEqual({ what: "into-bath", method: bath, pieces: 2 });
    const soaking = [group(hand, { waiting: ["a"] }), group(bath, { soaking: ["b", "c"] })];
    expect(key(soaking, { plan: plan(["hand", hand]), soaks: [soak(bath, "2026-03-02T12:10:00Z")] })).toMatchObject({ what: "by-hand" });
    expect(key(soaking, { plan: plan(["hand", hand]), soaks: [soak(bath, "2026-03-02T11:59:00Z")] })).toMatchObject({
      what: "count-back",
      pieces: 2,
    });
    // Nothing else to do: the bath that runs is waited for, and may be taken out early.
    expect(key([group(bath, { soaking: ["b"] })], { soaks: [soak(bath, "2026-03-02T12:10:00Z")] })).toMatchObject({ what: "count-back" });
  });

  it("goes on when all is clean, and lets one group be cleaned again while others wait", () => {
    expect(key([group(hand, { clean: ["a"] })])).toEqual({ what: "go-on" });
    expect(key([])).toEqual({ what: "go-on" });
    expect(key([group(hand, { clean: ["a"] }), group(bath, { waiting: ["b"] })], { chosen: hand })).toEqual({
      what: "again",
      method: hand,
    });
  });
});
