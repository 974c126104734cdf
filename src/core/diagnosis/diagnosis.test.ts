import { describe, expect, it } from "vitest";
import { families } from "@/core/families/families";
import { protocolFor } from "@/core/proving/protocol";
import { familyIds } from "@/core/vocabulary/families";
import { diagnose } from "./diagnose";
import type { Fault } from "./fault";
import { faults } from "./fault-table";
import { isolate } from "./isolation";

describe("isolation", () => {
  // The trade's rule (common practice): free spool against turning in gear names the half.
  it.each([
    [{ freeSpool: "good", turning: "bad" }, "gear-side"],
    [{ freeSpool: "good", turning: "doubtful" }, "gear-side"],
    [{ freeSpool: "bad", turning: "good" }, "spool-side"],
    [{ freeSpool: "bad", turning: "bad" }, "shaft-line"],
  ] as const)("%j opens the %s", (evidence, section) => {
    expect(isolate("star-drag-bridge", evidence)[0]?.section).toBe(section);
  });

  it("clears the spool's own bearings when the spool runs well in the hand", () => {
    expect(isolate("star-drag-bridge", { freeSpool: "bad", turning: "good", freeSpoolSpoolOut: "good" })[0]?.open).toContain(
      "plates around the spool",
    );
    expect(isolate("star-drag-bridge", { freeSpool: "bad", turning: "good" })[0]?.open).toContain("bearings");
  });

  it("names several sides at once, the driving one first", () => {
    expect(
      isolate("star-drag-bridge", { freeSpool: "good", turning: "bad", drag: "bad", click: "doubtful", antiReverse: "bad" }).map(
        (i) => i.section,
      ),
    ).toEqual(["gear-side", "drag", "anti-reverse", "click"]);
  });

  it("does not ask a fixed spool for a free spin it cannot make, nor a centrepin to be turned in gear", () => {
    const [found] = isolate("spinning", { turning: "bad" });
    expect(found).toMatchObject({ section: "gear-side", open: expect.stringContaining("gear cover") });
    expect(isolate("spinning", { turning: "good" })).toEqual([]);
    expect(isolate("star-drag-bridge", { turning: "bad" })[0]?.open).toContain("other test first");
    expect(isolate("centrepin", { freeSpool: "bad" })[0]).toMatchObject({
      section: "spool-side",
      open: expect.stringContaining("hub bearings"),
    });
  });

  // A test of the family that fails must say where; only words of parts that the family has (common practice).
  it.each(familyIds)("%s: each test that fails says where, in the family's own words", (family) => {
    const has = new Set(protocolFor(family).map(({ id }) => id));
    const names = [...families[family].anatomy.positions.map(({ name }) => name), ...families[family].parts.map(({ name }) => name)]
      .join(" ")
      .toLowerCase();
    const said = [
      isolate(family, has.has("turning") ? { turning: "bad", ...(has.has("free-spool") ? { freeSpool: "good" } : {}) } : {}),
      isolate(family, has.has("free-spool") ? { freeSpool: "bad", ...(has.has("turning") ? { turning: "good" } : {}) } : {}),
      isolate(family, has.has("drag-strike") ? { drag: "bad" } : {}),
      isolate(family, has.has("anti-reverse") ? { antiReverse: "bad" } : {}),
      isolate(family, has.has("click") ? { click: "bad" } : {}),
    ];
    const tests = ["turning", "free-spool", "drag-strike", "anti-reverse", "click"] as const;
    for (const [i, test] of tests.entries()) expect(said[i]!.length > 0, test).toBe(has.has(test));
    for (const { open } of said.flat())
      for (const word of [
        "bridge",
        "star",
        "lever",
        "rotor",
        "cone",
        "shaft gear",
        "toothed drag nut",
        "click tongue",
        "pressure plate",
        "check pawl",
        "cover",
        "hub",
      ])
        if (new RegExp(`\\b${word}\\b`).test(open.toLowerCase())) expect(names, `${open}: ${word}`).toContain(word);
  });

  it("says nothing when nothing taken off, and takes a test not made for no evidence", () => {
    expect(isolate("star-drag-bridge", { freeSpool: "good", turning: "good", drag: "good" })).toEqual([]);
    expect(isolate("star-drag-bridge", {})).toEqual([]);
    expect(isolate("star-drag-bridge", { turning: "bad" })[0]?.open).toContain("other test first");
  });
});

const findFault = (id: string): Fault => faults.find((fault) => fault.id === id)!;

describe("the fault catalogue", () => {
  it("has its own id, words, a remedy and whole minutes for each", () => {
    expect(new Set(faults.map((fault) => fault.id)).size).toBe(faults.length);
    for (const fault of faults) {
      expect(fault.tellBy.length, fault.id).toBeGreaterThan(3);
      expect(Number.isInteger(fault.remedy.minutes) && fault.remedy.minutes >= 0, fault.id).toBe(true);
    }
  });

  it("names only part roles that some family has, and suspects a reel of no fault it cannot have", () => {
    const rolesOf = (id: (typeof familyIds)[number]) => new Set(families[id].parts.map((part) => part.role));
    const all = new Set(familyIds.flatMap((id) => [...rolesOf(id)]));
    for (const fault of faults)
      for (const role of [...fault.remedy.partRoles, ...(fault.needs ? [fault.needs] : [])])
        expect(all.has(role), `${fault.id}: ${role}`).toBe(true);
    const offered = (id: (typeof familyIds)[number]) =>
      diagnose({ roles: rolesOf(id), use: [], observations: [] }).ranked.map(({ fault }) => fault.id);
    expect(offered("star-drag-bridge")).not.toContain("bail-spring-tired");
    expect(offered("spinning")).toContain("bail-spring-tired");
    expect(offered("spinning")).not.toContain("jack-off-stud");
    expect(offered("lever-drag")).toContain("cam-half-turn");
    for (const id of familyIds) expect(offered(id), id).toContain("cosmetic-only");
  });

  it("carries the caution where a spring flies", () => {
    for (const id of ["dog-spring-off", "yoke-springs-weak"]) expect(findFault(id).caution).toContain("glasses");
  });

  it("has an outcome for a reel that has nothing wrong", () => {
    expect(findFault("cosmetic-only").remedy.minutes).toBe(0);
  });
});
