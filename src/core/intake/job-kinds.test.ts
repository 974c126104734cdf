import { describe, expect, it } from "vitest";
import { protocolFor } from "@/core/proving/protocol";
import { familyIds } from "@/core/vocabulary/families";
import { jobKindIds, stations } from "@/core/vocabulary/job-kinds";
import { handling, protocolOfJob, stationAfter, stationsOf } from "./job-kinds";

describe("what a reel came for", () => {
  it("opens the reel for a repair, a full service and a comeback, and for nothing else (common practice)", () => {
    for (const kind of jobKindIds)
      expect(stationsOf(kind).includes("strip"), kind).toBe(["repair", "full-service", "comeback"].includes(kind));
  });

  it("begins every job with a test, ends it with handing back, and keeps the order of a bench", () => {
    for (const kind of jobKindIds) {
      const passed = stationsOf(kind);
      expect([passed[0], passed.at(-1)], kind).toEqual(["test", "return"]);
      expect(
        [...passed].sort((a, b) => stations.indexOf(a) - stations.indexOf(b)),
        kind,
      ).toEqual(passed);
      // Following it from the first station visits all of them and stops.
      const walked: string[] = [];
      for (let at: ReturnType<typeof stationAfter> = "test"; at; at = stationAfter(kind, at)) walked.push(at);
      expect(walked, kind).toEqual(passed);
    }
    expect(stationAfter("light-service", "strip")).toBeNull();
  });

  it("feels three things in a light service, or all where a family has fewer, each of them one of that family's own tests", () => {
    for (const family of familyIds) {
      const light = protocolOfJob(family, "light-service").map(({ id }) => id);
      expect(light, family).toHaveLength(Math.min(3, protocolFor(family).length));
      for (const id of light)
        expect(
          protocolFor(family).map((test) => test.id),
          family,
        ).toContain(id);
      expect(protocolOfJob(family, "purchase-check"), family).toEqual(protocolFor(family));
    }
  });

  it("charges nothing for looking at our own work again", () => {
    expect(handling.comeback.minutes).toBe(0);
    for (const kind of jobKindIds) if (kind !== "comeback") expect(handling[kind].minutes, kind).toBeGreaterThan(0);
  });
});
