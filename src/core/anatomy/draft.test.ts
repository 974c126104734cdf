import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { skerry30Anatomy, skerry30Parts } from "#tests/skerry";
import { checkAnatomy } from "./check-anatomy";
import { compareAnatomies } from "./compare-anatomies";
import {
  addAssembly,
  addSeat,
  alongAxis,
  buildBeside,
  countChanges,
  type Draft,
  draftCatalogue,
  draftSchema,
  editOperation,
  editPart,
  editSeat,
  freeOperationId,
  moveSeat,
  removeOperation,
  removeSeat,
  startDraft,
} from "./draft";
import { settleDraft } from "./settle-draft";
import { type Anatomy, anatomySchema } from "./types";

const catalogue = new Map(skerry30Parts.map((part) => [part.id, part]));
const draft = startDraft(skerry30Anatomy);
const settle = (d: Draft) => settleDraft(d, catalogue, 2);
const diff = (after: Anatomy) =>
  compareAnatomies(
    { anatomy: anatomySchema.parse(skerry30Anatomy), partTypes: [] },
    { anatomy: anatomySchema.parse(after), partTypes: [] },
  ).map((c) => `${c.what} ${c.kind} ${c.name}: ${c.fields.join(" ")}`);

describe("a machine on the drawing table", () => {
  it("is saved as it was when nothing was changed, or everything was changed back", () => {
    const there = editPart(draft, "star", { material: "brass" }, catalogue);
    const back = editPart(there, "star", { material: catalogue.get("sk-star")!.material }, catalogue);
    for (const d of [draft, back]) {
      const { anatomy, newPartTypes } = settle(d);
      expect(diff(anatomy)).toEqual([]);
      expect(newPartTypes).toEqual([]);
    }
  });

  it("changes the named seat only, and an empty word takes one away", () => {
    const turned = editSeat(draft, "tension-upper", { turned: true, caution: "It pops.", trap: "" });
    expect(diff(turned.anatomy)).toEqual(["changed seat Tension washer, upper: turned trap caution"]);
    expect(countChanges(skerry30Anatomy, turned)).toBe(1);
  });

  it("makes a newly measured part an entry of its own, one for like parts, and leaves the old one as it was", () => {
    const shape = { kind: "friction-washer", outsideMm: 30.5, insideMm: 8.6, thicknessMm: 0.8 } as const;
    const d = ["friction-mid", "friction-high"].reduce((before, id) => editPart(before, id, { shape }, catalogue), draft);
    const { anatomy, newPartTypes } = settle(d);
    expect(newPartTypes).toHaveLength(1);
    expect(newPartTypes[0]).toMatchObject({ id: "sk-friction-v2", number: "SK-231.v2", shape });
    const of = (id: string) => anatomy.positions.find((position) => position.id === id)!.partTypeId;
    expect([of("friction-mid"), of("friction-high"), of("friction-low")]).toEqual(["sk-friction-v2", "sk-friction-v2", "sk-friction-low"]);
    expect(checkAnatomy(anatomy, [...skerry30Parts, ...newPartTypes])).toEqual([]);
  });

  it("keeps a number that somebody typed", () => {
    const { newPartTypes } = settle(editPart(draft, "star", { number: "MB 77/2", name: "Star, indented" }, catalogue));
    expect(newPartTypes).toMatchObject([{ id: "mb-77-2", number: "MB 77/2", name: "Star, indented" }]);
  });

  it("moves a seat along its axis and closes the row up, whatever place is asked for", () => {
    fc.assert(
      fc.property(fc.constantFrom(...skerry30Anatomy.positions.map((p) => p.id)), fc.integer({ min: -3, max: 60 }), (id, to) => {
        const assemblyId = skerry30Anatomy.positions.find((p) => p.id === id)!.assemblyId;
        const before = alongAxis(skerry30Anatomy, assemblyId).map((p) => p.id);
        const moved = moveSeat(draft, id, to);
        const after = alongAxis(moved.anatomy, assemblyId);
        expect(after.map((p) => p.id).indexOf(id)).toBe(Math.max(0, Math.min(before.length - 1, to)));
        expect(after.map((p) => p.id).filter((other) => other !== id)).toEqual(before.filter((other) => other !== id));
        expect(new Set(after.map((p) => p.ordinal)).size).toBe(after.length);
        expect(moved.anatomy.positions.filter((p) => p.assemblyId !== assemblyId)).toEqual(
          skerry30Anatomy.positions.filter((p) => p.assemblyId !== assemblyId),
        );
      }),
    );
  });

  it("takes a new part of a kind after a seat: typical sizes, guessed, under a free id, and it still fits together", () => {
    const first = addSeat(draft, { assemblyId: "stack", afterSeatId: "keyed-high" }, "washer", "skerry-30");
    const second = addSeat(first.draft, { assemblyId: "stack", afterSeatId: first.seatId }, "washer", "skerry-30");
    expect([first.seatId, second.seatId]).toEqual(["washer-1", "washer-2"]);
    const { anatomy, newPartTypes } = settle(second.draft);
    expect(newPartTypes.map((part) => part.number)).toEqual(["SKERRY-30-WASHER-1", "SKERRY-30-WASHER-2"]);
    expect(
      alongAxis(anatomy, "stack")
        .slice(-3)
        .map((p) => [p.id, p.restsOn, p.guessed]),
    ).toEqual([
      ["keyed-high", ["friction-high"], false],
      ["washer-1", ["keyed-high"], true],
      ["washer-2", ["washer-1"], true],
    ]);
    expect(checkAnatomy(anatomy, [...skerry30Parts, ...newPartTypes])).toEqual([]);
    const base = addSeat(draft, { assemblyId: "stack", afterSeatId: null }, "washer", "x");
    expect(alongAxis(base.draft.anatomy, "stack")[0]!.id).toBe("washer-1");
  });

  it("takes a seat away and lets what rested on it rest on what it rested on", () => {
    const without = removeSeat(draft, "keyed-low").anatomy;
    expect(without.positions.find((p) => p.id === "friction-mid")!.restsOn).toEqual(["friction-low"]);
    expect(checkAnatomy(without, skerry30Parts)).toEqual([]);
    const one: Draft = { anatomy: { ...skerry30Anatomy, positions: skerry30Anatomy.positions.slice(0, 1) }, parts: {} };
    expect(() => removeSeat(one, one.anatomy.positions[0]!.id)).toThrow(/last seat/);
  });

  it("survives any row of edits: no id twice, nothing refers to what is gone, undo is the draft before", () => {
    const acts = fc.array(fc.record({ act: fc.constantFrom("add", "remove", "move", "measure"), at: fc.nat(1000), to: fc.nat(20) }), {
      maxLength: 25,
    });
    fc.assert(
      fc.property(acts, (rows) => {
        let d = draft;
        for (const { act, at, to } of rows) {
          const before = JSON.stringify(d);
          const seats = d.anatomy.positions;
          const seat = seats[at % seats.length]!;
          const next =
            act === "add"
              ? addSeat(d, { assemblyId: seat.assemblyId, afterSeatId: seat.id }, "bearing", "t").draft
              : act === "remove" && seats.length > 1
                ? removeSeat(d, seat.id)
                : act === "move"
                  ? moveSeat(d, seat.id, to)
                  : editPart(d, seat.id, { material: `m${to}` }, catalogue);
          expect(JSON.stringify(d)).toBe(before);
          d = next;
        }
        expect(draftSchema.safeParse(d).success).toBe(true);
        const { anatomy, newPartTypes } = settle(d);
        const faults = checkAnatomy(anatomy, [...skerry30Parts, ...newPartTypes]).filter((fault) => fault.code !== "fit");
        expect(faults).toEqual([]);
        expect(new Set(newPartTypes.map((part) => part.id)).size).toBe(newPartTypes.length);
      }),
      { numRuns: 60 },
    );
  });

  it("takes a new assembly, and acts to do", () => {
    const one = addAssembly(draft, { name: "Level wind", side: "frame" });
    const two = addAssembly(one.draft, { name: "Level wind", side: "frame" });
    expect([one.assemblyId, two.assemblyId]).toEqual(["level-wind", "level-wind-1"]);
    const id = freeOperationId(skerry30Anatomy, "gate");
    const gate = { id, kind: "gate" as const, words: "It turns", after: ["place-star"], before: [], lookAt: [], editions: [], minutes: 2 };
    const added = editOperation(draft, gate);
    expect(diff(added.anatomy)).toEqual(["added operation It turns: "]);
    expect(editOperation(added, { ...gate, words: "It turns freely" }).anatomy.operations.at(-1)!.words).toBe("It turns freely");
    expect(diff(removeOperation(added, id).anatomy)).toEqual([]);
  });

  it("says of an assembly that it is built in the hand, and takes it back", () => {
    const beside = buildBeside(draft, "stack", true);
    expect(beside.anatomy.assemblies.filter((assembly) => assembly.beside).map(({ id }) => id)).toEqual(["stack"]);
    expect(buildBeside(buildBeside(beside, "tail", true), "stack", false).anatomy.assemblies.filter(({ beside: so }) => so)).toHaveLength(
      1,
    );
    expect(buildBeside(beside, "stack", false).anatomy).toEqual(draft.anatomy);
  });

  it("shows the catalogue with the parts only it knows", () => {
    const { draft: d, seatId } = addSeat(draft, { assemblyId: "stack", afterSeatId: "keyed-high" }, "washer", "x");
    const partId = d.anatomy.positions.find((p) => p.id === seatId)!.partTypeId;
    expect(draftCatalogue(d, catalogue).get(partId)?.shape.kind).toBe("washer");
    expect(catalogue.has(partId)).toBe(false);
  });
});
