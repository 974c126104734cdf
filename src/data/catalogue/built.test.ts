import { describe, expect, it } from "vitest";
import { openWorkshop, refusal } from "#tests/workshop";
import { everyFrame, families } from "@/core/families/families";
import { familyIds } from "@/core/vocabulary/families";
import { builtOf, changeVariant, lackingOf, startModelOf, takeOverLacking } from "./built";
import { getCurrentModelVersion } from "./models";
import { addModelVersion } from "./write-model";

describe("a model from its family", () => {
  it("starts in every variant chosen, and is built otherwise and back later, as a new version each time", () => {
    const shop = openWorkshop();
    for (const [n, family] of familyIds.entries()) {
      const [variant] = families[family].variants;
      if (!variant) continue;
      const last = variant.choices.at(-1)!;
      const prefix = `Q${String.fromCharCode(65 + n)}`;
      const { id } = startModelOf(shop.ctx, { maker: "Own", name: family, family, prefix }, { [variant.id]: last.id });
      expect(builtOf(shop.db, id)?.chosen[variant.id]).toBe(last.id);
      const choose = (variantId: string, choiceId: string) => {
        const { number } = getCurrentModelVersion(shop.db, id);
        // What it is already is no new version.
        const already = builtOf(shop.db, id)?.chosen[variantId] === choiceId;
        expect(changeVariant(shop.ctx, id, number, variantId, choiceId).number).toBe(already ? number : number + 1);
      };
      for (const { variants, frames, chosen } of everyFrame(family)) {
        if (frames) choose(frames.id, chosen[frames.id]!);
        for (const { id: variantId, choices } of variants)
          if (variantId !== frames?.id) for (const choice of choices) choose(variantId, choice.id);
      }
    }
  });

  it("is refused for a model that did not begin so, and when somebody saved first", () => {
    const shop = openWorkshop();
    expect(refusal(() => changeVariant(shop.ctx, "skerry-30", 1, "dog-spring", "wire")).code).toBe("no-variant");
    const { id } = startModelOf(shop.ctx, { maker: "Own", name: "one", family: "centrepin", prefix: "QZ" }, {});
    expect(refusal(() => changeVariant(shop.ctx, id, 9, "hub", "spaced")).code).toBe("changed-elsewhere");
    expect(refusal(() => startModelOf(shop.ctx, { maker: "Own", name: "two", family: "centrepin", prefix: "QZ" }, {})).field).toBe(
      "prefix",
    );
  });
});

describe("a model begun from an older drawing of its family", () => {
  it("is told what it lacks and takes it over as its next version, its own words kept", () => {
    const shop = openWorkshop();
    const { id } = startModelOf(shop.ctx, { maker: "Own", name: "old", family: "spinning", prefix: "QO" }, {});
    const model = { id, family: "spinning" as const };
    expect(lackingOf(shop.db, model)).toEqual([]);
    expect(refusal(() => takeOverLacking(shop.ctx, id, 1)).code).toBe("nothing-lacking");
    const { anatomy, lineRadiusMm } = getCurrentModelVersion(shop.db, id);
    const lost = new Set(["collar-spring", "rotor-weight", "weight-cover"]);
    const known = (ids: readonly string[]) => ids.filter((seat) => !lost.has(seat) && !lost.has(seat.replace("place-", "")));
    addModelVersion(shop.ctx, id, {
      lineRadiusMm,
      anatomy: {
        ...anatomy,
        positions: anatomy.positions
          .filter((seat) => !lost.has(seat.id))
          .map((seat) => ({ ...seat, restsOn: known(seat.restsOn), ...(seat.id === "rotor" ? { trap: "Ours rubs." } : {}) })),
        operations: anatomy.operations.map((operation) => ({ ...operation, before: known(operation.before) })),
        batches: anatomy.batches
          .map((batch) => ({ ...batch, positionIds: known(batch.positionIds) }))
          .filter((batch) => batch.positionIds.length > 1),
      },
    });
    expect(lackingOf(shop.db, model)).toEqual(["Collar spring", "Counterweight", "Cover of the counterweight"]);
    expect(refusal(() => takeOverLacking(shop.ctx, id, 1)).code).toBe("changed-elsewhere");
    expect(takeOverLacking(shop.ctx, id, 2)).toEqual({ number: 3 });
    const now = getCurrentModelVersion(shop.db, id).anatomy;
    expect(now.positions.map((seat) => seat.id)).toEqual(anatomy.positions.map((seat) => seat.id));
    expect(now.positions.find((seat) => seat.id === "rotor")?.trap).toBe("Ours rubs.");
    expect(lackingOf(shop.db, model)).toEqual([]);
  });
});
