import { describe, expect, it } from "vitest";
import { type CountedJob, comebacksByCause, figuresBy, jobsBehind, monthsOf, waitFigures } from "./figures";

const job = (jobId: number, change: Partial<CountedJob> = {}): CountedJob => ({
  jobId,
  tag: `Z-${jobId}`,
  owner: "o",
  reel: "r",
  modelId: "m",
  kind: "repair",
  family: "spinning",
  cameOn: "2026-01-02",
  closedOn: "2026-01-09",
  workMinor: 4000,
  totalMinor: 6000,
  minutes: 60,
  quotedMinutes: 50,
  waits: { us: 2, customer: 0, supplier: 0, shelf: 1 },
  comeback: null,
  ...change,
});

describe("the shop's figures", () => {
  const jobs = [
    job(1),
    job(2, { minutes: 120 }),
    job(3, { minutes: 30, kind: "service" }),
    job(4, { minutes: 0, kind: "service", closedOn: "2026-03-01" }),
    job(5, { comeback: "slips back", waits: { us: 0, customer: 4, supplier: 0, shelf: 0 } }),
  ];

  it("say what an hour brought, with where half of all lie; who was not timed does not count", () => {
    const [repair, service] = figuresBy(jobs, "hour-kind");
    expect(repair).toMatchObject({ group: "repair", spread: { n: 3, middle: 4000, low: 3000, high: 4000 } });
    expect(service).toMatchObject({ group: "service", spread: { n: 1, middle: 8000 } });
    expect(figuresBy(jobs, "took-kind")[0]!.spread.middle).toBeCloseTo(1.2, 9);
  });

  it("open the jobs behind each of them, exactly those that were counted", () => {
    for (const figure of [...figuresBy(jobs, "hour-kind"), ...figuresBy(jobs, "took-family"), ...waitFigures(jobs)])
      expect(jobsBehind(jobs, figure.id), figure.id).toHaveLength(figure.spread.n);
    for (const counted of [...comebacksByCause(jobs), ...monthsOf(jobs, "2026-01-01", "2026-03-31")])
      expect(jobsBehind(jobs, counted.id), counted.id).toHaveLength(counted.jobs);
    expect(jobsBehind(jobs, "nonsense")).toHaveLength(5);
  });

  it("keep months without a job", () => {
    expect(monthsOf(jobs, "2025-12-15", "2026-03-02").map(({ group, jobs: n }) => [group, n])).toEqual([
      ["2025-12", 0],
      ["2026-01", 4],
      ["2026-02", 0],
      ["2026-03", 1],
    ]);
  });
});
