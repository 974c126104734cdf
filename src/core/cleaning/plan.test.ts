import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { everyBuild, families } from "@/core/families/families";
import { type CleanMethod, cleanMethodIds } from "@/core/vocabulary/clean-methods";
import { familyIds } from "@/core/vocabulary/families";
import { cleanedTogether, cleanMethodOf, cleanMethods, cleanMethodsFor, isBath, keepApart } from "./methods";
import { type CleanGroup, cleanGroups, planCleaning } from "./plan";
import { wearByRole, wearSignsOf } from "./wear-signs";

const anyPart = Object.values(families).flatMap(({ parts }) => parts);

describe("how a part is cleaned", () => {
  // Source of each row: common practice.
  it.each([
    ["main-gear", "degreaser"],
    ["pinion", "degreaser"],
    ["dog-spring", "degreaser"],
    ["spool-bearing", "bearings"],
    ["roller-clutch", "bearings"],
    ["o-ring", "wipe"],
    ["lip-seal", "wipe"],
    ["brake-block", "swab"],
    ["brake-drum", "swab"],
    ["magnet", "magnet"],
    ["side-cover", "soap"],
    ["spool", "soap"],
    ["spool-shaft", "polish"],
  ] as const)("%s: %s", (role, method) => {
    const parts = anyPart.filter((part) => part.role === role);
    expect(parts.length, role).toBeGreaterThan(0);
    for (const part of parts) expect(cleanMethodOf(part, "wiped", "bath"), part.name).toBe(method);
  });

  it("bathes no rubber, leather, sealed bearing, magnet or old lining, whoever asks", () => {
    fc.assert(
      fc.property(fc.constantFrom(...anyPart), fc.constantFrom("wiped" as const, "washed" as const), (part, way) => {
        for (const material of ["rubber", "leather", "felt", "old dry lining", "magnet"]) {
          const method = cleanMethodOf(
            { ...part, shape: { kind: "friction-washer", outsideMm: 20, insideMm: 8, thicknessMm: 1 }, material },
            way,
            "bath",
          );
          expect(isBath(method), `${part.name} of ${material}`).toBe(false);
        }
        if (part.shape.kind === "bearing")
          expect(cleanMethodOf({ ...part, shape: { ...part.shape, closure: "sealed" } }, way, "bath")).toBe("wipe");
      }),
    );
  });

  it("puts no plastic into degreaser", () => {
    for (const part of anyPart)
      if (/plastic|nylon|phenolic/.test(part.material))
        expect(["soap", "swab", "wipe"], part.name).toContain(cleanMethodOf(part, "washed", "bath"));
  });

  it.each([
    ["main-gear", "brush", "wipe"],
    ["spool-bearing", "flush", "flush"],
    ["side-cover", "damp", "wipe"],
    ["spool-shaft", "brush", "wipe"],
    ["brake-block", "swab", "swab"],
    ["o-ring", "wipe", "wipe"],
  ] as const)("%s in normal dirt: %s, hardly dirty: %s", (role, normal, hardly) => {
    for (const part of anyPart.filter((one) => one.role === role)) {
      expect(cleanMethodOf(part, "wiped", "brush"), part.name).toBe(normal);
      expect(cleanMethodOf(part, "wiped", "wipe"), part.name).toBe(hardly);
    }
  });

  it("takes 15 to 25 minutes of hands for a whole reel in normal dirt, screws as one", () => {
    // Common practice: what a bench says a full strip's cleaning takes by swab and brush.
    for (const [id, { anatomy, parts }] of Object.entries(families)) {
      const types = new Map(parts.map((part) => [part.id, part]));
      const off = anatomy.positions.filter(
        ({ assemblyId, stays }) => !stays && !anatomy.assemblies.find((one) => one.id === assemblyId)?.stays,
      );
      if (off.length < 30) continue;
      const tray = off.map(({ id: positionId, partTypeId }) => {
        const type = types.get(partTypeId)!;
        return { positionId, method: cleanMethodOf(type, "wiped", "brush"), together: cleanedTogether(type) };
      });
      const { handMinutes } = planCleaning(cleanGroups(tray));
      expect(handMinutes, id).toBeGreaterThanOrEqual(10);
      expect(handMinutes, id).toBeLessThanOrEqual(25);
    }
  });

  it("offers for every part only ways that do not spoil it, its own among them", () => {
    for (const part of anyPart) {
      const ways = cleanMethodsFor(part);
      expect(ways, part.name).toContain(cleanMethodOf(part, "wiped", "brush"));
      if (part.material === "rubber" || part.material === "old dry lining") expect(ways.some(isBath), part.name).toBe(false);
    }
  });

  it("knows what a worn one looks like, for every part of every family", () => {
    for (const part of anyPart) expect(wearSignsOf(part).length, part.name).toBeGreaterThan(0);
    // No row is written for a part that no reel has.
    const built = new Set(
      familyIds.flatMap((family) => everyBuild(family).flatMap(({ template }) => template.parts.map(({ role }) => role))),
    );
    expect(Object.keys(wearByRole).filter((role) => !built.has(role))).toEqual([]);
  });

  // Source of each row: common practice.
  it.each([
    ["lever-drag", "cam", /rutted/],
    ["lever-drag", "lever-washer", /worn through/],
    ["lever-drag", "pressure-plate", /ridged/],
    ["lever-drag", "drag-cap", /tab/],
    ["lever-drag", "pinion", /mushroomed/],
    ["lever-drag", "click-tongue", /slope/],
    ["lever-drag", "foot", /threads/],
    ["spincast", "pick-up-pin", /notch/],
    ["spincast", "cam-ring", /dry and rutted/],
    ["spincast", "friction-washer", /glazed/],
    ["spincast", "anti-reverse-spring", /bent/],
    ["spincast", "line-ring", /groove/],
    ["spincast", "push-button", /egged/],
    ["centrepin", "spool-bearing", /shield/],
    ["centrepin", "spindle", /scored/],
    ["centrepin", "clip", /short/],
    ["centrepin", "spool", /hub groove/],
    ["centrepin", "click-tongue", /slope/],
    ["centrepin", "knob-screw", /bent/],
  ] as const)("%s: what is looked for at the %s", (family, role, sign) => {
    const parts = families[family].parts.filter((part) => part.role === role);
    expect(parts.length, role).toBeGreaterThan(0);
    for (const part of parts) expect(wearSignsOf(part).join(" | "), part.name).toMatch(sign);
  });

  it("says what must stay apart, with the reason, and nothing of what is not there", () => {
    expect(keepApart(new Set<CleanMethod>(["degreaser", "soap"])).map(({ why }) => why)).toEqual([expect.stringMatching(/plastic/)]);
    expect(keepApart(new Set<CleanMethod>(["soap", "wipe"]))).toEqual([]);
  });
});

const group = (method: CleanMethod, parts: number): CleanGroup => ({
  ...cleanGroups(Array.from({ length: parts }, (_, i) => ({ positionId: `${method}-${i}`, method })))[0]!,
});

/** All orders of a list, by plain recursion: the slow way to be sure. */
const permutations = <T>(list: readonly T[]): T[][] =>
  list.length < 2
    ? [[...list]]
    : list.flatMap((head, i) => permutations([...list.slice(0, i), ...list.slice(i + 1)]).map((rest) => [head, ...rest]));

/** When everything is dry if the groups are worked in this order, told by a clock that runs minute by minute. */
function byTheClock(groups: readonly CleanGroup[], order: readonly CleanGroup[]): number {
  const baths = [...groups].filter(({ soakMinutes }) => soakMinutes > 0).sort((a, b) => b.soakMinutes - a.soakMinutes);
  const outAt = new Map(baths.map((bath, i) => [bath.method, i + 1 + bath.soakMinutes]));
  let clock = baths.length;
  let dry = 0;
  for (const next of order) {
    clock = Math.max(clock, outAt.get(next.method) ?? 0);
    clock += next.handMinutes;
    dry = Math.max(dry, clock + next.dryMinutes);
  }
  return dry;
}

const anyTray = fc
  .uniqueArray(fc.constantFrom(...cleanMethodIds), { minLength: 1, maxLength: 6 })
  .chain((methods) => fc.tuple(...methods.map((method) => fc.integer({ min: 1, max: 14 }).map((parts) => group(method, parts)))));

describe("the plan for a tray", () => {
  it("groups parts by method and loses none", () => {
    const parts = anyPart.map((part, i) => ({ positionId: `${part.id}-${i}`, method: cleanMethodOf(part, "wiped", "bath") }));
    const groups = cleanGroups(parts);
    expect(groups.flatMap(({ positionIds }) => positionIds).sort()).toEqual(parts.map(({ positionId }) => positionId).sort());
    expect(new Set(groups.map(({ method }) => method)).size).toBe(groups.length);
  });

  it("fills the baths first, the longest first", () => {
    const { acts } = planCleaning([group("soap", 4), group("degreaser", 10), group("bearings", 3), group("wipe", 5)]);
    expect(acts.slice(0, 3).map(({ kind, method }) => [kind, method])).toEqual([
      ["load", "degreaser"],
      ["load", "bearings"],
      ["load", "soap"],
    ]);
    // While they soak the hands wipe.
    expect(acts[3]).toMatchObject({ kind: "hand", method: "wipe", startMinute: 3 });
  });

  it("is as soon as the best of all orders tried one by one against a clock", () => {
    fc.assert(
      fc.property(anyTray, (groups) => {
        const plan = planCleaning(groups);
        const best = Math.min(...permutations(groups).map((order) => byTheClock(groups, order)));
        expect(plan.doneMinute).toBeCloseTo(best, 6);
        expect(plan.doneMinute).toBeLessThanOrEqual(plan.oneByOneMinutes + 1e-9);
      }),
      { numRuns: 60 },
    );
  });

  it("has one pair of hands: no two acts at once, none before its bath is out", () => {
    fc.assert(
      fc.property(anyTray, (groups) => {
        const { acts } = planCleaning(groups);
        acts.forEach((act, i) => {
          if (i > 0) expect(act.startMinute).toBeGreaterThanOrEqual(acts[i - 1]!.startMinute + acts[i - 1]!.minutes - 1e-9);
          const load = acts.find(({ kind, method }) => kind === "load" && method === act.method);
          if (act.kind === "hand" && load)
            expect(act.startMinute).toBeGreaterThanOrEqual(load.startMinute + load.minutes + cleanMethods[act.method].soakMinutes - 1e-9);
        });
      }),
      { numRuns: 60 },
    );
  });

  it("plans nothing for an empty tray", () => {
    expect(planCleaning([])).toEqual({ acts: [], doneMinute: 0, oneByOneMinutes: 0, handMinutes: 0 });
  });
});
