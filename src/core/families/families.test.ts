import { describe, expect, it } from "vitest";
import { checkAnatomy } from "@/core/anatomy/check-anatomy";
import { seatConstraints } from "@/core/anatomy/constraints";
import { tightnessClasses } from "@/core/anatomy/types";
import { buildOrder } from "@/core/teardown/build-order";
import { removalOrder } from "@/core/teardown/removal-order";
import { type FamilyId, familyIds, familyWords } from "@/core/vocabulary/families";
import { baitcasterLowProfileTable } from "./baitcaster";
import { baitcasterRoundTable } from "./baitcaster-round";
import { bridgeClutchTable } from "./bridge-clutch";
import { centrepinTable } from "./centrepin";
import { everyBuild } from "./families";
import { flyTable } from "./fly";
import { leverDragTable } from "./lever-drag";
import { spincastTable } from "./spincast";
import { spinningTable } from "./spinning";
import { spinningFluidSealedTable, spinningSealedBailLessTable } from "./spinning-sealed";
import { starDragBridgeTable } from "./star-drag-bridge";
import { starDragClutchTable } from "./star-drag-clutch";
import { type FamilyTemplate, modelFromTemplate } from "./template";

const builds = familyIds.flatMap((id) =>
  everyBuild(id).map(({ name, template }): [FamilyId, string, FamilyTemplate] => [id, name, template]),
);

describe.each(builds)("the template of %s (%s)", (id, _name, template) => {
  const { anatomy, parts, family, lineRadiusMm } = template;
  const seats = new Map(anatomy.positions.map((position) => [position.id, position]));
  const typeAt = (seat: string) => parts.find((part) => part.id === seats.get(seat)!.partTypeId)!;

  it("draws a nut or screw as hard as its step says, in the ledger as well as in words", () => {
    for (const { kind, words, after } of anatomy.operations ?? []) {
      const said = kind === "tighten" && tightnessClasses.find((one) => new RegExp(`\\b${one}\\b`).test(words));
      if (!said) continue;
      const drawn = after.flatMap((step) => seats.get(step.replace(/^place-/, ""))?.tightness ?? []);
      expect(drawn, words).toEqual(drawn.map(() => said));
    }
  });

  it("is itself, has a name, and fits together", () => {
    expect(family).toBe(id);
    expect(familyWords[id]).toBeTruthy();
    expect(lineRadiusMm).toBeGreaterThan(5);
    expect(checkAnatomy(anatomy, parts).map((fault) => fault.message)).toEqual([]);
    expect(new Set(parts.map((part) => part.number)).size).toBe(parts.length);
    expect(
      parts.filter((part) => !anatomy.positions.some((position) => position.partTypeId === part.id)).map((part) => part.id),
      "parts that no seat asks for",
    ).toEqual([]);
  });

  it("comes apart and goes together with every seat and gate in order", () => {
    const removed = removalOrder(anatomy);
    const built = buildOrder(anatomy, removed);
    if (!built.ok) throw new Error(built.message);
    const order = built.value.steps.map((step) => step.operation.id);
    for (const c of seatConstraints(anatomy))
      expect(order.indexOf(`place-${c.before}`), c.reason).toBeLessThan(order.indexOf(`place-${c.after}`));
    for (const operation of anatomy.operations) {
      for (const before of operation.after)
        expect(order.indexOf(before), `${before} before ${operation.id}`).toBeLessThan(order.indexOf(operation.id));
      for (const after of operation.before)
        expect(order.indexOf(operation.id), `${operation.id} before ${after}`).toBeLessThan(order.indexOf(after));
      if (operation.kind === "gate") expect(operation.lookAt.length, operation.id).toBeGreaterThan(0);
    }
  });

  // The nevers of the trade (common practice).
  it("never greases a roller clutch, and cautions before every spring and wire clip", () => {
    for (const position of anatomy.positions) {
      const { shape, role } = typeAt(position.id);
      if (shape.kind === "roller-clutch") expect(position.lubricant?.product, position.name).toBe("light oil");
      if (/dog-spring|yoke-spring|bail-spring|click-spring|detent-spring/.test(role))
        expect(position.caution ?? "", position.name).toMatch(/glasses|flies/);
      if (shape.kind === "clip" && shape.form === "wire") expect(position.caution ?? "", position.name).toMatch(/flies/);
    }
  });

  it("has gears of one module where a gear meets a pinion", () => {
    const gear = parts.find((part) => part.role === "main-gear")?.shape;
    const pinion = parts.find((part) => part.role === "pinion")?.shape;
    if (gear?.kind === "gear" && pinion?.kind === "pinion" && id !== "spinning" && !id.startsWith("spinning-"))
      expect(gear.moduleMm).toBe(pinion.moduleMm);
  });

  it("draws each part after what it rests on in its own assembly", () => {
    for (const position of anatomy.positions)
      for (const below of position.restsOn.map((seat) => seats.get(seat)!))
        if (below.assemblyId === position.assemblyId)
          expect(below.ordinal, `${position.name} after ${below.name}`).toBeLessThan(position.ordinal);
  });

  it("becomes a model under its own numbers and is not changed by it", () => {
    const before = JSON.stringify(template);
    const draft = modelFromTemplate(template, "QX");
    expect(checkAnatomy(draft.anatomy, draft.partTypes)).toEqual([]);
    expect(draft.partTypes.every((part) => part.id.startsWith("qx-") && part.number.startsWith("QX-"))).toBe(true);
    expect(JSON.stringify(template)).toBe(before);
  });
});

describe("where to look", () => {
  // A look names its seats in any build of its family; one whose seats are nowhere is a name written wrong.
  it.each(familyIds)("%s: has a seat for every look that names some, in some build", (family) => {
    const there = new Set(everyBuild(family).flatMap(({ template }) => template.anatomy.positions.map(({ id }) => id)));
    const tables = [
      starDragBridgeTable,
      starDragClutchTable,
      bridgeClutchTable,
      leverDragTable,
      baitcasterLowProfileTable,
      baitcasterRoundTable,
    ]
      .concat(spinningTable, spinningFluidSealedTable, spinningSealedBailLessTable, spincastTable, centrepinTable, flyTable)
      .filter((table) => table.family === family);
    expect(tables.length).toBeGreaterThan(0);
    const operations = tables.flatMap((table) => [
      ...table.operations,
      ...(table.variants ?? []).flatMap(({ choices }) => choices.flatMap(({ change }) => change?.operations ?? [])),
    ]);
    const looks = operations.flatMap(({ lookAt }) => lookAt ?? []).filter((look) => typeof look !== "string");
    expect(looks.filter(({ seats = [] }) => seats.length > 0 && !seats.some((seat) => there.has(seat))).map(({ words }) => words)).toEqual(
      [],
    );
  });
});
