import type { FamilyId } from "@/core/vocabulary/families";
import { baitcasterLowProfile, baitcasterLowProfileTable, baitcasterRound, baitcasterRoundTable } from "./baitcaster";
import { centrepin, centrepinTable } from "./centrepin";
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
};

/** A family's template built otherwise: the choice in each of its variants, the usual one where nothing is said. */
export const familyWith = (family: FamilyId, chosen: Readonly<Record<string, string>>): FamilyTemplate =>
  Object.keys(chosen).length ? templateOf(tables[family], chosen) : families[family];

/** A family in every way it is built: the usual one, then each choice that differs by itself. */
export const everyBuild = (family: FamilyId): { readonly name: string; readonly template: FamilyTemplate }[] => [
  { name: "as usual", template: families[family] },
  ...families[family].variants.flatMap((variant) =>
    variant.choices.slice(1).map((choice) => ({
      name: `${variant.name}: ${choice.name}`,
      template: familyWith(family, { [variant.id]: choice.id }),
    })),
  ),
];
