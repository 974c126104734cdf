import { describe, expect, it } from "vitest";
import { learnedMinutes } from "./learned-minutes";

const minute = 60_000;
const job = (jobId: number, ...steps: [string, number][]) => steps.map(([operationId, at]) => ({ jobId, operationId, atMs: at * minute }));

describe("minutes learned from the bench", () => {
  it("are the median of the time since the step before, over the jobs", () => {
    const steps = [
      ...job(1, ["first", 0], ["gear", 3], ["gate", 4]),
      ...job(2, ["first", 100], ["gear", 105], ["gate", 105.5]),
      ...job(3, ["first", 200], ["gear", 204], ["gate", 206]),
    ];
    expect(learnedMinutes(steps)).toEqual([
      { operationId: "gear", median: 4, seen: 3 },
      { operationId: "gate", median: 1, seen: 3 },
    ]);
  });

  it("leave out a meal, the first step of a job, and what was seen once", () => {
    const steps = [...job(1, ["a", 0], ["b", 45], ["c", 47]), ...job(2, ["a", 0], ["b", 50], ["c", 49.9])];
    expect(learnedMinutes(steps)).toEqual([]);
    expect(learnedMinutes(steps, 1).map((l) => l.operationId)).toEqual(["c", "b"]);
  });

  it("are written with one digit after the point at most", () => {
    for (let seconds = 7; seconds < 110; seconds += 5) {
      const [one] = learnedMinutes(job(1, ["a", 0], ["b", seconds / 60]), 1);
      expect(String(one!.median)).toMatch(/^\d+(\.\d)?$/);
    }
  });

  it("do not depend on the order the steps are given in", () => {
    const steps = [...job(1, ["a", 0], ["b", 2], ["c", 5]), ...job(2, ["a", 0], ["b", 3], ["c", 7])];
    expect(learnedMinutes([...steps].reverse())).toEqual(learnedMinutes(steps));
    // An even count takes the middle of the two in the middle.
    expect(learnedMinutes(steps).find((l) => l.operationId === "c")?.median).toBe(3.5);
  });
});
