import { starDragBridge } from "@/core/families/star-drag-bridge";
import { modelFromTemplate } from "@/core/families/template";

/** The invented reel most of the demo turns about: a conventional star drag, its family's template under its own numbers. */
export const skerry30 = { id: "skerry-30", maker: "Marrowby", name: "Skerry 30", family: "star-drag-bridge" } as const;

const draft = modelFromTemplate(starDragBridge, "SK");
export const skerry30Parts = draft.partTypes;
export const skerry30LineRadiusMm = draft.lineRadiusMm;
export const skerry30Anatomy = draft.anatomy;
