import { describe, expect, it } from "vitest";
import { families } from "@/core/families/families";
import { buildOrder } from "./build-order";
import { buriedBy, buriedByAct } from "./buried-by";
import { leftOver, missingBefore, type TrayWell } from "./left-over";
import { removalOrder } from "./removal-order";
import { wayRound } from "./way-round";
import type { Well } from "./well";

const { anatomy, parts } = families["star-drag-bridge"];
const types = new Map(parts.map((part) => [part.id, part]));
const built = buildOrder(anatomy, removalOrder(anatomy));
if (!built.ok) throw new Error(built.message);
const well = (change: Partial<Well> = {}): Well =>
  ({ verdict: "ok", renewed: false, orientation: "", lies: null, foundCount: 1, leftOutReason: null, ...change }) as unknown as Well;
/** The build up to a seat, all of it done, with changes to single wells and steps. */
const upTo = (seat: string, wells: Record<string, Partial<Well> | null> = {}, undone: readonly string[] = []) => {
  const at = built.value.steps.findIndex(({ operation }) => operation.id === `place-${seat}`);
  return built.value.steps.map(({ operation, position }, i) => ({
    operation,
    position,
    state: i < at && !undone.includes(position?.id ?? "") ? ("done" as const) : ("waiting" as const),
    well: position && wells[position.id] !== null ? well(wells[position.id] ?? {}) : null,
  }));
};
const look = (seat: string, ...of: [Record<string, Partial<Well> | null>?, (readonly string[])?]) => {
  const steps = upTo(seat, ...of);
  return buriedBy(steps, anatomy, types, steps.find(({ operation }) => operation.id === `place-${seat}`)!);
};

describe("what a step would cover", () => {
  it("is asked of placing a part alone, and says of what is under it what the tray says", () => {
    const steps = upTo("star");
    const gate = steps.find(({ operation }) => operation.kind === "gate")!;
    expect(buriedBy(steps, anatomy, types, gate)).toBeNull();
    expect(look("star")!.faults).toEqual([]);
    expect(look("star", { "tension-lower": { verdict: "replace" } })!.faults).toHaveLength(1);
    expect(look("star", { "tension-lower": { verdict: "replace", renewed: true } })!.faults).toEqual([]);
    expect(look("star", { "tension-lower": { foundCount: 2 } })!.doubts).toHaveLength(1);
    expect(look("star", { "tension-lower": { lies: "turned" } })!.doubts).toHaveLength(1);
  });

  it("misses what lies in the tray still, and not what stays out on purpose or never came off", () => {
    expect(look("star", {}, ["tension-lower"])!.faults).toEqual([expect.stringContaining("is not fitted")]);
    expect(
      look("star", { "tension-lower": { leftOutReason: "lost" } }, ["tension-lower"])!.rows.map(({ positionId }) => positionId),
    ).toEqual(["tension-upper"]);
    expect(look("star", { "tension-lower": null, "tension-upper": null })).toBeNull();
  });

  it("of an act of several is judged step by step: what goes in by the act itself is in for what comes after it", () => {
    const steps = upTo("tension-upper");
    const act = ["place-tension-upper", "place-star"];
    expect(buriedByAct(steps, anatomy, types, act)!.faults).toEqual([]);
    // Without the washer in the act it is missed, and said once.
    expect(buriedByAct(steps, anatomy, types, ["place-star"])!.faults).toEqual([expect.stringContaining("is not fitted")]);
    expect(buriedByAct(steps, anatomy, types, ["place-tension-upper"])).toBeNull();
    expect(buriedByAct(steps, anatomy, types, ["no-such-step"])).toBeNull();
  });
});

describe("what lies in the tray and should not", () => {
  const lying = (change: Partial<TrayWell> = {}): TrayWell => ({
    well: 1,
    positionId: "a",
    name: "A",
    refitted: false,
    leftOutReason: null,
    ...change,
  });
  it("is what was neither fitted again nor left out for a reason, an empty one too", () => {
    expect(leftOver([lying(), lying({ refitted: true }), lying({ leftOutReason: "lost" })])).toHaveLength(1);
    expect(leftOver([lying({ leftOutReason: "" })])).toEqual([]);
  });
  it("keeps a step waiting for what it needs, and for nothing that is done", () => {
    expect(missingBefore(["a", "b"], new Set(["b"]))).toEqual(["a"]);
    expect(missingBefore([], new Set())).toEqual([]);
  });
});

describe("how a part goes back", () => {
  const cup = { orientation: "cup up" };
  it("is the model's way; another that was written stands beside it, the same one does not", () => {
    expect(wayRound(cup, { orientation: " cup up ", lies: null })).toEqual({ goesBack: "cup up", lay: "", turnedOver: false });
    expect(wayRound(cup, { orientation: "cup down", lies: null })).toEqual({ goesBack: "cup up", lay: "cup down", turnedOver: false });
    expect(wayRound(cup, { orientation: "cup down", lies: "turned" })).toEqual({ goesBack: "cup up", lay: "cup down", turnedOver: true });
    expect(wayRound({}, { orientation: "mark outward", lies: null })).toEqual({ goesBack: "mark outward", lay: "", turnedOver: false });
    expect(wayRound({}, { orientation: "", lies: "turned" })).toEqual({ goesBack: "", lay: "", turnedOver: true });
  });
  it("is as it was found where the model leaves it to the reel: nothing is an earlier hand's mistake there", () => {
    const left = { orientation: "as found", asFound: true as const };
    expect(wayRound(left, { orientation: "", lies: null })).toEqual({ goesBack: "as found", lay: "", turnedOver: false });
    expect(wayRound(left, { orientation: "cup down", lies: null }).goesBack).toBe("as found: cup down");
    expect(wayRound(left, { orientation: "cup down", lies: "turned" })).toEqual({
      goesBack: "as found: upside down, left that way, cup down",
      lay: "",
      turnedOver: false,
    });
  });
});
