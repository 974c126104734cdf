import { describe, expect, it } from "vitest";
import { families } from "@/core/families/families";
import { missingScrewTold, type ToldAtCounter, toldAt, toldInAll } from "./told-at";

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
    expect(missingScrewTold(all)).toMatch(/which one is not there/);
    expect(toldInAll(all)).toHaveLength(4);
  });

  it("says nothing where nothing was said", () => {
    for (const { parts } of Object.values(families)) for (const type of parts) expect(toldAt({ type }, told())).toEqual([]);
    expect(toldInAll(told())).toEqual([]);
    expect(missingScrewTold(told())).toBeNull();
  });
});
