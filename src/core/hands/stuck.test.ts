import { describe, expect, it } from "vitest";
import { skerry30Anatomy, skerry30Parts } from "#tests/skerry";
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
