import { describe, expect, it } from "vitest";
import { fitFaults } from "@/core/anatomy/check-fit";
import { type Anatomy, placeOperationId } from "@/core/anatomy/types";
import { buildOrder } from "@/core/teardown/build-order";
import { checkOrder } from "@/core/teardown/check-order";
import { removalOrder } from "@/core/teardown/removal-order";
import type { FamilyId } from "@/core/vocabulary/families";
import { families } from "./families";

const steps = (anatomy: Anatomy) => {
  const built = buildOrder(anatomy, removalOrder(anatomy));
  if (!built.ok) throw new Error(built.message);
  return built.value.steps;
};

/** The words that stand at the step that fits a part: how it lies, what goes wrong, what to beware of. */
const warns = (family: FamilyId, seat: string, said: RegExp) => {
  const position = families[family].anatomy.positions.find(({ id }) => id === seat);
  expect([position?.orientation, position?.trap, position?.caution].filter(Boolean).join(" | "), `${family} ${seat}`).toMatch(said);
};

/** The words of an act that has no part of its own, and that it comes before another. */
const acts = (family: FamilyId, act: string, said: RegExp, before: string) => {
  const order = steps(families[family].anatomy).map(({ operation }) => operation);
  const at = order.findIndex(({ id }) => id === act);
  expect(order[at]?.words, `${family} ${act}`).toMatch(said);
  expect(at, `${family} ${act} before ${before}`).toBeLessThan(order.findIndex(({ id }) => id === before));
};

/** A gate that asks after it, and comes before the next cover would bury it. */
const gates = (family: FamilyId, gate: string, looks: RegExp, beforeCover: string | null) => {
  const order = steps(families[family].anatomy).map(({ operation }) => operation);
  const at = order.findIndex(({ id, kind }) => id === gate && kind === "gate");
  expect(at, `${family} ${gate}`).toBeGreaterThanOrEqual(0);
  expect(order[at]!.lookAt.map(({ words }) => words).join(" | "), `${family} ${gate}`).toMatch(looks);
  if (beforeCover)
    expect(at, `${gate} before ${beforeCover}`).toBeLessThan(
      order.findIndex(({ id }) => id === placeOperationId(beforeCover) || id === beforeCover),
    );
};

/** A seat filled after one that has to wait for it is refused, with the reason. */
const order = (family: FamilyId, first: string, then: string) => {
  const { anatomy } = families[family];
  const right = steps(anatomy).map(({ operation }) => operation.id);
  const wrong = right.filter((id) => id !== placeOperationId(first));
  wrong.splice(wrong.indexOf(placeOperationId(then)) + 1, 0, placeOperationId(first));
  expect(checkOrder(anatomy, removalOrder(anatomy), wrong)).toContainEqual(
    expect.objectContaining({ kind: "too-early", trapped: placeOperationId(first) }),
  );
};

/** Left out it is missed: nothing closes over a seat that was emptied and is not filled. */
const missed = (family: FamilyId, seat: string) => {
  const { anatomy } = families[family];
  const without = steps(anatomy)
    .map(({ operation }) => operation.id)
    .filter((id) => id !== placeOperationId(seat));
  expect(checkOrder(anatomy, removalOrder(anatomy), without)).toContainEqual(
    expect.objectContaining({ kind: "never", operation: placeOperationId(seat) }),
  );
};

/** A part of other sizes does not fit, and the message names millimetres. */
const misfits = (family: FamilyId, seat: string, change: (type: { shape: Record<string, unknown> }) => void, said: RegExp) => {
  const { anatomy, parts } = families[family];
  const types = new Map(parts.map((part) => [part.id, structuredClone(part)]));
  expect(fitFaults(anatomy, types), family).toEqual([]);
  const position = anatomy.positions.find(({ id }) => id === seat)!;
  const wrong = structuredClone(types.get(position.partTypeId)!);
  change(wrong as never);
  wrong.id = "wrong";
  const changed = structuredClone(anatomy);
  changed.positions.find(({ id }) => id === seat)!.partTypeId = "wrong";
  expect(fitFaults(changed, new Map([...types, ["wrong", wrong]])).join(" | "), `${family} ${seat}`).toMatch(said);
};

/** What goes wrong when reels go back together (common practice), each by the way it is caught here. */
const traps: readonly (readonly [trap: string, caught: () => void])[] = [
  ["keyed and eared washer swapped", () => order("star-drag-bridge", "keyed-low", "eared")],
  [
    "tension washers nested instead of opposed",
    () => [
      warns("star-drag-bridge", "tension-upper", /face each other/),
      gates("star-drag-bridge", "gate-star", /Tension washers/, "handle-spacer"),
    ],
  ],
  ["cup the wrong way", () => warns("star-drag-bridge", "tension-lower", /cup up/)],
  [
    "cam half a turn round",
    () => [warns("lever-drag", "cam", /Half a turn/), gates("lever-drag", "gate-free-spool", /Cam half a turn/, "handle")],
  ],
  [
    "dog upside down",
    () => [warns("star-drag-bridge", "dog", /Upside down/), gates("star-drag-bridge", "gate-dog", /upside down/, "head-screw-top")],
  ],
  [
    "dog spring not behind its stud",
    () => [
      warns("star-drag-clutch", "dog-spring", /behind its stud/i),
      gates("star-drag-clutch", "gate-dog", /behind its stud/, "under-gear-washer"),
      warns("star-drag-bridge", "dog-spring", /pocket/i),
    ],
  ],
  ["yoke springs lost", () => missed("star-drag-bridge", "yoke-spring-front")],
  [
    "yoke springs on the threads",
    () => [
      warns("star-drag-bridge", "bridge-screw-top-front", /smooth part/),
      order("star-drag-bridge", "yoke-spring-front", "bridge-screw-top-front"),
    ],
  ],
  [
    "pinion's slot facing out",
    () => [
      warns("star-drag-bridge", "pinion", /Slot facing out/),
      gates("star-drag-bridge", "gate-lever", /slot to the spool/, "close-head"),
    ],
  ],
  [
    "jack's hole not on the eccentric's stud",
    () => [warns("star-drag-bridge", "jack", /stud/), gates("star-drag-bridge", "gate-lever", /Jack/, "close-head")],
  ],
  [
    "gear sleeve pushed out by the spool's shaft",
    () => [warns("star-drag-bridge", "gear-sleeve", /leave with the spool/), missed("star-drag-bridge", "gear-sleeve")],
  ],
  [
    "inner sleeve of a clutch dropped",
    () => [warns("baitcaster-low-profile", "clutch-sleeve", /leaves with the star/), missed("baitcaster-low-profile", "clutch-sleeve")],
  ],
  [
    "washer stuck to the part above and left out",
    () => [warns("star-drag-bridge", "friction-high", /clings/), missed("star-drag-bridge", "friction-high")],
  ],
  [
    "inner sleeve of a centrepin left out",
    () => [missed("centrepin", "inner-sleeve"), gates("centrepin", "gate-hub", /Inner sleeve/, "drum")],
  ],
  [
    "clip not seated in its groove",
    () => [warns("centrepin", "rear-clip", /seated all round/), gates("centrepin", "gate-hub", /clip not seated/, "drum")],
  ],
  [
    "star cross-threaded",
    () => [warns("star-drag-bridge", "star", /by hand/), gates("star-drag-bridge", "gate-handle", /cross-threaded/, "lock-screw")],
  ],
  ["handle nut cross-threaded", () => warns("star-drag-bridge", "handle-nut", /by hand/)],
  [
    "star pinned: spacer missing",
    () => [missed("star-drag-bridge", "handle-spacer"), gates("star-drag-bridge", "gate-handle", /spacer missing/, "lock-screw")],
  ],
  [
    "star pinned: stack not pressed down before the nut",
    () => [
      warns("star-drag-bridge", "handle", /Press the stack/),
      gates("star-drag-bridge", "gate-handle", /not pressed down/, "lock-screw"),
    ],
  ],
  [
    "handle nut not indexed to its lock screw",
    () => acts("star-drag-bridge", "tighten-nut", /next flat at the lock screw/, placeOperationId("lock-screw")),
  ],
  [
    "wide and narrow rotor slot swapped",
    () => [warns("spinning", "rotor", /pinion stands low/), gates("spinning", "gate-rotor", /Wide key/, null)],
  ],
  [
    "oscillation block's flat side wrong",
    () => [warns("spinning", "oscillation-block", /Flat side wrong/), gates("spinning", "gate-mesh", /block/i, null)],
  ],
  ["roller's thick end wrong", () => [warns("spinning", "roller", /Thick end wrong/)]],
  ["bearing not pressed home", () => gates("star-drag-bridge", "gate-spool", /bearing not home/, null)],
  [
    "plates drawn down with the spool tension closed",
    () => [
      warns("star-drag-bridge", "cap", /Backed off before/),
      acts("baitcaster-low-profile", "back-off", /backed off before/, placeOperationId("side-screw-top")),
    ],
  ],
  ["side plate drawn down too far or skew", () => gates("star-drag-bridge", "gate-spool", /skew/, null)],
  ["part left in the tray", () => missed("spincast", removalOrder(families.spincast.anatomy)[5]!)],
  [
    "long screw in a short hole",
    () =>
      misfits(
        "star-drag-bridge",
        "head-screw-foot-front",
        ({ shape }) => {
          shape.lengthMm = 14;
        },
        /mm/,
      ),
  ],
  [
    "washer of another size in the cup",
    () =>
      misfits(
        "star-drag-bridge",
        "friction-low",
        ({ shape }) => {
          shape.outsideMm = 60;
        },
        /mm/,
      ),
  ],
  [
    "one-way clutch greased",
    () => expect(families.spinning.anatomy.positions.find(({ id }) => id === "clutch")!.lubricant?.why).toMatch(/never grease/),
  ],
];

describe("the traps of putting a reel together", () => {
  it.each(traps)("%s", (_, caught) => {
    caught();
  });

  it("are more than twenty", () => expect(traps.length).toBeGreaterThan(20));
});
