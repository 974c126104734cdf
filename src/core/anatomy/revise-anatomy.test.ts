import { describe, expect, it } from "vitest";
import { skerry30Anatomy, skerry30Parts } from "#demo/models/skerry-30";
import { checkAnatomy } from "./check-anatomy";
import { compareAnatomies } from "./compare-anatomies";
import { reviseAnatomy, type SeatRevision } from "./revise-anatomy";

const types = new Map(skerry30Parts.map((part) => [part.id, part]));
const seat = (id: string) => skerry30Anatomy.positions.find((position) => position.id === id)!;
const revise = (id: string, change: Partial<SeatRevision>): SeatRevision => {
  const { name, ordinal, turned, guessed, orientation, caution } = seat(id);
  return { id, name, ordinal, turned, guessed, orientation, caution, ...change };
};

describe("editing a machine at its drawing", () => {
  it("changes nothing when nothing was changed", () => {
    const { anatomy, newPartTypes } = reviseAnatomy(skerry30Anatomy, types, [revise("star", {})], 2);
    expect(compareAnatomies({ anatomy: skerry30Anatomy, partTypes: [] }, { anatomy, partTypes: [] })).toEqual([]);
    expect(newPartTypes).toEqual([]);
  });

  it("changes the named seats only", () => {
    const { anatomy } = reviseAnatomy(skerry30Anatomy, types, [revise("tension-upper", { turned: true, caution: "It pops." })], 2);
    expect(compareAnatomies({ anatomy: skerry30Anatomy, partTypes: [] }, { anatomy, partTypes: [] })).toEqual([
      { what: "changed", kind: "seat", name: "Tension washer, upper", fields: ["turned", "caution"] },
    ]);
  });

  it("makes a newly measured part an entry of its own and leaves the old one as it was", () => {
    const shape = { kind: "friction-washer", outsideMm: 30.5, insideMm: 8.6, thicknessMm: 0.8 } as const;
    const { anatomy, newPartTypes } = reviseAnatomy(
      skerry30Anatomy,
      types,
      [revise("friction-mid", { shape }), revise("friction-high", { shape })],
      2,
    );
    expect(newPartTypes).toHaveLength(1);
    expect(newPartTypes[0]).toMatchObject({ id: "sk-friction-v2", number: "SK-231.v2", shape });
    const of = (id: string) => anatomy.positions.find((position) => position.id === id)!.partTypeId;
    expect([of("friction-mid"), of("friction-high"), of("friction-low")]).toEqual(["sk-friction-v2", "sk-friction-v2", "sk-friction-low"]);
    expect(types.get("sk-friction")?.shape).toMatchObject({ outsideMm: 31 });
    expect(checkAnatomy(anatomy, [...skerry30Parts, ...newPartTypes])).toEqual([]);
  });
});
