const mark = "donor|";

/** A used piece is another thing to the plan than a new one of its part: what it is called there. */
export const donorPart = (partId: string): string => `${mark}${partId}`;

/** The part of the catalogue that a part of the plan is, new or used. */
export const cataloguePart = (planPartId: string): string => (planPartId.startsWith(mark) ? planPartId.slice(mark.length) : planPartId);
