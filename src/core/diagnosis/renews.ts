/**
 * How many of the places that take such a part a fault's remedy renews: all of a set that wears together; the one that is bad, of several that are
 * alike; or only what is seen to want it once it lies open, where most go back as they are.
 */
export type Renews = "all" | "one" | "as-seen";

/** Faults that do not renew the whole set. Source: common practice. */
export const notWholeSets: Readonly<Record<string, Renews>> = {
  "gear-shaft-frozen": "one",
  "spool-bearing-rough": "one",
  "gear-bearing-rough": "one",
  "shield-dented": "one",
  "clutch-worn": "one",
  "preload-lost": "one",
  "drag-oiled": "as-seen",
  "drag-ridged": "as-seen",
  "drag-glazed": "as-seen",
  "drag-hard": "as-seen",
  "drag-fused": "as-seen",
  "stack-wrong": "as-seen",
  "preset-tight": "as-seen",
  "hub-clip-astray": "as-seen",
};

export const renewsOf = (faultId: string): Renews => notWholeSets[faultId] ?? "all";

/** A place whose part the remedy is about, as far as it was looked at. */
export interface PlaceOfFault {
  readonly positionId: string;
  /** The part lies open and somebody said that it wants a new one. */
  readonly wantsNew: boolean;
}

/**
 * The places that get a new part for a fault, as far as is known: those seen to want one before all others. @param places in the order of the drawing.
 * @returns seats for which a new part is foreseen, and those that may come on top of it.
 */
export function newPartsFor(
  faultId: string,
  places: readonly PlaceOfFault[],
): { readonly foreseen: readonly string[]; readonly may: readonly string[] } {
  const all = places.map(({ positionId }) => positionId);
  const seen = places.flatMap(({ positionId, wantsNew }) => (wantsNew ? [positionId] : []));
  const how = renewsOf(faultId);
  const foreseen = how === "all" ? all : how === "as-seen" || seen.length ? seen : all.slice(0, 1);
  return { foreseen, may: all.filter((id) => !foreseen.includes(id)) };
}
