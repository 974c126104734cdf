import { describe, expect, it } from "vitest";
import type { PartType, Position } from "@/core/anatomy/types";
import { families } from "@/core/families/families";
import type { HazardId } from "@/core/vocabulary/hazards";
import { type BenchAct, cautionsAt, hazards, hazardsOf, isElectric, standsAbove } from "./cautions";

const part = (role: string, family: keyof typeof families = "star-drag-bridge"): PartType =>
  families[family].parts.find((one) => one.role === role)!;
const seat: Pick<Position, "caution"> = {};
const lining: PartType = { ...part("friction-washer"), material: "old dry lining" };
const spring = part("dog-spring");
const magnet = part("magnet", "baitcaster-low-profile");
const chromed = Object.values(families)
  .flatMap(({ parts }) => parts)
  .find(({ material }) => material === "chromed brass")!;
const screw = part("bridge-screw");
const plain = part("main-gear");

/** Each hazard of the trade with every step at which it can hurt. Source: common practice. */
const rows: readonly (readonly [HazardId, step: string, act: BenchAct, said: RegExp])[] = [
  ["lining", "taking it off", { at: "strip", position: seat, type: lining, electric: false }, /do not sand, brush, blow or wash/],
  ["lining", "when it will not come", { at: "stuck", type: lining }, /leave it in place if sound/],
  ["lining", "cleaning it", { at: "clean", method: "leave-dry", types: [lining], electric: false }, /Wet wipe, bag it/],
  ["lining", "fitting it", { at: "build", position: seat, type: lining, warmed: false }, /licensed handling/],
  ["lining", "the owner's report", { at: "report", types: [plain, lining] }, /asbestos/],
  ["spring", "taking it off", { at: "strip", position: seat, type: spring, electric: false }, /eye protection on, cup the hand/],
  ["spring", "when it will not come", { at: "stuck", type: spring }, /flies when freed/],
  ["spring", "fitting it", { at: "build", position: seat, type: spring, warmed: false }, /eye protection/],
  [
    "solvent",
    "the degreaser bath",
    { at: "clean", method: "degreaser", types: [plain], electric: false },
    /no flame or hot surface.*closed metal bin/,
  ],
  ["solvent", "the bearings' bath", { at: "clean", method: "bearings", types: [plain], electric: false }, /air the room, gloves/],
  ["solvent", "washing friction washers", { at: "clean", method: "friction-bath", types: [plain], electric: false }, /local rules/],
  [
    "warm-oil",
    "oiling a bearing",
    { at: "build", position: seat, type: part("spool-bearing"), warmed: true },
    /flash point.*never over open solvent/,
  ],
  ["air", "drying bearings", { at: "clean", method: "bearings", types: [plain], electric: false }, /never spin a bearing/],
  ["air", "drying what was washed", { at: "clean", method: "soap", types: [chromed], electric: false }, /glasses on/],
  ["compatibility", "the degreaser bath", { at: "clean", method: "degreaser", types: [plain], electric: false }, /plastic, paint and line/],
  [
    "compatibility",
    "plastics",
    { at: "clean", method: "soap", types: [part("side-cover", "spinning")], electric: false },
    /keep it off them/,
  ],
  ["compatibility", "magnetic fluid", { at: "clean", method: "magnet", types: [magnet], electric: false }, /magnetic fluid away/],
  ["dust", "old chrome", { at: "clean", method: "soap", types: [chromed], electric: false }, /mask/],
  ["dust", "a seized screw", { at: "stuck", type: screw }, /mask/],
  ["drilling", "a seized screw", { at: "stuck", type: screw }, /clamped, drill slowly/],
  ["pull", "pull tests", { at: "test", pullsLine: true, electric: false }, /secure the rod, stand aside.*a third/],
  ["pull", "the drag's gate", { at: "gate", pullsLine: true }, /weight flies/],
  ["electric", "tests", { at: "test", pullsLine: false, electric: true }, /disconnect it/],
  ["electric", "taking it apart", { at: "strip", position: seat, type: plain, electric: true }, /before anything is tested or opened/],
  ["electric", "cleaning it", { at: "clean", method: "wipe", types: [plain], electric: true }, /water from its motor/],
  ["magnet", "taking it off", { at: "strip", position: seat, type: magnet, electric: false }, /medical implants/],
  ["magnet", "cleaning it", { at: "clean", method: "magnet", types: [magnet], electric: false }, /small screws/],
  ["magnet", "fitting it", { at: "build", position: seat, type: magnet, warmed: false }, /medical implants/],
];

describe("every hazard at every step where it can hurt", () => {
  it.each(rows)("%s: %s", (hazard, _step, act, said) => {
    expect(hazardsOf(act)).toContain(hazard);
    expect(cautionsAt(act).join(" ")).toMatch(said);
  });

  it("leaves no hazard out", () => {
    expect(new Set(rows.map(([hazard]) => hazard))).toEqual(new Set(Object.keys(hazards)));
  });

  it("says nothing where there is nothing to beware of, and defers to who stands above", () => {
    expect(cautionsAt({ at: "build", position: seat, type: plain, warmed: false })).toEqual([]);
    expect(cautionsAt({ at: "test", pullsLine: false, electric: false })).toEqual([]);
    expect(standsAbove).toMatch(/Makers.*local codes.*licensed practice/);
  });

  it("lets a seat say it better, and says nothing twice", () => {
    const told = cautionsAt({
      at: "strip",
      position: { caution: "The dog spring flies: cup the hand.", cautionSays: "spring" as const },
      type: spring,
      electric: false,
    });
    expect(told).toEqual(["The dog spring flies: cup the hand."]);
    // What is not said to be the same danger is said beside it, whatever its words.
    const other = cautionsAt({ at: "strip", position: { caution: "It never flies far." }, type: spring, electric: false });
    expect(other).toEqual(["It never flies far.", hazards.spring]);
    const both = cautionsAt({ at: "strip", position: { caution: hazards.lining }, type: lining, electric: false });
    expect(both).toEqual([hazards.lining]);
  });

  it("knows an electric reel by what is in it", () => {
    expect(isElectric([plain])).toBe(false);
    expect(isElectric([plain, { role: "motor" }])).toBe(true);
  });
});

it("warns at each spring, clip and magnet of every family when it is taken off", () => {
  for (const { anatomy, parts } of Object.values(families))
    for (const position of anatomy.positions) {
      const type = parts.find(({ id }) => id === position.partTypeId)!;
      if (["coil-spring", "wire-spring", "wave-spring", "clip", "magnet"].includes(type.shape.kind) || type.material === "magnet")
        expect(cautionsAt({ at: "strip", position, type, electric: false }), position.name).not.toEqual([]);
    }
});
