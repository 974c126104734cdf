import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { families } from "@/core/families/families";
import { familyIds } from "@/core/vocabulary/families";
import { blindSpots } from "./blind-spots";
import type { Check } from "./checks";
import { leastCover, loadSolver } from "./least-cover";
import { singleMistakes } from "./mistakes";

const solver = await loadSolver();

const check = (id: string, minutes: number, ...catches: string[]): Check => ({
  id,
  words: id,
  minutes,
  catches: new Set(catches),
  gate: false,
  after: "",
});

describe("the least set of checks", () => {
  it("is the proven optimum: as cheap as the cheapest of all sets, tried one by one", async () => {
    const samples = fc.sample(
      fc.record({
        mistakes: fc.integer({ min: 1, max: 8 }),
        checks: fc.array(fc.tuple(fc.integer({ min: 1, max: 9 }), fc.array(fc.nat(7), { minLength: 1, maxLength: 5 })), {
          minLength: 1,
          maxLength: 9,
        }),
      }),
      { numRuns: 60, seed: 1 },
    );
    for (const { mistakes, checks } of samples) {
      const ids = Array.from({ length: mistakes }, (_, i) => `m${i}`);
      const all = checks.map(([minutes, catches], i) => check(`c${i}`, minutes / 4, ...catches.map((m) => `m${m}`)));
      const cover = leastCover(solver, all, ids);
      const wanted = ids.filter((id) => all.some(({ catches }) => catches.has(id)));
      let least = Number.POSITIVE_INFINITY;
      for (let set = 0; set < 1 << all.length; set++) {
        const some = all.filter((_, i) => set & (1 << i));
        if (wanted.every((id) => some.some(({ catches }) => catches.has(id))))
          least = Math.min(
            least,
            some.reduce((sum, { minutes }) => sum + minutes, 0),
          );
      }
      expect(cover.minutes).toBeCloseTo(least, 9);
      expect(cover.proven).toBe(true);
      expect(cover.never).toEqual(ids.filter((id) => !wanted.includes(id)));
      for (const id of wanted) expect(cover.checks.some(({ catches }) => catches.has(id))).toBe(true);
    }
  });
});

describe("blind spots of a machine", () => {
  const spotsOf = async (family: (typeof familyIds)[number]) => {
    const { anatomy, parts } = families[family];
    return blindSpots(solver, anatomy, new Map(parts.map((part) => [part.id, part])))!;
  };

  it("are known in every family: what passes all gates, a check that shows most of it, a set that shows everything", async () => {
    for (const family of familyIds) {
      const { mistakes, passing, cheapest, cover } = await spotsOf(family);
      expect(mistakes.length, family).toBeGreaterThan(8);
      expect(passing.length, family).toBeLessThan(mistakes.length);
      expect(cover.proven, family).toBe(true);
      expect(cover.never, family).toEqual([]);
      if (passing.length) expect(cheapest!.shows.length, family).toBeGreaterThan(0);
      for (const { id } of mistakes)
        expect(
          cover.checks.some(({ catches }) => catches.has(id)),
          `${family} ${id}`,
        ).toBe(true);
    }
  });

  it("know what the bench knows (common practice): the dog's gate shows a dog turned over, no gate a friction washer left out", async () => {
    const { passing } = await spotsOf("star-drag-bridge");
    const ids = passing.map(({ id }) => id);
    expect(ids).not.toContain("turned dog");
    expect(ids).not.toContain("left-out handle-spacer");
    expect(ids).toContain("left-out friction-mid");
    expect(
      singleMistakes(families["lever-drag"].anatomy, new Map(families["lever-drag"].parts.map((part) => [part.id, part]))).map(
        ({ id }) => id,
      ),
    ).toContain("turned cam");
  });

  it("are none of what a gate's looks name (common practice)", async () => {
    const shown = {
      "star-drag-bridge": ["left-out dog-spring", "turned tension-upper", "swapped bridge-screw-low-front bridge-screw-top-rear"],
      "lever-drag": ["turned dog", "turned cupped-lower", "left-out preload-spring"],
      "baitcaster-low-profile": ["left-out kick-spring", "left-out spool-bearing", "left-out star-click"],
      spinning: ["left-out rotor-washer", "left-out rotor-collar", "turned roller-spacer", "left-out drag-clip"],
      "spinning-sealed-bail-less": ["left-out gear-retainer", "turned gear-clutch"],
      spincast: ["left-out hair-spring", "swapped cover-screw-left hinge-screw"],
      fly: ["left-out click-spring", "turned clutch"],
    } as const;
    for (const [family, ids] of Object.entries(shown)) {
      const { passing, mistakes } = await spotsOf(family as (typeof familyIds)[number]);
      for (const id of ids) {
        expect(
          mistakes.map((mistake) => mistake.id),
          family,
        ).toContain(id);
        expect(
          passing.map((mistake) => mistake.id),
          family,
        ).not.toContain(id);
      }
    }
  });

  it("are fewer by what a new gate shows", async () => {
    const { anatomy, parts } = families["star-drag-bridge"];
    const types = new Map(parts.map((part) => [part.id, part]));
    const before = blindSpots(solver, anatomy, types)!;
    const { cheapest } = before;
    const gate = {
      id: "gate-new",
      kind: "gate" as const,
      words: cheapest!.words,
      after: [cheapest!.after],
      before: [],
      editions: [],
      lookAt: cheapest!.shows.map(({ kind, seats, words }) => ({ words, seats: [...seats], shows: [kind] })),
    };
    const after = blindSpots(solver, { ...anatomy, operations: [...anatomy.operations, gate] }, types)!;
    expect(after.passing.length).toBeLessThan(before.passing.length);
  });
});
