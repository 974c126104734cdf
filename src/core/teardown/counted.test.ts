import { describe, expect, it } from "vitest";
import { piecesCounted, withCount } from "./counted";
import type { Step } from "./step";

const placed = (id: string, more: Partial<Step> = {}): Step =>
  ({
    operation: { id: `place-${id}`, kind: "place", words: id },
    position: { id },
    well: null,
    notDue: false,
    state: "waiting",
    ...more,
  }) as unknown as Step;
const check = (counts?: string[]): Step =>
  ({
    operation: { id: "gate-1", kind: "gate", words: "Count the small pieces", counts },
    position: null,
    notDue: false,
  }) as unknown as Step;

describe("a check that counts", () => {
  it("has the number of this reel: what is drawn and came off, without what stays out", () => {
    const steps = [
      placed("low"),
      placed("mid", { notDue: true }),
      placed("high", { well: { leftOutReason: "gone when it came" } as never }),
      placed("top", { well: { leftOutReason: null } as never }),
      placed("elsewhere"),
    ];
    const counts = ["low", "mid", "high", "top", "never-drawn"];
    expect(piecesCounted(check(counts).operation, steps)).toBe(2);
    expect(withCount(check(counts), steps).operation.words).toBe("Count the small pieces: 2 in");
  });

  it("keeps its words where it counts nothing, or nothing of it came off", () => {
    expect(withCount(check(), [placed("low")]).operation.words).toBe("Count the small pieces");
    expect(withCount(check(["high"]), [placed("low")]).operation.words).toBe("Count the small pieces");
  });
});
