import { describe, expect, it } from "vitest";
import { onceOnly, renewalsByRule, sealOfTheYear } from "./seal-unit";

const off = { renewed: false, declined: false, unrepaired: false, verdict: "ok" } as const;

describe("a new piece that a rule asks for (common practice)", () => {
  it("is due where a seat takes one only once, and for a seal whose year is over", () => {
    expect(renewalsByRule(off, true, false)).toEqual([onceOnly]);
    expect(renewalsByRule(off, true, true)).toEqual([onceOnly]);
    expect(renewalsByRule(off, false, true)).toEqual([sealOfTheYear]);
    expect(renewalsByRule(off, false, false)).toEqual([]);
  });

  it("is asked of nobody where it is here, or where the customer said no", () => {
    for (const [takesOne, sealDue] of [
      [true, false],
      [false, true],
    ] as const) {
      expect(renewalsByRule({ ...off, renewed: true }, takesOne, sealDue)).toEqual([]);
      expect(renewalsByRule({ ...off, declined: true }, takesOne, sealDue)).toEqual([]);
      expect(renewalsByRule({ ...off, unrepaired: true }, takesOne, sealDue)).toEqual([]);
    }
  });

  it("is let go for a seal somebody dressed or will watch, not for one that is used once", () => {
    for (const verdict of ["dressed", "watch"] as const) {
      expect(renewalsByRule({ ...off, verdict }, false, true)).toEqual([]);
      expect(renewalsByRule({ ...off, verdict }, true, false)).toEqual([onceOnly]);
    }
  });
});
