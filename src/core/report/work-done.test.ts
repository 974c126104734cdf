import { describe, expect, it } from "vitest";
import { assemblySchema, positionSchema } from "@/core/anatomy/types";
import type { Well } from "@/core/teardown/well";
import { workDone, workLines } from "./work-done";

const anatomy = {
  assemblies: ["spool", "handle"].map((id) => assemblySchema.parse({ id, name: id === "spool" ? "Spool" : "Handle", side: "frame" })),
  positions: [
    ["bearing", "spool"],
    ["shaft", "spool"],
    ["pressed", "spool"],
    ["nut", "handle"],
  ].map(([id, assemblyId], ordinal) =>
    positionSchema.parse({
      id,
      assemblyId,
      ordinal,
      name: `The ${id}`,
      partTypeId: "p",
      ...(id === "pressed" ? { stays: true } : {}),
      ...(id === "nut" ? { hole: "front" } : {}),
    }),
  ),
};
const well = (positionId: string, change: Partial<Well> = {}): Well =>
  ({
    positionId,
    verdict: "good",
    note: "",
    dressed: "",
    hole: "",
    foundCount: 1,
    renewed: false,
    cleanedHow: null,
    ...change,
  }) as unknown as Well;
type Facts = Parameters<typeof workDone>[1];
const facts = (change: Partial<Facts> = {}): Facts => ({ wells: [], steps: [], points: [], why: new Map(), extras: [], ...change });
const lines = (change: Partial<Facts>) => workLines(workDone(anatomy, facts(change)));

describe("what was done, in words for the owner", () => {
  it("says of an assembly how much of it came off: what stays in by itself is not counted as left in", () => {
    expect(lines({ wells: [well("bearing"), well("shaft")], why: new Map([["spool", "service"]]) })).toEqual([
      "Spool: stripped.",
      "Not opened: Handle.",
    ]);
    expect(lines({ wells: [well("bearing")], why: new Map([["spool", "fault"]]) })[0]).toBe("Spool: 1 of 2 parts off for a fault.");
    expect(lines({ wells: [well("bearing"), well("shaft"), well("pressed")], why: new Map([["spool", "service"]]) })[0]).toBe(
      "Spool: stripped.",
    );
  });

  it("says nothing of what was left shut where nothing was opened", () => expect(lines({})).toEqual([]));

  it("tells a reel that came in pieces from one we took apart", () => {
    const pieces = { note: "came in pieces" };
    expect(lines({ wells: [well("bearing", pieces), well("shaft", pieces)] })[0]).toBe("Spool: came in pieces.");
    expect(lines({ wells: [well("bearing", pieces), well("shaft")], why: new Map([["spool", "asked"]]) })[0]).toBe(
      "Spool: stripped because it was asked for.",
    );
  });

  it("says what lay otherwise than drawn, each for itself", () => {
    const said = lines({
      wells: [
        well("bearing", { foundCount: 2 }),
        well("shaft", { verdict: "missing", foundCount: 0 } as Partial<Well>),
        well("nut", { hole: "rear" } as Partial<Well>),
      ],
      extras: [
        { words: "a shim", state: "left-out" },
        { words: "a clip", state: "back" },
      ],
    });
    expect(said).toContain("The bearing: 2 found.");
    expect(said).toContain("The shaft: missing when it was opened, or lost.");
    expect(said).not.toContain("The shaft: 0 found.");
    expect(said).toContain("The nut: found in rear, belongs in front.");
    expect(said).toContain("Not on the drawing: a shim, left out.");
    expect(said).toContain("Not on the drawing: a clip, put back.");
  });

  it("says what was dressed and put back, and not of a piece that was renewed", () => {
    const dressed = { verdict: "dressed", dressed: "polished", note: "light pits" } as Partial<Well>;
    expect(lines({ wells: [well("bearing", dressed)] })).toContain("The bearing: polished; light pits, put back.");
    expect(lines({ wells: [well("bearing", { ...dressed, renewed: true })] }).join()).not.toContain("polished");
  });

  it("counts only checks that passed, and only points that were oiled", () => {
    const step = (kind: string, state: "done" | "skipped" | "failed") => ({
      operation: { id: kind + state, kind, words: `${kind} ${state}` },
      state,
    });
    const work = workDone(
      anatomy,
      facts({
        steps: [step("gate", "done"), step("gate", "skipped"), step("gate", "failed"), step("place", "done")],
        points: [
          { positionId: "bearing", name: "The bearing", state: "oiled" },
          { positionId: "shaft", name: "The shaft", state: "left-out" },
        ],
        noted: new Map([["gatedone", "0.2 mm"]]),
      }),
    );
    expect(work.checks).toEqual(["gate done"]);
    expect(work.oiledInPlace).toEqual(["The bearing"]);
    expect(work.touched).toEqual(["bearing"]);
    expect(work.noted).toEqual(["gate done: 0.2 mm"]);
  });
});
