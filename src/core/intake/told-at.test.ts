import { describe, expect, it } from "vitest";
import { families } from "@/core/families/families";
import { missingTold, seatsMissing, type ToldAtCounter, toldAt, toldInAll } from "./told-at";

const told = (change: Partial<ToldAtCounter> = {}): ToldAtCounter => ({
  conditions: [],
  dragWish: "shop",
  handleHole: "as-found",
  brakes: "",
  ...change,
});
const part = (family: keyof typeof families, role: string) => families[family].parts.find((one) => one.role === role)!;
const at = (type: Parameters<typeof toldAt>[0]["type"], of: ToldAtCounter) => toldAt({ type }, of).join(" ");

describe("what was told at the counter", () => {
  it("comes back at the step that answers it, and at no other", () => {
    const all = told({ dragWish: "dry", handleHole: "long", brakes: "two of six out", conditions: ["missing-screw"] });
    expect(at(part("star-drag-bridge", "handle"), all)).toMatch(/handle hole: long hole/);
    expect(at(part("baitcaster-low-profile", "brake-block"), all)).toMatch(/two of six out/);
    expect(at(part("star-drag-bridge", "friction-washer"), all)).toMatch(/drag dry/);
    expect(toldAt({ type: null, proves: "drag" }, all).join(" ")).toMatch(/drag dry/);
    expect(toldAt({ type: null }, all)).toEqual([]);
    for (const role of ["pinion", "spool", "dog", "plate-screw"]) expect(at(part("star-drag-bridge", role), all), role).toBe("");
    expect(missingTold(all)).toMatch(/which one is missing/);
    expect(toldInAll(all)).toHaveLength(4);
  });

  it("says nothing where nothing was said", () => {
    for (const { parts } of Object.values(families)) for (const type of parts) expect(toldAt({ type }, told())).toEqual([]);
    expect(toldInAll(told())).toEqual([]);
    expect(missingTold(told())).toBeNull();
  });

  it("empties the one seat a missing part goes by, and asks where a reel has several such parts", () => {
    const at = (family: keyof typeof families, ...conditions: ToldAtCounter["conditions"]) => {
      const { anatomy, parts } = families[family];
      return seatsMissing(anatomy.positions, (id) => parts.find((one) => one.id === id), { conditions });
    };
    expect(at("star-drag-bridge", "missing-nut")).toEqual({ sure: ["handle-nut"], perhaps: [] });
    expect(at("star-drag-bridge", "missing-knob").sure).toEqual(["knob"]);
    expect(at("baitcaster-round", "missing-knob")).toEqual({ sure: [], perhaps: ["knob", "knob-second"] });
    expect(at("star-drag-bridge", "missing-screw").sure).toEqual([]);
    expect(at("star-drag-bridge", "missing-screw").perhaps).toContain("head-screw-top");
    // A reel without such a part is asked nothing.
    expect(at("centrepin", "missing-nut")).toEqual({ sure: [], perhaps: [] });
    expect(at("lever-drag", "pitting", "clean")).toEqual({ sure: [], perhaps: [] });
  });
});
