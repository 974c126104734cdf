import { describe, expect, it } from "vitest";
import { protocolFor } from "@/core/proving/protocol";
import { familyIds } from "@/core/vocabulary/families";
import { type DepthId, depths, type JobPath, jobKindIds, stations } from "@/core/vocabulary/job-kinds";
import { handlingOf, pathWords, protocolOfJob, stationAfter, stationsOf } from "./job-kinds";

const paths: JobPath[] = jobKindIds.flatMap((kind) =>
  (Object.keys(depths) as DepthId[]).flatMap((depth) => [true, false].map((depthSaid) => ({ kind, depth, depthSaid }))),
);
const words = (path: JobPath) => JSON.stringify(path);
const outside: JobPath = { kind: "service", depth: "light", depthSaid: true };

describe("what a reel came for", () => {
  it("opens the reel unless it is served outside only, or checked for a buyer who asked for no more (common practice)", () => {
    for (const path of paths) {
      const opened = path.depth !== "light" && (path.kind !== "purchase-check" || path.depthSaid);
      expect(stationsOf(path).includes("strip"), words(path)).toBe(opened);
      // A reel that stays shut has its oil points all the same; a look for a buyer has none.
      if (!opened) expect(stationsOf(path).includes("build"), words(path)).toBe(path.kind !== "purchase-check");
    }
  });

  it("begins every job with a test, ends it with handing back, and keeps the order of a bench", () => {
    for (const path of paths) {
      const passed = stationsOf(path);
      expect([passed[0], passed.at(-1)], words(path)).toEqual(["test", "return"]);
      expect(
        [...passed].sort((a, b) => stations.indexOf(a) - stations.indexOf(b)),
        words(path),
      ).toEqual(passed);
      // Following it from the first station visits all of them and stops.
      const walked: string[] = [];
      for (let at: ReturnType<typeof stationAfter> = "test"; at; at = stationAfter(path, at)) walked.push(at);
      expect(walked, words(path)).toEqual(passed);
    }
    expect(stationAfter(outside, "strip")).toBeNull();
  });

  it("feels three things in an outside service, or all where a family has fewer, each of them one of that family's own tests", () => {
    for (const family of familyIds) {
      const light = protocolOfJob(family, outside).map(({ id }) => id);
      expect(light, family).toHaveLength(Math.min(3, protocolFor(family).length));
      for (const id of light)
        expect(
          protocolFor(family).map((test) => test.id),
          family,
        ).toContain(id);
      expect(protocolOfJob(family, { kind: "purchase-check", depth: "complaint", depthSaid: false }), family).toEqual(protocolFor(family));
    }
  });

  it("charges nothing for looking at our own work again", () => {
    for (const path of paths) expect(handlingOf(path).minutes === 0, words(path)).toBe(path.kind === "comeback");
  });

  it("is called by what it came for, and by its depth where that was said", () => {
    expect(pathWords(outside)).toBe("outside service");
    expect(pathWords({ kind: "repair", depth: "quick", depthSaid: true })).toBe("repair, quick service");
    expect(pathWords({ kind: "repair", depth: "quick", depthSaid: false })).toBe("repair");
  });
});
