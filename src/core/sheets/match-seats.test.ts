import { describe, expect, it } from "vitest";
import { loadSolver } from "@/core/blind-spots/least-cover";
import { matchSeats } from "./match-seats";
import { meaningOf } from "./trade-words";

const solver = await loadSolver();
const seatsOf = (descriptions: readonly (string | readonly [string, number])[], family: Parameters<typeof matchSeats>[2] = null) => {
  const rows = descriptions.map((one) => (typeof one === "string" ? { description: one } : { description: one[0], quantity: one[1] }));
  const found = matchSeats(solver, rows, family);
  return { ...found, of: (row: number) => found.matches.filter((one) => one.row === row).map(({ positionId }) => positionId) };
};

describe("what a list means", () => {
  it("is the same turned round, abbreviated, with its size", () => {
    for (const words of ["Screw, handle lock", "HANDLE LOCK SCR", "Handle lock screw M2.6x6"])
      expect([...meaningOf(words).words].sort(), words).toEqual(["handle", "lock", "screw"]);
    expect(meaningOf("Screw, handle lock").head).toBe("screw");
    expect(meaningOf("BRG 5x11x4").words).toEqual(["bearing"]);
  });
});

describe("rows in seats", () => {
  it("take as many seats as their quantity, each once", () => {
    const { of } = seatsOf([["Yoke spring", 2], "Yoke", "Pinion", "Main gear", "Star", "Bridge"], "star-drag-bridge");
    expect([...of(0)].sort()).toEqual(["yoke-spring-front", "yoke-spring-rear"]);
    expect([1, 2, 3, 4, 5].map((row) => of(row))).toEqual([["yoke"], ["pinion"], ["main-gear"], ["star"], ["bridge"]]);
  });

  it("tell the family by what only it has", () => {
    expect(seatsOf(["Rotor", "Bail wire", "Line roller", "Oscillation gear", "Main shaft", "Rotor nut"]).family).toBe("spinning");
    expect(seatsOf(["Drag lever", "Quadrant", "Cam", "Preset knob", "Pressure plate", "Drag cap"]).family).toBe("lever-drag");
  });

  it("tell bearings apart by their sizes", () => {
    const { of } = seatsOf(["Ball bearing 7x14x5", ["Ball bearing 3x7x11", 2], "Pinion"], "spinning");
    expect(of(0)).toEqual(["pinion-bearing"]);
    expect([...of(1)].sort()).toEqual(["gear-bearing-inner", "gear-bearing-outer"]);
  });

  it("leave what is no seat to the assembly its neighbours are of", () => {
    const { rest, matches } = seatsOf(["Star", "Handle nut", "Xylophone", "Handle", "Handle knob"], "star-drag-bridge");
    expect(rest).toEqual([{ row: 2, assemblyId: "handle" }]);
    expect(matches.some(({ row }) => row === 2)).toBe(false);
  });
});
