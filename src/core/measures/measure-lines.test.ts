import { describe, expect, it } from "vitest";
import { measureLines, type NamedMeasure, seriesName } from "./measure-lines";

const seatName = (id: string) => ({ dog: "Anti-reverse dog", stack: "Drag stack" })[id] ?? id;
const measure = (change: Partial<NamedMeasure>): NamedMeasure => ({
  kind: "side-play",
  phase: "before",
  positionId: null,
  name: "",
  value: 0.3,
  low: 0.25,
  high: 0.35,
  unit: "mm",
  says: "",
  ...change,
});

describe("measures in the words of a report", () => {
  it("are called by their kind and seat; a length and a gauge's figure by their own name", () => {
    expect(seriesName(measure({}), seatName)).toBe("Side play");
    expect(seriesName(measure({ kind: "wear", positionId: "dog" }), seatName)).toBe("Wear, Anti-reverse dog");
    expect(seriesName(measure({ kind: "length", name: "Foot", positionId: null }), seatName)).toBe("Foot");
    expect(seriesName(measure({ kind: "length", name: "Nose", positionId: "dog" }), seatName)).toBe("Nose, Anti-reverse dog");
    expect(seriesName(measure({ kind: "gauge", name: "Drag coefficient" }), seatName)).toBe("Drag coefficient");
  });

  it("stand before and after beside each other, with a change only where it is sure", () => {
    const before = measure({});
    const less = measure({ phase: "after", value: 0.1, low: 0.05, high: 0.15 });
    const same = measure({ phase: "after", value: 0.32, low: 0.27, high: 0.37 });
    expect(measureLines([before, less], seatName)).toEqual(["Side play: 0.3 ± 0.05 mm before, 0.1 ± 0.05 mm after (less)."]);
    expect(measureLines([before, same], seatName)).toEqual(["Side play: 0.3 ± 0.05 mm before, 0.32 ± 0.05 mm after."]);
    expect(measureLines([before], seatName)).toEqual(["Side play: 0.3 ± 0.05 mm."]);
    expect(measureLines([less], seatName)).toEqual(["Side play: 0.1 ± 0.05 mm."]);
    expect(measureLines([], seatName)).toEqual([]);
  });

  it("say what they mean, each series for itself, the last taking of each phase", () => {
    const worn = measure({ kind: "wear", positionId: "dog", says: "worn" });
    const stack = measure({ kind: "stack-height", positionId: "stack", value: 4, low: 3.95, high: 4.05, says: "as its washers add up" });
    const again = measure({ kind: "wear", positionId: "dog", value: 0.5, low: 0.45, high: 0.55, says: "worn" });
    expect(measureLines([worn, stack, again], seatName)).toEqual([
      "Wear, Anti-reverse dog: 0.5 ± 0.05 mm, worn.",
      "Stack height, Drag stack: 4 ± 0.05 mm, as its washers add up.",
    ]);
  });
});
