import type { PartKind } from "./shapes";
import type { PartType, Position } from "./types";

/** Has two sides that are not alike, whatever a model says. */
const sidedKinds: ReadonlySet<PartKind> = new Set(["cupped-washer", "dog", "ratchet", "cam", "lip-seal", "roller-clutch"]);

export const isSidedKind = (kind: PartKind): boolean => sidedKinds.has(kind);

/** Whether a part can lie in its seat turned over: because its model says so, else by its kind and by how it is drawn. */
export const hasTwoSides = (seat: Pick<Position, "turned" | "twoSided">, type: Pick<PartType, "shape"> | undefined): boolean =>
  seat.twoSided ?? (seat.turned || (type !== undefined && sidedKinds.has(type.shape.kind)));
