import { describe, expect, it } from "vitest";
import { modelFromTemplate } from "@/core/families/template";
import { batchesOf } from "@/core/hands/batches";
import type { FamilyId } from "@/core/vocabulary/families";
import { changedBuild } from "../changed-build";
import { families, familyWith } from "../families";

const starDrags: readonly FamilyId[] = ["star-drag-bridge", "star-drag-clutch"];
const baitcasters: readonly FamilyId[] = ["baitcaster-low-profile", "baitcaster-round"];
const withEnd = [...starDrags, ...baitcasters];
const built = (family: FamilyId, end: string, under?: string) =>
  familyWith(family, { "handle-end": end, ...(under ? { "under-handle": under } : {}) });
const fromTheStarOut = (template: ReturnType<typeof built>): string[] => {
  const seats = template.anatomy.positions.filter(({ assemblyId, stays }) => assemblyId === "handle" && !stays).map(({ id }) => id);
  return seats.slice(seats.indexOf("star") + 1);
};
const act = (template: ReturnType<typeof built>, id: string) => template.anatomy.operations.find((one) => one.id === id);

describe.each(withEnd)("the handle end of %s", (family) => {
  // Common practice: how such reels hold their handle, from the star outwards.
  it.each([
    ["lock-screw", ["handle-spacer", "handle", "handle-nut", "lock-screw"]],
    ["slotted-screw", ["handle-spacer", "handle", "handle-screw"]],
    ["keeper", ["handle-spacer", "handle", "handle-nut", "nut-keeper", "keeper-screw"]],
  ])("built as %s holds its handle so", (end, seats) => {
    expect(fromTheStarOut(built(family, end))).toEqual(seats);
  });

  it.each(["lock-screw", "slotted-screw", "keeper"])(
    "built as %s has the star felt with the end tight, before anything locks it",
    (end) => {
      const template = built(family, end);
      const feels = act(template, "gate-handle")!;
      expect(feels.after).toEqual([end === "slotted-screw" ? "tighten-handle-screw" : "tighten-nut"]);
      expect(feels.before).toEqual({ "lock-screw": ["place-lock-screw"], "slotted-screw": [], keeper: ["place-nut-keeper"] }[end]);
      expect(feels.lookAt.map(({ words }) => words).join(" ")).toMatch(/spacer missing/i);
    },
  );

  it("has nothing to line up where a slotted screw holds it", () => {
    const { anatomy, parts } = built(family, "slotted-screw");
    expect(anatomy.operations.map(({ id }) => id)).not.toContain("tighten-nut");
    expect(parts.map(({ role }) => role)).not.toEqual(expect.arrayContaining(["handle-nut"]));
    expect(anatomy.operations.map(({ words }) => words).join(" ")).not.toMatch(/next flat|lock screw/);
  });

  it.each(["lock-screw", "slotted-screw", "keeper"])("built as %s comes off with its handle in one press", (end) => {
    const template = built(family, end);
    const types = new Map(template.parts.map((part) => [part.id, part]));
    const own = fromTheStarOut(template);
    const [batch] = batchesOf(template.anatomy, types).filter(({ id }) => id === "handle");
    expect([...batch!.positionIds].sort()).toEqual([...own].sort());
  });

  it("changes in a model that was edited without touching anything else", () => {
    const from = families[family];
    const to = built(family, "slotted-screw");
    const own = modelFromTemplate(from, "OWN");
    const edited = {
      ...own.anatomy,
      positions: own.anatomy.positions.map((seat) => (seat.id === "star" ? { ...seat, trap: "as found on ours" } : seat)),
    };
    const changed = changedBuild(edited, from, to, (part) => `own-${part.id}`);
    const aside = new Set(["handle-nut", "lock-screw", "nut-keeper", "keeper-screw", "handle-screw"]);
    const others = (seats: typeof edited.positions) => seats.filter(({ id }) => !aside.has(id)).map(({ ordinal: _, ...seat }) => seat);
    expect(others(changed.positions)).toEqual(others(edited.positions));
    expect(changed.positions.map(({ id }) => id)).toContain("handle-screw");
  });
});

describe("what lies under a handle", () => {
  // Common practice: it keeps the end from locking the drag, whatever it is.
  it.each([
    ["star-drag-bridge", "spacer", ["handle-spacer"]],
    ["star-drag-bridge", "spring-plate", ["handle-spacer", "spring-plate"]],
    ["star-drag-clutch", "square-plate", ["handle-spacer"]],
    ["baitcaster-low-profile", "thin-washer", ["handle-spacer"]],
  ] as const)("of %s, built with %s, carries the handle and hides", (family, under, seats) => {
    const template = built(family, "lock-screw", under);
    const out = fromTheStarOut(template);
    expect(out.slice(0, out.indexOf("handle"))).toEqual(seats);
    const seat = (id: string) => template.anatomy.positions.find((one) => one.id === id)!;
    expect(seat("handle").restsOn).toEqual(seats.slice(-1));
    for (const id of seats) expect(seat(id).hides).toBe(true);
    expect(act(template, "gate-star")!.before).toEqual(["place-handle-spacer"]);
  });
});

describe("the handle end of a lever drag", () => {
  // Common practice: a washer under the arm, a nut, and a lock plate with its screw or a guard with the screw parked in it.
  it.each([
    ["keeper", ["handle-washer", "handle", "handle-nut", "nut-keeper", "keeper-screw"]],
    ["guard", ["handle-washer", "handle", "handle-nut", "nut-guard"]],
    ["slotted-screw", ["handle-washer", "handle", "handle-screw"]],
  ])("built as %s: what holds it is off before the handle leaves; no star is felt", (end, seats) => {
    const template = built("lever-drag", end);
    const own = template.anatomy.positions.filter(({ assemblyId, stays }) => assemblyId === "handle" && !stays).map(({ id }) => id);
    expect(own).toEqual(seats);
    expect(template.anatomy.assemblies.find(({ id }) => id === "handle")?.freedBy).toEqual(seats.slice(2));
    expect(act(template, "gate-handle")).toBeUndefined();
  });
});
