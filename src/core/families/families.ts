import type { FamilyId } from "@/core/vocabulary/families";
import { baitcasterLowProfile, baitcasterLowProfileTable } from "./baitcaster";
import { baitcasterRound, baitcasterRoundTable } from "./baitcaster-round";
import { centrepin, centrepinTable } from "./centrepin";
import { fly, flyTable } from "./fly";
import { leverDrag, leverDragTable } from "./lever-drag";
import { spincast, spincastTable } from "./spincast";
import { spinning, spinningTable } from "./spinning";
import { spinningFluidSealed, spinningFluidSealedTable, spinningSealedBailLess, spinningSealedBailLessTable } from "./spinning-sealed";
import { starDragBridge, starDragBridgeTable } from "./star-drag-bridge";
import { starDragClutch, starDragClutchTable } from "./star-drag-clutch";
import type { TemplateTable } from "./tables/table";
import { type FamilyTemplate, templateOf } from "./template";

/** Every family's template the way such reels are usually built, by its id. */
export const families: Readonly<Record<FamilyId, FamilyTemplate>> = {
  "star-drag-bridge": starDragBridge,
  "star-drag-clutch": starDragClutch,
  "lever-drag": leverDrag,
  "baitcaster-low-profile": baitcasterLowProfile,
  "baitcaster-round": baitcasterRound,
  spinning,
  "spinning-fluid-sealed": spinningFluidSealed,
  "spinning-sealed-bail-less": spinningSealedBailLess,
  spincast,
  centrepin,
  fly,
};

const tables: Readonly<Record<FamilyId, TemplateTable>> = {
  "star-drag-bridge": starDragBridgeTable,
  "star-drag-clutch": starDragClutchTable,
  "lever-drag": leverDragTable,
  "baitcaster-low-profile": baitcasterLowProfileTable,
  "baitcaster-round": baitcasterRoundTable,
  spinning: spinningTable,
  "spinning-fluid-sealed": spinningFluidSealedTable,
  "spinning-sealed-bail-less": spinningSealedBailLessTable,
  spincast: spincastTable,
  centrepin: centrepinTable,
  fly: flyTable,
};

/** A family's template built otherwise: the choice in each of its variants, the usual one where nothing is said. */
export const familyWith = (family: FamilyId, chosen: Readonly<Record<string, string>>): FamilyTemplate =>
  Object.keys(chosen).length ? templateOf(tables[family], chosen) : families[family];

/** The skeletons of a family, each as it is usually built; the family alone where it has one. */
export const everyFrame = (family: FamilyId): readonly FamilyTemplate[] => {
  const { frames } = families[family];
  return frames ? frames.choices.map(({ id }) => familyWith(family, { [frames.id]: id })) : [families[family]];
};

/** A family in every way it is built: each skeleton as usual, then each choice that differs by itself. */
export const everyBuild = (family: FamilyId): { readonly name: string; readonly template: FamilyTemplate }[] =>
  everyFrame(family).flatMap((usual) => {
    const { frames, chosen } = usual;
    const frame = frames ? { [frames.id]: chosen[frames.id]! } : {};
    const named = frames?.choices.find(({ id }) => id === chosen[frames.id])?.name ?? "as usual";
    return [
      { name: named, template: usual },
      ...usual.variants
        .filter(({ id }) => id !== frames?.id)
        .flatMap((variant) =>
          variant.choices.slice(1).map((choice) => ({
            name: `${frames ? `${named}; ` : ""}${variant.name}: ${choice.name}`,
            template: familyWith(family, { ...frame, [variant.id]: choice.id }),
          })),
        ),
    ];
  });
