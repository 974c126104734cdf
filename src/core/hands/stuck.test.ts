import { describe, expect, it } from "vitest";
import { skerry30Anatomy, skerry30Parts } from "#tests/skerry";
import type { PartKind } from "@/core/anatomy/shapes";
import { typicalShapes } from "@/core/anatomy/typical-shape";
import { stuckHelp } from "./stuck";

const seat = (id: string) => skerry30Anatomy.positions.find((position) => position.id === id)!;
const typeAt = (id: string) => skerry30Parts.find((part) => part.id === seat(id).partTypeId)!;
const everything = new Set(skerry30Anatomy.positions.map(({ id }) => id));
const help = (id: string, still = everything, way: "off" | "on" = "off", found: "left" | "right" | null = null) =>
  stuckHelp(skerry30Anatomy, seat(id), typeAt(id), still, way, found);

describe("a part that does not come off", () => {
  it("names what still holds it, each once, and nothing that lies in the tray already", () => {
    const held = help("handle-nut").freeFirst;
    expect(held).toContain(seat("lock-screw").name);
    expect(new Set(held).size).toBe(held.length);
    expect(help("handle-nut", new Set()).freeFirst).toEqual([]);
    // Going in, nothing is freed first.
    expect(help("handle-nut", everything, "on").freeFirst).toEqual([]);
  });

  it("thinks of the thread first where it was found left-hand, and only at what is threaded", () => {
    expect(help("handle-nut", everything, "off", "left").causes[0]).toMatch(/left-hand/);
    expect(help("head-bearing", everything, "off", "left").causes.join()).not.toMatch(/^left-hand thread: it loosens/);
  });

  it("ends with what any part may suffer from, and says how to hold it so that nothing gives but the joint (common practice)", () => {
    expect(help("head-bearing").causes.at(-1)).toMatch(/dirt, salt or dried grease/);
    expect(help("head-bearing", everything, "on").causes.at(-1)).toMatch(/end for end/);
    expect(help("head-bearing").hold.join()).toMatch(/ring that is tight/);
    expect(help("handle-nut").hold.join()).toMatch(/never the spool/);
    expect(help("lock-screw").hold.join()).toMatch(/driver upright/);
    expect(help("click-tongue").hold.join()).toMatch(/nothing thin/);
  });
});

// Common practice: what to think of at each kind of part before more force, each thought once and in this order.
const thoughts: readonly [kind: PartKind, off: readonly RegExp[], on: readonly RegExp[]][] = [
  ["screw", [/thread-lock/, /fill the slot/], [/crossed/, /grit in the hole/, /long one of another hole/]],
  ["nut", [/lock screw still holds/, /left-hand/, /salt in the thread/], [/crossed/, /under it is not seated/]],
  ["cap", [/left-hand thread, or tabs/, /O-ring that has dried/], [/rolled out of its groove/, /crossed/]],
  ["bearing", [/salt behind it/, /clip or keeper/, /meant to stay/], [/tilted/, /burr or salt/, /nearly this size/]],
  ["sleeve", [/pinned/, /turn while you draw/], [/burr at its edge/, /holes are not in line/]],
  ["handle", [/star still presses/, /lock screw under a cap/], [/flats of the shaft/]],
  ["clip", [/away from the gap/], [/groove is not clear/]],
  ["plate", [/hidden screw/, /dried gasket/], [/stands proud/, /not in the state/]],
  ["pinion", [/left-hand thread on some/], [/teeth not meshed/]],
  ["spool", [/line caught/, /level wind or a pin/], [/slot is not on/]],
  ["rotor", [/set screw is still in/, /grease on the taper/], [/key is not in its channel/, /anti-reverse is off/]],
  ["tongue", [], []],
];

describe.each(thoughts)("a %s that sits fast", (kind, off, on) => {
  const position = { ...seat("click-tongue"), id: "odd" };
  const of = (role: string, way: "off" | "on", found: "left" | "right" | null = null) =>
    stuckHelp(
      { positions: [position] },
      position,
      { ...typeAt("click-tongue"), role, shape: { ...typicalShapes[kind] } },
      new Set(),
      way,
      found,
    );

  it("is thought of in its order, off and on, and then as any part", () => {
    const told = { off: of("odd", "off").causes, on: of("odd", "on").causes };
    expect(told.off).toHaveLength(off.length + 1);
    expect(told.on).toHaveLength(on.length + 2);
    for (const [at, thought] of off.entries()) expect(told.off[at]).toMatch(thought);
    for (const [at, thought] of on.entries()) expect(told.on[at]).toMatch(thought);
    expect(told.on.at(-2)).toMatch(/burr or grit/);
  });

  it("turns the other way only where there is a thread to turn", () => {
    const first = of("odd", "off", "left").causes[0] ?? "";
    expect(/it loosens clockwise$/.test(first)).toBe(["screw", "nut", "cap", "pinion"].includes(kind));
  });
});

describe("what is held while a nut is turned", () => {
  const nut = (role: string) =>
    stuckHelp(
      { positions: [seat("handle-nut")] },
      seat("handle-nut"),
      { ...typeAt("handle-nut"), role, shape: { ...typicalShapes.nut } },
      new Set(),
      "off",
    ).hold;
  it("is the handle's arm, the rotor, or what another nut sits on", () => {
    expect(nut("handle-nut").join()).toMatch(/handle arm near the hub/);
    expect(nut("rotor-nut").join()).toMatch(/rotor in the hand/);
    expect(nut("foot-nut").join()).toMatch(/fits all its flats/);
    expect(stuckHelp({ positions: [] }, seat("cap"), typeAt("cap"), new Set(), "off").hold.join()).toMatch(/strap or rubber/);
  });
});
