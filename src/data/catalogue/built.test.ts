import { describe, expect, it } from "vitest";
import { openWorkshop, refusal } from "#tests/workshop";
import { everyFrame, families } from "@/core/families/families";
import { familyIds } from "@/core/vocabulary/families";
import { builtOf, changeVariant, startModelOf } from "./built";
import { getCurrentModelVersion } from "./models";

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
