import { describe, expect, it } from "vitest";
import { placeOperationId } from "@/core/anatomy/types";
import { workingGaps } from "@/core/drag/working-gaps";
import { families } from "@/core/families/families";
import { beforeBuried, type SeatState } from "./before-buried";
import { buildOrder } from "./build-order";
import { removalOrder } from "./removal-order";

const { anatomy, parts } = families["star-drag-bridge"];
const types = new Map(parts.map((part) => [part.id, part]));
const order = (() => {
  const built = buildOrder(anatomy, removalOrder(anatomy));
  if (!built.ok) throw new Error(built.message);
  return built.value.steps.filter(({ operation }) => operation.kind === "place").map(({ position }) => position!.id);
})();

/** The tray as it stands just before a seat is filled in the computed order, with changes. */
const buriedAt = (cover: string, changes: Record<string, Partial<SeatState>> = {}) => {
  const at = order.indexOf(cover);
  const states = new Map(
    order.map((id, i): [string, SeatState] => [
      id,
      {
        seated: i < at,
        verdict: "ok",
        renewed: false,
        declined: false,
        unrepaired: false,
        found: { orientation: "", lies: null },
        foundCount: 1,
        ...changes[id],
      },
    ]),
  );
  return beforeBuried(anatomy, types, cover, states);
};
const firstBridgeScrew = order.find((id) => id.startsWith("bridge-screw"))!;

describe("slipping places of a stack", () => {
  // A plate clutch slips between plates of two members only (plate clutch theory).
  it.each([
    [["gear", "none", "sleeve", "none", "gear", "none", "sleeve"], 3],
    [["sleeve", "none", "gear", "none", "sleeve", "none", "gear", "none", "sleeve"], 4],
    [["gear", "none", "sleeve", "none", "sleeve"], 1],
    [["gear", "none", "none", "sleeve"], 1],
    [["gear", "none"], 0],
    [[], 0],
  ] as const)("%j: %i", (members, gaps) => {
    expect(workingGaps(members.map((member) => ({ member })))).toBe(gaps);
  });
});

describe("before a cover hides them", () => {
  it("shows the whole drag stack at the first bridge screw, sound, with its three slipping places", () => {
    const shown = buriedAt(firstBridgeScrew)!;
    expect(shown.rows.map(({ positionId }) => positionId)).toEqual([
      "friction-low",
      "keyed-low",
      "friction-mid",
      "eared",
      "friction-high",
      "keyed-high",
    ]);
    expect(shown.gaps).toEqual({ now: 3, model: 3 });
    expect([shown.faults, shown.doubts]).toEqual([[], []]);
  });

  it("shows it once: the other screws hide nothing new", () => {
    const others = order.filter((id) => id.startsWith("bridge-screw") && id !== firstBridgeScrew);
    for (const id of others) expect(buriedAt(id), id).toBeNull();
  });

  it("shows the two tension washers under the star, and the bearings before the head plate's first screw", () => {
    expect(buriedAt("star")!.rows.map(({ positionId }) => positionId)).toEqual(["tension-lower", "tension-upper"]);
    const screw = order.find((id) => id.startsWith("head-screw"))!;
    expect(buriedAt(screw)!.rows.map(({ positionId }) => positionId)).toEqual(expect.arrayContaining(["head-bearing", "tail-bearing"]));
  });

  it("catches a washer left in the tray: it is named, and the drag would slip in one place less or more", () => {
    const shown = buriedAt(firstBridgeScrew, { "keyed-low": { seated: false } })!;
    expect(shown.faults[0]).toMatch(/Keyed washer, low is not fitted/);
    expect(shown.gaps!.now).toBeLessThan(shown.gaps!.model);
  });

  it("catches an old piece that was to be replaced", () => {
    expect(buriedAt("star", { "tension-lower": { verdict: "replace" } })!.faults).toEqual([expect.stringMatching(/the old part is there/)]);
    expect(buriedAt("star", { "tension-lower": { verdict: "replace", renewed: true } })!.faults).toEqual([]);
  });

  it("catches a piece of another size by its millimetres", () => {
    const wide = { ...types.get("friction")!, id: "wide", shape: { ...types.get("friction")!.shape, outsideMm: 60 } } as never;
    const other = {
      ...anatomy,
      positions: anatomy.positions.map((seat) => (seat.id === "friction-mid" ? { ...seat, partTypeId: "wide" } : seat)),
    };
    const states = new Map(
      order.map((id, i): [string, SeatState] => [
        id,
        {
          seated: i < order.indexOf(firstBridgeScrew),
          verdict: "ok",
          renewed: false,
          declined: false,
          unrepaired: false,
          found: { orientation: "", lies: null },
          foundCount: 1,
        },
      ]),
    );
    expect(beforeBuried(other, new Map([...types, ["wide", wide]]), firstBridgeScrew, states)!.faults.join(" ")).toMatch(/mm too wide/);
  });

  it("doubts a count that differs, and says of a washer that was upside down how it belongs, without calling either wrong", () => {
    const shown = buriedAt("star", { "tension-lower": { foundCount: 2, found: { orientation: "", lies: "turned" } } })!;
    expect(shown.faults).toEqual([]);
    expect(shown.doubts).toEqual([
      expect.stringMatching(/2 found here/),
      expect.stringMatching(/was upside down when it came off. It belongs “cup up”/),
    ]);
  });

  it("doubts nothing because two texts differ: they may say the same", () => {
    const found = { orientation: "hollow side to the star", lies: null };
    expect(buriedAt("star", { "tension-lower": { found } })!.doubts).toEqual([]);
    expect(buriedAt("star", { "tension-lower": { found: { ...found, lies: "as-model" } } })!.doubts).toEqual([]);
  });

  it("is asked of every watched part of every family exactly once on the way back", () => {
    for (const [family, { anatomy: machine, parts: catalogue }] of Object.entries(families)) {
      const kinds = new Map(catalogue.map((part) => [part.id, part]));
      const built = buildOrder(machine, removalOrder(machine));
      if (!built.ok) throw new Error(built.message);
      const places = built.value.steps.filter(({ operation }) => operation.id.startsWith(placeOperationId("")));
      const seen = new Map<string, number>();
      const seated = new Set<string>();
      for (const { position } of places) {
        const states = new Map(
          places.map(({ position: seat }): [string, SeatState] => [
            seat!.id,
            {
              seated: seated.has(seat!.id),
              verdict: "ok",
              renewed: false,
              declined: false,
              unrepaired: false,
              found: { orientation: "", lies: null },
              foundCount: 1,
            },
          ]),
        );
        for (const row of beforeBuried(machine, kinds, position!.id, states)?.rows ?? [])
          seen.set(row.positionId, (seen.get(row.positionId) ?? 0) + 1);
        seated.add(position!.id);
      }
      for (const [id, count] of seen) expect(count, `${family} ${id}`).toBe(1);
      expect(seen.size, family).toBeGreaterThan(0);
    }
  });
});
