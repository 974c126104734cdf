import { describe, expect, it } from "vitest";
import { outsidePoints } from "@/core/lubrication/oil-points";
import type { FamilyId } from "@/core/vocabulary/families";
import { usualWays } from "@/core/ways/ways";
import { familyWith } from "../families";

const withKnob: readonly FamilyId[] = [
  "star-drag-bridge",
  "star-drag-clutch",
  "lever-drag",
  "baitcaster-low-profile",
  "spinning",
  "spinning-fluid-sealed",
];

// Common practice: what a knob turns on, from the arm outwards.
const rows: readonly [build: string, bearings: number, seats: readonly string[]][] = [
  ["pin", 0, ["knob-washer", "knob"]],
  ["bearing", 1, ["knob-washer", "knob-bearing", "knob"]],
  ["bush-under-cap", 0, ["knob-washer", "knob-bush", "knob", "knob-screw", "knob-cap"]],
  ["bearings-under-cap", 2, ["knob-washer", "knob-bearing", "knob", "knob-bearing-outer", "knob-screw", "knob-cap"]],
];

describe.each(withKnob)("the knob of %s", (family) => {
  // A baitcaster's handle has two arms.
  const arms = family.startsWith("baitcaster") ? 2 : 1;
  it.each(rows)("built as %s has %i bearings and its pieces from the arm out", (build, bearings, seats) => {
    const { anatomy, parts } = familyWith(family, { knob: build });
    const own = anatomy.positions.filter(
      ({ id }) => seats.includes(id) || (id.startsWith("knob") && id !== "knob-ring" && id !== "knob-preset"),
    );
    expect(own.map(({ id }) => id)).toEqual(arms === 2 ? [...seats, ...seats.map((seat) => `${seat}-second`)] : seats);
    const kinds = new Map(parts.map(({ id, shape }) => [id, shape.kind]));
    expect(own.filter(({ partTypeId }) => kinds.get(partTypeId) === "bearing")).toHaveLength(bearings * arms);
  });

  it.each(rows)("built as %s stays on its handle unless it is asked for, and gets its drop where it sits", (build, _bearings, seats) => {
    const { anatomy, parts } = familyWith(family, { knob: build });
    expect(anatomy.positions.filter(({ id, stays }) => seats.includes(id) && !stays)).toEqual([]);
    const types = new Map(parts.map((part) => [part.id, part]));
    expect(outsidePoints(anatomy, types, { shop: usualWays, customer: {}, job: {} }).map(({ positionId }) => positionId)).toContain("knob");
  });
});
