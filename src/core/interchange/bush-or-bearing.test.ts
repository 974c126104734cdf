import { describe, expect, it } from "vitest";
import { familyWith } from "@/core/families/families";
import { lubricantFor } from "@/core/lubrication/lubricant-for";
import { benchWays, type Ways } from "@/core/ways/ways";
import { asKind, seatKind } from "./bush-or-bearing";

const bushed = familyWith("star-drag-bridge", { "head-support": "bush" });
const bush = bushed.parts.find(({ role }) => role === "spool-bush")!;

describe("a ball bearing in a bush's seat", () => {
  it("is a bearing of the same bore, outside and length, by its own name and role", () => {
    if (bush.shape.kind !== "sleeve") throw new Error("no bush");
    const { boreMm, outsideMm, lengthMm } = bush.shape;
    const ball = asKind(bush, "bearing")!;
    expect(ball.shape).toMatchObject({ kind: "bearing", boreMm, outsideMm, widthMm: lengthMm });
    expect([ball.role, ball.name]).toEqual(["spool-bearing", "Ball bearing in place of a bush"]);
    expect(asKind(ball, "bush")).toMatchObject({ role: "spool-bush", shape: { kind: "sleeve", boreMm, outsideMm, lengthMm } });
  });

  it("gets what a spool bearing gets from then on", () => {
    const shop = Object.fromEntries(Object.entries(benchWays).map(([id, { choices }]) => [id, Object.keys(choices)[0]])) as unknown as Ways;
    const seat = bushed.anatomy.positions.find(({ partTypeId }) => partTypeId === bush.id)!;
    expect(lubricantFor(seat, asKind(bush, "bearing")!, { shop, customer: {}, job: {} })?.product).toBe("light oil");
  });

  it("is no change for what is neither, and none for what it is already", () => {
    const gear = bushed.parts.find(({ role }) => role === "main-gear")!;
    expect([seatKind(gear), asKind(gear, "bearing")]).toEqual([null, null]);
    expect(asKind(bush, "bush")).toBe(bush);
  });
});
