import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { skerry30Anatomy, skerry30Parts } from "#tests/skerry";
import { checkAnatomy } from "./check-anatomy";
import { shortestCycle } from "./graph";
import { kindWords, shapeSchema, sizeWords } from "./shapes";
import type { Anatomy, PartType } from "./types";

const change = (edit: (anatomy: Anatomy) => void): Anatomy => {
  const copy = structuredClone(skerry30Anatomy);
  edit(copy);
  return copy;
};
const seat = (anatomy: Anatomy, id: string) => anatomy.positions.find((position) => position.id === id)!;

describe("the anatomy check", () => {
  it("finds nothing wrong with the demo's model", () => {
    expect(skerry30Anatomy.positions.length).toBeGreaterThan(40);
    expect(checkAnatomy(skerry30Anatomy, skerry30Parts)).toEqual([]);
  });

  it("names a seat that is filled twice", () => {
    const faults = checkAnatomy(
      change((a) => a.positions.push({ ...seat(a, "star") })),
      skerry30Parts,
    );
    expect(faults).toContainEqual({ code: "duplicate", message: expect.stringContaining("Star") });
  });

  it("names every part of an order that bites its own tail", () => {
    const faults = checkAnatomy(
      change((a) => seat(a, "main-gear").restsOn.push("keyed-high")),
      skerry30Parts,
    );
    const cycle = faults.find((fault) => fault.code === "cycle");
    expect(cycle?.message).toContain("Main gear");
    expect(cycle?.message).toContain("Keyed washer, high");
  });

  it("names references to nothing", () => {
    const faults = checkAnatomy(
      change((a) => {
        seat(a, "star").partTypeId = "nowhere";
        seat(a, "handle").restsOn.push("gone");
        a.operations[0]!.after.push("place-gone");
      }),
      skerry30Parts,
    );
    expect(faults.filter((fault) => fault.code === "unknown")).toHaveLength(3);
  });

  it("measures what does not go over what it rides on, in millimetres", () => {
    const tight: PartType[] = skerry30Parts.map((part) =>
      part.id === "sk-keyed" && part.shape.kind === "keyed-washer" ? { ...part, shape: { ...part.shape, acrossFlatsMm: 6.3 } } : part,
    );
    // The sleeve is 6.4 mm across its flats: a washer of 6.3 is 0.10 mm too tight.
    expect(checkAnatomy(skerry30Anatomy, tight)[0]?.message).toContain("0.10 mm too tight");
  });

  it("refuses a washer with a hole as large as itself and a screw threaded beyond its end", () => {
    const odd: PartType[] = skerry30Parts.map((part) => {
      if (part.shape.kind === "screw" && part.id === "sk-plate-screw-long") return { ...part, shape: { ...part.shape, threadedMm: 12 } };
      if (part.shape.kind === "washer" && part.id === "sk-handle-spacer") return { ...part, shape: { ...part.shape, insideMm: 12 } };
      return part;
    });
    expect(checkAnatomy(skerry30Anatomy, odd).filter((fault) => fault.code === "fit")).toHaveLength(2);
  });

  it("says when a long screw would come out of a short hole, and lets a through screw through", () => {
    const long = change((a) => {
      seat(a, "head-screw-foot-front").partTypeId = "sk-plate-screw-long";
    });
    // 9 mm of screw in 5.5 mm of hole.
    expect(checkAnatomy(long, skerry30Parts).map((fault) => fault.message)).toEqual([expect.stringContaining("comes out 3.5 mm")]);
    seat(long, "head-screw-foot-front").through = true;
    expect(checkAnatomy(long, skerry30Parts)).toEqual([]);
  });

  it("asks about a bearing of no known size, unless it is marked as a size of its own", () => {
    const odd = (ownSize: boolean): PartType[] =>
      skerry30Parts.map((part) =>
        part.shape.kind === "bearing" ? { ...part, shape: { ...part.shape, widthMm: 4.4, ...(ownSize ? { ownSize } : {}) } } : part,
      );
    expect(checkAnatomy(skerry30Anatomy, odd(false)).map((fault) => fault.message)).toEqual([expect.stringContaining("5 × 11 × 4.4")]);
    expect(checkAnatomy(skerry30Anatomy, odd(true))).toEqual([]);
  });

  // Engineering identity of spur gears of one module: centre distance = m (z1 + z2) / 2.
  it("has a gear and pinion of one module, so that they mesh at all", () => {
    const [gear, pinion] = ["main-gear", "pinion"].map((role) => skerry30Parts.find((part) => part.role === role)!.shape);
    expect(gear).toMatchObject({ kind: "gear", moduleMm: (pinion as { moduleMm: number }).moduleMm });
  });
});

describe("the shortest cycle", () => {
  it("is null without one and minimal with one, against trying every start by brute force", () => {
    const arbitrary = fc.array(fc.tuple(fc.integer({ min: 0, max: 5 }), fc.integer({ min: 0, max: 5 })), { maxLength: 14 });
    fc.assert(
      fc.property(arbitrary, (pairs) => {
        const edges = pairs.map(([a, b]) => ({ before: String(a), after: String(b) }));
        const nodes = ["0", "1", "2", "3", "4", "5"];
        const found = shortestCycle(nodes, edges);
        let shortest = Number.POSITIVE_INFINITY;
        const walk = (start: string, at: string, length: number) => {
          if (length >= shortest || length > 6) return;
          for (const edge of edges)
            if (edge.before === at) {
              if (edge.after === start) shortest = Math.min(shortest, length + 1);
              else walk(start, edge.after, length + 1);
            }
        };
        for (const node of nodes) walk(node, node, 0);
        expect(found?.length ?? Number.POSITIVE_INFINITY).toBe(shortest);
        found?.forEach((node, i) => {
          expect(edges.some((edge) => edge.before === node && edge.after === found[(i + 1) % found.length])).toBe(true);
        });
      }),
    );
  });
});

describe("shapes", () => {
  it("has a word for every kind and a size for every part of the demo", () => {
    for (const part of skerry30Parts) {
      expect(shapeSchema.safeParse(part.shape).success, part.name).toBe(true);
      expect(kindWords[part.shape.kind], part.name).toBeTruthy();
      expect(sizeWords(part.shape), part.name).toMatch(/\d/);
    }
  });

  it("prints sizes as a parts list does", () => {
    expect(sizeWords({ kind: "friction-washer", outsideMm: 31, insideMm: 8.6, thicknessMm: 0.9 })).toBe("31 × 8.6 × 0.9");
    expect(sizeWords({ kind: "screw", threadMm: 2.5, lengthMm: 12, threadedMm: 5, headMm: 5, headHeightMm: 1.5, drive: "slot" })).toBe(
      "M2.5 × 12, 5 threaded",
    );
  });
});
