import { describe, expect, it } from "vitest";
import { everyBuild } from "@/core/families/families";
import { removalOrder } from "@/core/teardown/removal-order";
import { familyIds } from "@/core/vocabulary/families";
import { batchesOf } from "./batches";
import type { StripGuide } from "./strip-acts";
import { isLastOff, stripNow } from "./strip-now";

const builds = familyIds.flatMap((family) => everyBuild(family).map(({ name, template }) => ({ family, name, template })));
const [{ template }] = builds as [(typeof builds)[number]];
const guideOf = ({ anatomy, parts }: typeof template): StripGuide => {
  const types = new Map(parts.map((part) => [part.id, part]));
  return { anatomy, types, batches: batchesOf(anatomy, types), expected: removalOrder(anatomy) };
};
const rest = { picked: null, lastAssemblyId: null, towardsAssemblyId: null, mayStrip: true, anyOpened: true, tested: false };

describe("what the main key of the way apart does", () => {
  const guide = guideOf(template);
  const [first, , third] = guide.expected as [string, string, string];

  it("takes off nothing before its owner said yes", () => {
    expect(stripNow({ ...rest, guide, off: new Set(), mayStrip: false }).key).toEqual({ what: "ask-first" });
  });

  it("goes on to Clean when all is off, and asks what to open where nothing was said yet", () => {
    const nothing = { ...guide, expected: [] };
    expect(stripNow({ ...rest, guide: nothing, off: new Set() }).key).toEqual({ what: "to-clean" });
    expect(stripNow({ ...rest, guide: nothing, off: new Set(), anyOpened: false }).key).toEqual({ what: "choose-what-to-open" });
    expect(stripNow({ ...rest, guide: nothing, off: new Set([first]), anyOpened: false }).key).toEqual({ what: "to-clean" });
    // Sent to Test again, a person would only be sent back.
    expect(stripNow({ ...rest, guide: nothing, off: new Set(), anyOpened: false, tested: true }).key).toEqual({ what: "nothing-to-open" });
  });

  it("takes a picked part by itself, and no part twice", () => {
    const picked = { positionId: third, alone: true };
    expect(stripNow({ ...rest, guide, off: new Set(), picked }).act).toEqual({ positionIds: [third], batch: null });
    expect(stripNow({ ...rest, guide, off: new Set([third]), picked }).act?.positionIds).not.toContain(third);
  });

  it("leads on after the last of what was to come off, not after a part nobody expected", () => {
    const few = { expected: [first, third] };
    expect(isLastOff(few, new Set([first]), [third])).toBe(true);
    expect(isLastOff(few, new Set(), [third])).toBe(false);
    expect(isLastOff(few, new Set([first, third]), ["something else"])).toBe(false);
  });
});

describe.each(builds)("the main key alone, from whole to empty: $family ($name)", ({ template: built }) => {
  it("takes every part once, and the last press says it is the last", () => {
    const guide = guideOf(built);
    const off = new Set<string>();
    const lasts: number[] = [];
    for (let presses = 1; presses < 400; presses++) {
      const { key } = stripNow({ ...rest, guide, off });
      if (key.what !== "take") break;
      expect(key.act.positionIds.filter((id) => off.has(id))).toEqual([]);
      if (isLastOff(guide, off, key.act.positionIds)) lasts.push(presses);
      for (const id of key.act.positionIds) off.add(id);
    }
    expect([...off].toSorted()).toEqual(guide.expected.toSorted());
    expect(lasts).toHaveLength(1);
  });
});
