import { describe, expect, it } from "vitest";
import { commonKnowledge } from "@/core/diagnosis/knowledge";
import { protocolFor } from "@/core/proving/protocol";
import { familyIds } from "@/core/vocabulary/families";
import type { TestId, Verdict } from "@/core/vocabulary/tests";
import { countLooked } from "./looked-at";
import { lotNeed } from "./lot-need";

const reels = (n: number, settled: boolean | undefined, verdicts: Partial<Record<TestId, Verdict>>) =>
  Array.from({ length: n }, () => ({ settled, verdicts }));

describe("reels of a lot that were looked at for a fault", () => {
  it.each(familyIds)("counts every tested reel, whatever the fault: %s", (family) => {
    const protocol = protocolFor(family).map(({ id }) => id);
    const good = Object.fromEntries(protocol.map((id) => [id, "good" as const]));
    for (const fault of commonKnowledge.faults) {
      const lot = [...reels(2, true, {}), ...reels(32, undefined, good)];
      expect(countLooked(fault, lot, protocol), fault.id).toEqual({ proved: 2, looked: 34 });
      expect(countLooked(fault, reels(5, undefined, {}), protocol)).toEqual({ proved: 0, looked: 0 });
      const bad = Object.fromEntries(protocol.map((id) => [id, "bad" as const]));
      expect(countLooked(fault, reels(5, undefined, bad), protocol)).toEqual({ proved: 0, looked: 0 });
    }
  });

  it("foresees none for the rest when all are looked at: two worn gears of 34 tested reels are not seventeen", () => {
    const { proved, looked } = countLooked(
      { section: "gear-side" },
      [...reels(2, true, { turning: "bad" }), ...reels(30, undefined, { turning: "good" }), ...reels(2, undefined, {})],
      ["turning", "drag-full"],
    );
    expect([proved, looked]).toEqual([2, 32]);
    expect(lotNeed(0.1, { proved, settled: looked }, 2).mean).toBeLessThan(0.2);
  });

  it("takes a reel that tests badly and was not opened as still to be seen", () => {
    expect(countLooked({ section: "gear-side" }, reels(3, undefined, { turning: "doubtful" }), ["turning"]).looked).toBe(0);
    expect(countLooked({ section: "drag" }, reels(3, undefined, { "drag-full": "good" }), ["drag-light", "drag-full"]).looked).toBe(3);
  });
});
