import type { FamilyId } from "@/core/vocabulary/families";
import { baitcasterLowProfile, baitcasterRound } from "./baitcaster";
import { centrepin } from "./centrepin";
import { leverDrag } from "./lever-drag";
import { spincast } from "./spincast";
import { spinning } from "./spinning";
import { spinningFluidSealed, spinningSealedBailLess } from "./spinning-sealed";
import { starDragBridge } from "./star-drag-bridge";
import { starDragClutch } from "./star-drag-clutch";
import type { FamilyTemplate } from "./template";

/** Every family's template, by its id. */
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
