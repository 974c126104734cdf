import { describe, expect, it } from "vitest";
import { skerry30Anatomy, skerry30Parts } from "#tests/skerry";
import type { Fault } from "@/core/diagnosis/fault";
import { type DepthWanted, depthOf, openedForWords, rolesBySection, shutInTheWay } from "./depth";

const types = new Map(skerry30Parts.map((part) => [part.id, part]));
const fault = (section: Fault["section"], partRoles: string[], needs?: string) =>
  ({ section, needs, remedy: { partRoles, words: "", minutes: 10 } }) as unknown as Fault;
const depth = (wanted: Partial<DepthWanted>) =>
  depthOf(skerry30Anatomy, types, {
    family: "star-drag-bridge",
    depth: "complaint",
    faults: [],
    complaints: [],
    sections: [],
    newParts: [],
    said: new Map(),
    ...wanted,
  });
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

  it("is where the complaint sits and no more of it; what the tests point to is nearer than what was felt", () => {
    const weak = depth({ complaints: ["drag-weak"] });
    expect([...weak.open.keys()]).toContain(assemblyOf("friction-mid"));
    // The gear lifts with the stack in it.
    expect(weak.only.get(assemblyOf("friction-mid"))!.has("main-gear")).toBe(false);
    expect(openAt({ complaints: ["drag-weak"], sections: ["click"] })).toEqual([assemblyOf("click-tongue")]);
    expect([...depth({ complaints: ["click-weak"] }).only.get("tail")!].sort()).toEqual(["click-button", "click-spring", "click-tongue"]);
  });

  it("is everything for a service of which nothing was felt, and where the line of the shafts is in question; nothing for a repair that says nothing", () => {
    expect(openAt({ forService: true })).toEqual([...serviced].sort());
    expect([...depth({ forService: true }).open.values()]).toEqual(serviced.map(() => "service"));
    expect(openAt({ sections: ["shaft-line"] })).toEqual([...serviced].sort());
    expect(openAt({})).toEqual([]);
    // A reel that came for its parts alone is opened for them alone.
    expect(openAt({ newParts: ["head-bearing"] })).toEqual([]);
  });

  it("lays the part of a proved fault open, not its assembly; a fault of no part opens its section's place", () => {
    const proved = depth({ depth: "light", faults: [fault("spool-side", ["spool-bearing"])] });
    expect([...proved.seats.values()]).toEqual(["fault", "fault"]);
    expect([...proved.seats.keys()]).toContain("head-bearing");
    expect(proved.open.size).toBe(0);
    expect(openAt({ depth: "light", faults: [fault("drag", [])] })).toContain(assemblyOf("friction-mid"));
    expect(openAt({ depth: "light", faults: [fault("outside", [])] })).toEqual([]);
    // Once there is a fault, the whole reel is not opened for want of a complaint.
    expect(openAt({ forService: true, faults: [fault("spool-side", ["spool-bearing"])] })).toEqual([]);
  });

  it("opens nothing for a fault that is repaired from outside, and the whole place for one that is cleaned for", () => {
    const known = (id: string) => ({ ...fault("spool-side", [], "bearing-cap"), id });
    const outside = depth({ faults: [known("tension-closed")] });
    expect([outside.open.size, outside.seats.size]).toEqual([0, 0]);
    expect(
      depth({ faults: [known("drag-dry")] })
        .only.get("stack")!
        .has("keyed-low"),
    ).toBe(true);
  });

  it("keeps what was opened for a complaint as far as it was, when tests later point elsewhere", () => {
    const later = depth({ complaints: ["click-weak"], sections: ["drag"], said: new Map([["tail", "complaint"]]) });
    expect([...later.only.get("tail")!].filter((id) => !id.startsWith("click-"))).toEqual(["cap"]);
    expect(later.open.get("stack")).toBe("complaint");
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

describe("an assembly that is to stay shut", () => {
  it("is in the way of what is reached only through it, and of nothing else", () => {
    const drag = depth({ complaints: ["drag-weak"], said: new Map([["handle", "shut"]]) });
    expect([...shutInTheWay(skerry30Anatomy, drag)]).toEqual([["handle", ["stack"]]]);
    const click = depth({ complaints: ["click-weak"], said: new Map([["handle", "shut"]]) });
    expect(shutInTheWay(skerry30Anatomy, click).size).toBe(0);
    expect(shutInTheWay(skerry30Anatomy, depth({ depth: "full" })).size).toBe(0);
  });
});

describe("roles by section", () => {
  it("belongs to the roles of the faults of that section, what they need among them", () => {
    const roles = rolesBySection([fault("drag", ["friction-washer"], "drag-spring"), fault("drag", ["keyed-washer"])]);
    expect([...roles.get("drag")!].sort()).toEqual(["drag-spring", "friction-washer", "keyed-washer"]);
    expect(roles.has("click")).toBe(false);
  });
});

it("why an assembly is open is said in few words, each its own", () => {
  const words = Object.values(openedForWords);
  expect(new Set(words).size).toBe(5);
  expect(openedForWords.complaint).toContain("complaint");
  expect(openedForWords.fault).toContain("fault");
  expect(openedForWords.part).toContain("part");
  expect(openedForWords.asked).toContain("asked");
});
