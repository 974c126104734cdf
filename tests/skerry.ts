import { starDragBridge } from "@/core/families/star-drag-bridge";
import { modelFromTemplate } from "@/core/families/template";

/** A reel to test with: a conventional star drag, its family's template under numbers of its own. */
const draft = modelFromTemplate(starDragBridge, "SK");
export const skerry30Parts = draft.partTypes;
export const skerry30LineRadiusMm = draft.lineRadiusMm;
export const skerry30Anatomy = draft.anatomy;
