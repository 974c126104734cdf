import { describe, expect, it } from "vitest";
import { agoWords, type GlanceVisit, glance } from "./glance";

const visit = (on: string, change: Partial<GlanceVisit> = {}): GlanceVisit => ({ on, renewed: [], before: new Map(), ...change });

describe("a reel's history at a glance", () => {
  it("says nothing of a reel that was never here", () => expect(glance([], "2026-03-01")).toEqual([]));

  it("counts the visit that begins now", () => {
    expect(glance([visit("2025-03-01"), visit("2024-03-01"), visit("2023-03-01")], "2026-03-01")[0]).toBe("Fourth visit.");
    expect(
      glance(
        Array.from({ length: 11 }, (_, i) => visit(`20${10 + i}-01-01`)),
        "2026-03-01",
      )[0],
    ).toBe("12th visit.");
  });

  it("names what was renewed last and how often", () => {
    const said = glance(
      [visit("2024-03-01", { renewed: ["Main gear", "Drag washer", "Drag washer"] }), visit("2023-03-01", { renewed: ["Drag washer"] })],
      "2026-03-01",
    );
    expect(said).toContain("Main gear renewed two years ago.");
    expect(said).toContain("Drag washer renewed two years ago, two times in all.");
  });

  it("sees a reading that got worse every time, in whichever order the visits come, and not one that went both ways", () => {
    const drag = (on: string, n: number, turning: number) =>
      visit(on, {
        before: new Map([
          ["drag-full", n],
          ["turning", turning],
        ]),
      });
    const said = glance([drag("2025-01-01", 41, 9), drag("2023-01-01", 58, 9), drag("2024-01-01", 48, 12)], "2026-01-01").join(" ");
    expect(said).toContain("Received with drag fully tight lower each time: 58, 48, 41 N.");
    expect(said).not.toContain("turning");
  });

  it.each([
    [0, "just now"],
    [5, "five days ago"],
    [21, "three weeks ago"],
    [91, "three months ago"],
    [365, "a year ago"],
    [730, "two years ago"],
    [4400, "12 years ago"],
  ])("says %i days as %s", (days, words) => expect(agoWords(days)).toBe(words));
});
