import { describe, expect, it } from "vitest";
import type { PartType } from "@/core/anatomy/types";
import { starDragBridge } from "@/core/families/star-drag-bridge";
import { kitFaults, kitSchema, withKit } from "./kit";

const { anatomy, parts } = starDragBridge;
const own = (id: string): PartType => parts.find((part) => part.id === id)!;
const wide: PartType = {
  ...own("main-gear"),
  id: "wide-gear",
  shape: { kind: "gear", teeth: 56, moduleMm: 0.8, boreMm: 8.1, faceMm: 6, cupMm: 36 },
};
const pinion: PartType = {
  ...own("pinion"),
  id: "short-pinion",
  shape: { kind: "pinion", teeth: 12, moduleMm: 0.8, boreMm: 5.1, lengthMm: 18 },
};
const types = new Map([...parts, wide, pinion].map((part) => [part.id, part]));

describe("a conversion kit", () => {
  it("brings all its companions: a gear without its pinion is found out by the centres", () => {
    const half = { seats: [{ positionId: "main-gear", partTypeId: "wide-gear" }] };
    expect(kitFaults(anatomy, types, half)).toEqual([expect.stringContaining("too close")]);
    const whole = { seats: [...half.seats, { positionId: "pinion", partTypeId: "short-pinion" }] };
    expect(kitFaults(anatomy, types, whole)).toEqual([]);
    expect(withKit(anatomy, whole).positions.find((p) => p.id === "pinion")?.partTypeId).toBe("short-pinion");
    expect(anatomy.positions.find((p) => p.id === "pinion")?.partTypeId).toBe("pinion");
  });

  it("puts teeth where there were teeth, and nothing else there", () => {
    const only = (positionId: string, partTypeId: string) => kitFaults(anatomy, types, { seats: [{ positionId, partTypeId }] });
    expect(only("star", "wide-gear")).toEqual([expect.stringMatching(/^Star.* has teeth, and nothing there does\.$/)]);
    expect(only("main-gear", "star")).toContainEqual(expect.stringMatching(/^Main gear: .* has no teeth\.$/));
    expect(only("main-gear", "main-gear")).toEqual([]);
  });

  it("names seats and parts that are not there, and a seat asked for twice", () => {
    const faults = kitFaults(anatomy, types, {
      seats: [
        { positionId: "nowhere", partTypeId: "wide-gear" },
        { positionId: "star", partTypeId: "nothing" },
        { positionId: "star", partTypeId: "star" },
      ],
    });
    expect(faults).toEqual([expect.stringContaining("nowhere"), expect.stringContaining("star"), expect.stringContaining("nothing")]);
    expect(kitSchema.safeParse({ id: "k", name: "", modelId: "m", seats: [] }).success).toBe(false);
  });
});
