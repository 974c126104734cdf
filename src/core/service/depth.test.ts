import { describe, expect, it } from "vitest";
import { skerry30Anatomy, skerry30Parts } from "#tests/skerry";
import type { Fault } from "@/core/diagnosis/fault";
import { type DepthWanted, depthOf, openedForWords, rolesBySection, sectionsOfComplaints } from "./depth";

const types = new Map(skerry30Parts.map((part) => [part.id, part]));
const fault = (section: Fault["section"], partRoles: string[], needs?: string) =>
  ({ section, needs, remedy: { partRoles, words: "", minutes: 10 } }) as unknown as Fault;
/** Every fault such a reel can have, by the roles they are about. */
const catalogue = [fault("drag", ["friction-washer"]), fault("spool-side", ["spool-bearing"]), fault("click", ["click-tongue"])];
const depth = (wanted: Partial<DepthWanted>) =>
  depthOf(
    skerry30Anatomy,
    types,
    { depth: "complaint", faults: [], complaints: [], sections: [], newParts: [], said: new Map(), ...wanted },
    catalogue,
  );
const assemblyOf = (seat: string) => skerry30Anatomy.positions.find(({ id }) => id === seat)!.assemblyId;
const serviced = skerry30Anatomy.assemblies.filter(({ stays }) => !stays).map(({ id }) => id);
const openAt = (...of: Parameters<typeof depth>) => [...depth(...of).open.keys()].sort();

describe("how deep a reel is opened", () => {
  it("is all that is serviced for a full service, the quick ones for a quick one, nothing for the outside alone", () => {
    expect(openAt({ depth: "full" })).toEqual([...serviced].sort());
    const quick = skerry30Anatomy.assemblies.filter((assembly) => assembly.quick).map(({ id }) => id);
    expect(openAt({ depth: "quick" })).toEqual(quick.sort());
    expect(openAt({ depth: "light" })).toEqual([]);
  });

  it("is where the complaint sits; what the tests point to is nearer than what was felt", () => {
    expect(openAt({ complaints: ["drag-weak"] })).toEqual([assemblyOf("friction-mid")]);
    expect(openAt({ complaints: ["drag-weak"], sections: ["click"] })).toEqual([assemblyOf("click-tongue")]);
    // Felt outside, it is mended outside.
    expect(openAt({ complaints: ["wobbles"] })).toEqual([]);
  });

  it("is everything where nothing says where it sits, and where the line of the shafts is in question", () => {
    expect(openAt({})).toEqual([...serviced].sort());
    expect(openAt({ sections: ["shaft-line"] })).toEqual([...serviced].sort());
    // A reel that came for its parts alone is opened for them alone.
    expect(openAt({ onlyParts: true, newParts: ["head-bearing"] })).toEqual([]);
    expect(openAt({ onlyParts: true })).toEqual([...serviced].sort());
  });

  it("lays the part of a proved fault open, not its assembly; a fault of no part opens the assemblies of its section", () => {
    const proved = depth({ depth: "light", faults: [fault("spool-side", ["spool-bearing"])] });
    expect([...proved.seats].map(([, why]) => why)).toEqual(proved.seats.size ? [...proved.seats].map(() => "fault") : ["none"]);
    expect([...proved.seats.keys()]).toContain("head-bearing");
    expect(proved.open.size).toBe(0);
    expect(openAt({ depth: "light", faults: [fault("drag", [])] })).toEqual([assemblyOf("friction-mid")]);
    expect(openAt({ depth: "light", faults: [fault("outside", [])] })).toEqual([]);
    // Once there is a fault, the whole reel is not opened for want of a complaint.
    expect(openAt({ faults: [fault("spool-side", ["spool-bearing"])] })).toEqual([]);
  });

  it("empties the seat of a new part, for the fault where one asks for it", () => {
    const both = depth({ depth: "light", faults: [fault("spool-side", ["spool-bearing"])], newParts: ["head-bearing", "click-tongue"] });
    expect(both.seats.get("head-bearing")).toBe("fault");
    expect(both.seats.get("click-tongue")).toBe("part");
  });

  it("goes by a person's word above all: opened as they said, shut whatever asks for it", () => {
    const drag = assemblyOf("friction-mid");
    expect(depth({ depth: "full", said: new Map([[drag, "asked"]]) }).open.get(drag)).toBe("asked");
    const shut = depth({ depth: "full", newParts: ["friction-mid"], said: new Map([[drag, "shut"]]) });
    expect(shut.open.has(drag)).toBe(false);
    expect(shut.seats.has("friction-mid")).toBe(false);
    expect([...shut.shut]).toEqual([drag]);
  });
});

describe("where a complaint is looked for", () => {
  it("is each section once, and nowhere for a service", () => {
    expect(sectionsOfComplaints(["stiff", "gritty", "drag-weak"])).toEqual(["gear-side", "spool-side", "drag"]);
    expect(sectionsOfComplaints(["service"])).toEqual([]);
  });

  it("belongs to the roles of the faults of that section, what they need among them", () => {
    const roles = rolesBySection([fault("drag", ["friction-washer"], "drag-spring"), fault("drag", ["keyed-washer"])]);
    expect([...roles.get("drag")!].sort()).toEqual(["drag-spring", "friction-washer", "keyed-washer"]);
    expect(roles.has("click")).toBe(false);
  });
});

// Common practice: where a hand looks first for what was felt.
it.each([
  ["stiff", ["gear-side", "spool-side"]],
  ["gritty", ["gear-side", "spool-side"]],
  ["short-spin", ["spool-side"]],
  ["drag-jerky", ["drag"]],
  ["drag-weak", ["drag"]],
  ["slips-back", ["anti-reverse"]],
  ["click-weak", ["click"]],
  ["no-gear", ["controls"]],
  ["wobbles", ["outside"]],
  ["line-twists", ["bail"]],
  ["no-rise", ["gear-side"]],
  ["bail-hangs", ["bail"]],
  ["drops-line", ["bail"]],
  ["service", []],
] as const)("%s is looked for at %j", (complaint, sections) => expect(sectionsOfComplaints([complaint])).toEqual(sections));

it("why an assembly is open is said in few words, each its own", () => {
  const words = Object.values(openedForWords);
  expect(new Set(words).size).toBe(5);
  expect(openedForWords.complaint).toContain("complaint");
  expect(openedForWords.fault).toContain("fault");
  expect(openedForWords.part).toContain("part");
  expect(openedForWords.asked).toContain("asked");
});
