import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { accountOf } from "./account";
import { countedNames, lowered } from "./counted-names";
import { type JobActs, jobActsSchema } from "./job-acts";
import { type Section, saying, tell } from "./sentences";

/** A reel of two assemblies: a spool of two bearings, a shaft and a pressed sleeve; a handle of a nut and an O-ring. */
const reel = {
  kind: "service",
  declined: null,
  assemblies: [
    { id: "spool", name: "Spool" },
    { id: "handle", name: "Handle" },
  ],
  seats: [
    { id: "b1", name: "Spool bearing, head", assemblyId: "spool" },
    { id: "b2", name: "Spool bearing, tail", assemblyId: "spool" },
    { id: "shaft", name: "Shaft", assemblyId: "spool" },
    { id: "sleeve", name: "Sleeve", assemblyId: "spool", stays: true },
    { id: "nut", name: "Handle nut", assemblyId: "handle", hole: "front" },
    { id: "ring", name: "Handle O-ring", assemblyId: "handle", seal: true },
  ],
} as const;
type Acts = Partial<Omit<JobActs, "off">> & { readonly off?: readonly Partial<JobActs["off"][number]>[] };
const off = (positionId: string, change: Partial<JobActs["off"][number]> = {}) => ({
  act: `well:${positionId}`,
  positionId,
  verdict: "ok" as const,
  back: true,
  ...change,
});
const acts = (change: Acts = {}): JobActs => jobActsSchema.parse({ ...reel, ...change });
const say = (change: Acts, ...sections: Section[]) =>
  saying(tell(accountOf(acts(change))), ...(sections.length ? sections : ["done" as const]));
const spoolOff = [off("b1"), off("b2"), off("shaft")];
const test = (phase: "before" | "after", verdict: "good" | "doubtful" | "bad", reading = "", id: "turning" | "click" = "turning") => ({
  act: `answer:${id}-${phase}`,
  id,
  name: id === "turning" ? "Turning in gear" : "Click",
  phase,
  verdict,
  reading,
});
const fault = (change: Partial<JobActs["faults"][number]> = {}): JobActs["faults"][number] => ({
  act: "fault:rough",
  id: "rough",
  name: "Spool bearing rough",
  outcome: null,
  oldBack: null,
  saidPutRight: false,
  remedy: "Fit new spool bearings, both",
  minutes: 15,
  renews: ["b1", "b2"],
  worksOn: ["b1", "b2"],
  ...change,
});
const piece = (positionId: string) => ({ act: `piece:${positionId}`, positionId, what: "new, 5 × 11 × 4, stainless steel" });

describe("an assembly", () => {
  const became = (change: Acts) => accountOf(acts(change)).assemblies.map((one) => [one.id, one.became, one.why]);

  it("is taken apart when all of it came off but what stays in by itself, part way when less did, left shut when nothing did", () => {
    expect(became({ off: spoolOff })).toEqual([
      ["spool", "taken-apart", null],
      ["handle", "left-shut", null],
    ]);
    expect(became({ off: [off("b1")] })[0]![1]).toBe("part-way");
    expect(became({ off: [...spoolOff, off("sleeve")] })[0]![1]).toBe("taken-apart");
    expect(became({})[0]![1]).toBe("left-shut");
  });

  it("has a reason only where a person or a rule gave one", () => {
    expect(became({ off: spoolOff, opened: [{ act: "opened:spool", assemblyId: "spool", why: "complaint" }] })[0]![2]).toBe("complaint");
    expect(became({ off: [off("b1")], emptied: [{ positionId: "b1", why: "part" }] })[0]![2]).toBe("part");
    expect(became({ off: [off("b1")], emptied: [{ positionId: "b2", why: "part" }] })[0]![2]).toBeNull();
    expect(
      became({
        off: spoolOff,
        opened: [{ act: "opened:spool", assemblyId: "spool", why: null }],
        emptied: [{ positionId: "b1", why: "part" }],
      })[0]![2],
    ).toBeNull();
    expect(
      became({
        off: [off("b1"), off("b2")],
        emptied: [
          { positionId: "b1", why: "part" },
          { positionId: "b2", why: "fault" },
        ],
      })[0]![2],
    ).toBeNull();
  });

  it("is said so in words: why, part way with what came off, not opened beside others, left shut on purpose", () => {
    expect(say({ off: spoolOff, opened: [{ act: "opened:spool", assemblyId: "spool", why: "complaint" }] })).toEqual([
      "Taken apart for the complaint: spool.",
      "Not opened: handle.",
      "3 parts off: 3 refitted.",
    ]);
    expect(say({ off: [off("b1"), off("b2")], opened: [{ act: "opened:spool", assemblyId: "spool", why: "service" }] })[0]).toBe(
      "Spool, opened in part: spool bearing (2) off.",
    );
    expect(say({ off: spoolOff, keptShut: [{ act: "shut:handle", assemblyId: "handle" }] })).toContain("Left closed on purpose: handle.");
    expect(say({ off: spoolOff.map((one) => ({ ...one, cameApart: true })) })[0]).toBe("Arrived in pieces: spool.");
    expect(say({ off: [off("b1", { cameApart: true }), off("b2"), off("shaft")] })[0]).toBe("Taken apart: spool.");
  });

  it("of a reel nobody opened nothing is said", () => {
    expect(tell(accountOf(acts()))).toEqual([]);
    expect(say({ declined: "too dear", keptShut: [{ act: "shut:handle", assemblyId: "handle" }] })).toEqual([]);
  });
});

describe("a piece", () => {
  const became = (change: Acts, id: string) => accountOf(acts(change)).pieces.find(({ positionId }) => positionId === id)?.became;

  it("went back, was replaced, left out, was not there, is still in the tray, or was served where it sits", () => {
    expect(became({ off: [off("b1")] }, "b1")).toBe("back");
    expect(became({ off: [off("b1")], fitted: [piece("b1")] }, "b1")).toBe("replaced");
    expect(became({ fitted: [piece("b1")] }, "b1")).toBe("replaced");
    expect(became({ off: [off("nut", { leftOut: "not to be had", back: false })] }, "nut")).toBe("left-out");
    expect(became({ off: [off("nut", { verdict: "missing", back: false })] }, "nut")).toBe("not-there");
    expect(became({ off: [off("b1", { back: false })] }, "b1")).toBe("in-the-tray");
    expect(became({ inPlace: [{ act: "in-place:b1", positionId: "b1", reason: "" }] }, "b1")).toBe("served-in-place");
    expect(became({ off: [off("b1")] }, "b2")).toBeUndefined();
  });

  it("is summed: what was not there is not counted as come off", () => {
    expect(
      say({
        off: [
          off("b1"),
          off("b2", { back: false }),
          off("shaft", { leftOut: "worn", back: false }),
          off("nut", { verdict: "missing", back: false }),
        ],
        fitted: [],
      }),
    ).toContain("3 parts off: 1 refitted, 1 left out, 1 still in the tray.");
    expect(say({ off: [off("b1")], fitted: [piece("b1")] })).toContain("1 part off: 1 replaced with new.");
  });

  it("is told for itself where it lay or is otherwise than it should", () => {
    const said = say({
      off: [
        off("b1", { found: 2 }),
        off("b2", { verdict: "wrong" }),
        off("shaft", { verdict: "dressed", dressed: "polished" }),
        off("nut", { hole: "rear" }),
        off("ring", { verdict: "missing", back: false, found: 0 }),
      ],
      fitted: [piece("ring")],
      notDrawn: [
        { act: "not-drawn:1", words: "a shim", state: "left-out" },
        { act: "not-drawn:2", words: "a clip", state: "back" },
        { act: "not-drawn:3", words: "a ball", state: "off" },
      ],
    });
    for (const words of [
      "Spool bearing, head: 2 found.",
      "Spool bearing, tail: wrong for this reel, refitted anyway.",
      "Shaft: polished, put back.",
      "Handle nut: found in rear, belongs in front.",
      "Handle O-ring: not there on arrival, new one fitted.",
      "Not on the drawing: a shim, left out.",
      "Not on the drawing: a clip, put back.",
      "Not on the drawing: a ball.",
    ])
      expect(said).toContain(words);
    expect(said.join()).not.toContain("0 found");
  });

  it("that was dressed and then renewed is told as new, and one dressed without a word as dressed by hand", () => {
    expect(say({ off: [off("b1", { verdict: "dressed", dressed: "polished" })], fitted: [piece("b1")] }).join()).not.toContain("polished");
    expect(say({ off: [off("b1", { verdict: "dressed" })] })).toContain("Spool bearing, head: dressed by hand, put back.");
    expect(say({ off: [off("b1", { verdict: "dressed", back: false })] })).toContain("Spool bearing, head: dressed by hand.");
  });

  it("that got no oil is named, by its reason where somebody gave one", () => {
    const unoiled = [
      { act: "oil:b1", positionId: "b1", why: "moist" as const },
      { act: "oil:b2", positionId: "b2", why: "moist" as const },
      { act: "oil:shaft", positionId: "shaft", why: null },
    ];
    expect(say({ unoiled }, "oil")).toEqual(["Left without oil, still moist: spool bearing (2).", "Left without oil: shaft."]);
  });

  it("that stayed in is named by its reason, several of one reason together", () => {
    const stays = (positionId: string, reason: string) => ({ act: `in-place:${positionId}`, positionId, reason });
    expect(say({ inPlace: [stays("b1", "not worth drawing"), stays("b2", "not worth drawing"), stays("shaft", "")] })).toEqual([
      "Serviced in place: spool bearing (2) (not worth drawing).",
      "Left in: shaft.",
    ]);
  });

  it("to be watched next time is one that went back, with its remark where it has one", () => {
    const watched = (change: Partial<JobActs["off"][number]>) => say({ off: [off("b1", change)] }, "watch");
    expect(watched({ verdict: "watch", remark: "a tick in one place" })).toEqual(["Spool bearing, head: a tick in one place."]);
    expect(watched({ verdict: "watch" })).toEqual(["Spool bearing, head: watch it."]);
    expect(watched({ verdict: "worn" })).toEqual(["Spool bearing, head: worn, refitted."]);
    expect(watched({ verdict: "replace" })).toEqual(["Spool bearing, head: needs replacing; the old one was refitted."]);
    expect(watched({ verdict: "watch", back: false })).toEqual([]);
    expect(watched({ verdict: "ok", remark: "for the bench" })).toEqual([]);
    expect(say({ off: [off("b1", { verdict: "worn" })], fitted: [piece("b1")] }, "watch")).toEqual([]);
  });

  it("a test that is bad still is told with the word by which it goes", () => {
    expect(say({ asItIs: [{ act: "as-it-is:click", name: "Click", reason: "no-part" }] }, "watch")).toEqual([
      "Click is bad: the part is not available.",
    ]);
  });

  it("is cleaned as somebody said, the commonest way first", () => {
    expect(say({ off: [off("b1", { cleaned: "flush" }), off("b2", { cleaned: "brush" }), off("shaft", { cleaned: "brush" })] })).toContain(
      "Cleaned: swab and brush (2), flushed one by one (1).",
    );
    expect(say({ off: spoolOff }).join()).not.toContain("Cleaned");
  });
});

describe("oil and grease", () => {
  it("are told by product with their places, drops only of what runs, apart what was oiled where it sits", () => {
    const oiled = (positionId: string, product: string, drops: number, whereItSits = false) => ({
      act: `oil:${positionId}`,
      positionId,
      product,
      drops,
      whereItSits,
    });
    expect(say({ oiled: [oiled("b1", "light oil", 1), oiled("b2", "light oil", 2, true), oiled("nut", "reel grease", 0)] }, "oil")).toEqual(
      ["Light oil, 3 drops: spool bearing (head); in place: spool bearing (tail).", "Reel grease: handle nut."],
    );
    expect(say({ oiled: [oiled("b1", "light oil", 1, true)] }, "oil")).toEqual(["Light oil, 1 drop: in place: spool bearing (head)."]);
  });
});

describe("a seal", () => {
  const unit = { id: "magnet", name: "Seal magnet", assemblyId: "spool", sealedUnit: true };
  const withUnit = (change: Acts) =>
    say({ ...change, seats: [...reel.seats, unit].map((one) => jobActsSchema.shape.seats.element.parse(one)) }, "seals");

  it("is renewed, opened and kept, or left unbroken; of a reel nobody opened nothing is said", () => {
    expect(say({ off: [off("ring")] }, "seals")).toEqual(["Seals opened and kept: handle O-ring."]);
    expect(say({ off: [off("ring")], fitted: [piece("ring")] }, "seals")).toEqual(["Seals renewed: handle O-ring."]);
    expect(say({ off: [off("b1")] }, "seals")).toEqual(["Seals left unbroken: handle O-ring."]);
    expect(say({}, "seals")).toEqual([]);
  });

  it("of fluid is one unit: lifted whole it is unbroken, taken apart it is not", () => {
    expect(withUnit({ off: [off("magnet", { asOne: true })] })).toEqual(["Seals left unbroken: fluid-sealed clutch, handle O-ring."]);
    expect(withUnit({ off: [off("magnet")] })[0]).toBe("Seals opened and kept: fluid-sealed clutch.");
    expect(withUnit({ off: [off("magnet")], fitted: [piece("magnet")] })[0]).toBe("Seals renewed: fluid-sealed clutch.");
  });
});

describe("a fault", () => {
  const said = (change: Acts) => say(change, "found")[0];

  it("is repaired only by acts that reached its parts, and names the new ones: one is not both", () => {
    expect(said({ faults: [fault()] })).toBe("Spool bearing rough: found, not repaired.");
    expect(said({ faults: [fault()], off: [off("b1")], fitted: [piece("b1")] })).toBe(
      "Spool bearing rough: repaired (15 min). New: spool bearing (head).",
    );
    expect(said({ faults: [fault()], off: [off("b1"), off("b2")], fitted: [piece("b1"), piece("b2")] })).toBe(
      "Spool bearing rough: repaired (15 min). New: spool bearing (2).",
    );
    expect(said({ faults: [fault()], off: [off("b1")] })).toBe("Spool bearing rough: repaired without new parts (15 min).");
    // What wants replacing and was only looked at is not put right.
    expect(said({ faults: [fault()], off: [off("b1", { verdict: "replace" })] })).toBe("Spool bearing rough: found, not repaired.");
  });

  it("is repaired by somebody's word where no part comes off for it", () => {
    expect(
      said({ faults: [fault({ name: "Plate overtight", renews: [], worksOn: ["shaft"], remedy: "Ease the screws", saidPutRight: true })] }),
    ).toBe("Plate overtight: repaired (15 min): ease the screws.");
  });

  it("without parts of its own is repaired by its remedy, where the work reached it or a test was made after it", () => {
    const dry = { name: "Grease hardened", remedy: "Strip and clean", renews: [], minutes: 0 };
    expect(said({ faults: [fault({ ...dry, worksOn: ["shaft"] })], off: [off("shaft")] })).toBe(
      "Grease hardened: repaired: strip and clean.",
    );
    expect(said({ faults: [fault({ ...dry, worksOn: [] })] })).toBe("Grease hardened: found, not repaired.");
    expect(said({ faults: [fault({ ...dry, worksOn: [] })], tests: [test("after", "good")] })).toBe(
      "Grease hardened: repaired: strip and clean.",
    );
  });

  it("that is not repaired here leaves with its reason, and one of a check is what it would take", () => {
    expect(said({ faults: [fault({ outcome: "declined" })], off: spoolOff, fitted: [piece("b1")] })).toBe(
      "Spool bearing rough: not done: the customer declined it.",
    );
    expect(said({ faults: [fault({ oldBack: "none to be had" })], off: spoolOff })).toBe(
      "Spool bearing rough: not replaced, the old one was refitted: none to be had.",
    );
    expect(said({ faults: [fault()], kind: "purchase-check" })).toBe("Spool bearing rough. To do: fit new spool bearings, both (15 min).");
    expect(said({ faults: [fault()], declined: "too dear", off: spoolOff })).toBe("Spool bearing rough: found, not repaired.");
  });
});

describe("what was found", () => {
  it("is no fault only where every test was good when it came and nothing else speaks", () => {
    const none = "No fault found: every test was good on arrival.";
    const good = [test("before", "good")];
    expect(say({ tests: good }, "found")).toEqual([none]);
    expect(say({ tests: [test("after", "good")] }, "found")).toEqual([]);
    expect(say({ tests: [...good, test("before", "doubtful", "", "click")] }, "found")).toEqual([]);
    expect(say({ tests: good, off: [off("b1", { verdict: "worn" })] }, "found")).toEqual([]);
    expect(say({ tests: good, off: [off("b1", { verdict: "dressed" })] }, "found")).toEqual([none]);
    expect(say({ tests: good, notDrawn: [{ act: "not-drawn:1", words: "a shim", state: "off" }] }, "found")).toEqual([]);
    expect(say({ tests: good, looks: [{ act: "look:a", name: "Grease dark", so: true }] }, "found")).toEqual(["Seen: grease dark."]);
  });

  it("says of a seized reel without a named cause what was bad", () => {
    expect(say({ tests: [test("before", "bad", "90 cN·m")] }, "found")).toEqual([
      "Faulty on arrival: Turning in gear (90 cN·m). No single cause was identified.",
    ]);
    expect(say({ tests: [test("before", "bad")], faults: [fault()] }, "found")).toHaveLength(1);
  });

  it("says what was looked for and not found: looks answered no, faults ruled out", () => {
    expect(
      say({ ruledOut: [{ act: "ruled-out:a", name: "Gears worn" }], looks: [{ act: "look:b", name: "O-ring cut", so: false }] }, "found"),
    ).toEqual(["Checked and ruled out: gears worn; O-ring cut."]);
  });
});

describe("every sentence", () => {
  const seats = ["b1", "b2", "shaft", "sleeve", "nut", "ring"] as const;
  const some = fc.subarray([...seats]);

  it("names acts that were made, and without acts there is none", () => {
    fc.assert(
      fc.property(some, some, some, fc.boolean(), (away, fitted, oiled, refitted) => {
        const made = acts({
          off: away.map((id) => off(id, { back: refitted, cleaned: "brush" })),
          fitted: fitted.filter((id) => away.includes(id)).map(piece),
          oiled: oiled.map((positionId) => ({ act: `oil:${positionId}`, positionId, product: "light oil", drops: 1, whereItSits: true })),
          faults: [fault()],
        });
        const known = new Set([...made.off, ...made.fitted, ...made.oiled, ...made.faults].map(({ act }) => act));
        for (const { words, acts: bearers } of tell(accountOf(made))) {
          expect(bearers.length, words).toBeGreaterThan(0);
          for (const bearer of bearers) expect(known, words).toContain(bearer);
        }
      }),
    );
  });

  it("takes every piece off once: the sum of what became of them is what came off", () => {
    fc.assert(
      fc.property(some, some, (away, fitted) => {
        const { pieces } = accountOf(acts({ off: away.map((id) => off(id)), fitted: fitted.filter((id) => away.includes(id)).map(piece) }));
        expect(pieces.map(({ positionId }) => positionId).sort()).toEqual([...away].sort());
      }),
    );
  });
});

it("names are counted by kind, and keep what tells them apart where there is one", () => {
  expect(countedNames(["Plate screw, top", "Plate screw, rear", "Star", "O-ring, low"])).toEqual([
    "plate screw (2)",
    "star",
    "O-ring (low)",
  ]);
  expect([lowered("Star"), lowered("O-ring"), lowered("A")]).toEqual(["star", "O-ring", "A"]);
});

it("a reading stands with the test it belongs to, the last of each phase", () => {
  const [turning] = accountOf(acts({ tests: [test("before", "bad"), test("before", "good", "9 cN·m"), test("after", "good")] })).tests;
  expect([turning?.before?.reading, turning?.after?.verdict]).toEqual(["9 cN·m", "good"]);
  expect(say({ checks: [{ act: "step:gate", words: "The spool spins free" }] }, "checks")).toEqual([
    "Checks passed (1): The spool spins free.",
  ]);
  expect(say({ noted: [{ act: "noted:x", words: "Spool: 0.2 mm shim" }] })).toEqual(["Spool: 0.2 mm shim."]);
});
