import { describe, expect, it } from "vitest";
import { unitsOfRack } from "./lots-on-rack";
import type { RackJob } from "./whose-move";

const job = (tag: string, lot: number | null, change: Partial<RackJob> = {}) => ({
  tag,
  lot,
  promisedOn: "2026-03-05",
  move: "ours" as const,
  minutesLeft: 20,
  ...change,
});
const units = (jobs: ReturnType<typeof job>[]) => unitsOfRack<RackJob & { lot: number | null }>(jobs, ({ lot }) => lot);

describe("a lot on the rack", () => {
  it("hangs once, at the place of its first reel, as long as all its work and due with its earliest", () => {
    const hung = units([job("A", null), job("L1", 7), job("B", null), job("L2", 7, { promisedOn: "2026-03-03", minutesLeft: 50 })]);
    expect(hung.map(({ tag }) => tag)).toEqual(["A", "lot-7", "B"]);
    expect(hung[1]).toMatchObject({ promisedOn: "2026-03-03", minutesLeft: 70, lotId: 7 });
    expect(hung[1]!.jobs.map(({ tag }) => tag)).toEqual(["L1", "L2"]);
  });

  it("is ours while one of it is, then the customer's, then a supplier's, and ready to collect only when all of it is", () => {
    const move = (...of: RackJob["move"][]) => units(of.map((one, i) => job(`L${i}`, 1, { move: one })))[0]!.move;
    expect(move("supplier", "ours", "shelf")).toBe("ours");
    expect(move("supplier", "customer", "shelf")).toBe("customer");
    expect(move("supplier", "shelf")).toBe("supplier");
    expect(move("shelf", "shelf")).toBe("shelf");
  });

  it("loses no work and leaves single reels as they are", () => {
    const jobs = [job("A", null), job("B", null, { minutesLeft: 5 })];
    expect(units(jobs).map(({ tag, minutesLeft }) => [tag, minutesLeft])).toEqual([
      ["A", 20],
      ["B", 5],
    ]);
  });
});
