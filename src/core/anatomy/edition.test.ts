import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { buildOrder } from "@/core/teardown/build-order";
import { removalOrder } from "@/core/teardown/removal-order";
import { anatomyOfEdition, machinesOf } from "./anatomy-of-edition";
import { checkAnatomy } from "./check-anatomy";
import { seatConstraints } from "./constraints";
import { type Edition, editionOf } from "./edition";
import { type Anatomy, anatomySchema, type PartType } from "./types";

const editions: Edition[] = [
  { id: "bar", name: "Flat-bar spring", toYear: 1954, mark: "a flat bar under the dog" },
  { id: "coil", name: "Coil spring", fromYear: 1955, serialPattern: "C#####" },
];

describe("which edition a reel is", () => {
  const known = (more: Partial<Parameters<typeof editionOf>[1]>) => {
    const found = editionOf(editions, { serial: "", year: null, ...more });
    return found && [found.edition.id, found.source];
  };
  it("is what somebody saw, before what the serial says, before its year, before an assumption", () => {
    expect(known({ chosen: "bar", serial: "C12345", year: 1960 })).toEqual(["bar", "chosen"]);
    expect(known({ serial: "C12345", year: 1950 })).toEqual(["coil", "serial"]);
    expect(known({ serial: "X1", year: 1954 })).toEqual(["bar", "year"]);
    expect(known({ year: 1955 })).toEqual(["coil", "year"]);
    expect(known({})).toEqual(["bar", "assumed"]);
    expect(editionOf([], { serial: "", year: 1950 })).toBeNull();
  });
  it("is not decided by a year that two editions share", () => {
    const shared = [
      { id: "a", name: "A", fromYear: 1950, toYear: 1955 },
      { id: "b", name: "B", fromYear: 1954, toYear: 1960 },
    ];
    expect(editionOf(shared, { serial: "", year: 1954 })?.source).toBe("assumed");
  });
  it("that was chosen once but is no longer there is looked for anew", () => {
    expect(known({ chosen: "gone", year: 1960 })).toEqual(["coil", "year"]);
  });
});

const seat = (id: string, ordinal: number, more: object = {}) => ({ id, assemblyId: "a", ordinal, name: id, partTypeId: "p", ...more });
const spring = anatomySchema.parse({
  assemblies: [{ id: "a", name: "A", side: "handle" }],
  positions: [
    seat("bridge", 0),
    seat("dog", 1, { restsOn: ["bridge"] }),
    seat("bar", 2, { restsOn: ["dog"], editions: ["bar"] }),
    seat("coil", 3, { restsOn: ["dog"], editions: ["coil"] }),
    seat("cup", 4, { restsOn: ["coil"], editions: ["coil"] }),
    seat("gear", 5, { restsOn: ["cup", "bar"] }),
  ],
  operations: [
    { id: "gate-bar", kind: "gate", words: "bar", after: ["place-bar"], before: ["place-gear"], editions: ["bar"] },
    { id: "gate-all", kind: "gate", words: "all", after: ["gate-bar", "place-cup"], lookAt: [] },
  ],
  editions,
});

describe("a machine as one edition was built", () => {
  it("has its own seats, and what rested on another's rests on what that rested on", () => {
    const bar = anatomyOfEdition(spring, "bar");
    expect(bar.positions.map((p) => p.id)).toEqual(["bridge", "dog", "bar", "gear"]);
    expect(bar.positions.at(-1)!.restsOn.sort()).toEqual(["bar", "dog"]);
    const coil = anatomyOfEdition(spring, "coil");
    expect(coil.positions.at(-1)!.restsOn.sort()).toEqual(["cup", "dog"]);
    expect(coil.operations.map((o) => [o.id, o.after])).toEqual([["gate-all", ["place-cup"]]]);
  });

  it("is the anatomy itself where there are no editions, or nobody says which", () => {
    expect(anatomyOfEdition(spring, null)).toBe(spring);
    expect(machinesOf({ ...spring, editions: [] })).toHaveLength(1);
    expect(machinesOf(spring).map((machine) => machine.name)).toEqual(["Flat-bar spring", "Coil spring"]);
  });

  it("keeps the order of what is left, whatever is left out, on random machines", () => {
    const machine = fc
      .array(fc.record({ below: fc.array(fc.nat(30), { maxLength: 3 }), late: fc.boolean(), early: fc.boolean() }), {
        minLength: 1,
        maxLength: 30,
      })
      .map(
        (rows): Anatomy =>
          anatomySchema.parse({
            assemblies: [{ id: "a", name: "A", side: "handle" }],
            positions: rows.map((row, i) =>
              seat(`s${i}`, i, {
                restsOn: [...new Set(row.below.filter((below) => below < i).map((below) => `s${below}`))],
                editions: row.late === row.early ? [] : [row.late ? "late" : "early"],
              }),
            ),
            operations: [],
            editions: [
              { id: "early", name: "Early" },
              { id: "late", name: "Late" },
            ],
          }),
      );
    fc.assert(
      fc.property(machine, fc.constantFrom("early", "late"), (anatomy, id) => {
        const part = anatomyOfEdition(anatomy, id);
        const ids = new Set(part.positions.map((p) => p.id));
        for (const c of seatConstraints(part)) expect(ids.has(c.before) && ids.has(c.after)).toBe(true);
        // Whoever had to wait for whom in the whole still waits in the part.
        const reach = (from: Anatomy) => {
          const below = new Map(from.positions.map((p) => [p.id, p.restsOn]));
          const all = (id: string, seen = new Set<string>()): Set<string> => {
            for (const b of below.get(id) ?? [])
              if (!seen.has(b)) {
                seen.add(b);
                all(b, seen);
              }
            return seen;
          };
          return (id: string) => [...all(id)].filter((b) => ids.has(b)).sort();
        };
        const [whole, left] = [reach(anatomy), reach(part)];
        for (const seatId of ids) expect(left(seatId)).toEqual(whole(seatId));
        expect(buildOrder(part, removalOrder(part)).ok).toBe(true);
      }),
    );
  });

  it("is checked by itself: a seat of an edition nobody named, and a fault only one edition has", () => {
    const washer: PartType = {
      id: "p",
      number: "P",
      name: "Washer",
      role: "x",
      shape: { kind: "washer", outsideMm: 9, insideMm: 5, thicknessMm: 1 },
      material: "m",
      priceMinor: 0,
    };
    const sleeve: PartType = {
      ...washer,
      id: "q",
      number: "Q",
      name: "Sleeve",
      shape: { kind: "sleeve", outsideMm: 6, boreMm: 3, lengthMm: 20 },
    };
    const make = (rides: string) =>
      anatomySchema.parse({
        assemblies: [{ id: "a", name: "A", side: "handle" }],
        positions: [seat("sleeve", 0, { partTypeId: "q" }), seat("ring", 1, { ridesOn: "sleeve", editions: [rides] })],
        operations: [],
        editions: [
          { id: "late", name: "Late" },
          { id: "early", name: "Early" },
        ],
      });
    expect(checkAnatomy(make("late"), [washer, sleeve]).map((f) => f.message)).toEqual([
      "Washer: its hole is 5 mm, Sleeve is 6 mm, 1.00 mm too tight.",
    ]);
    expect(checkAnatomy(make("never"), [washer, sleeve])[0]?.message).toContain("never");
  });
});
