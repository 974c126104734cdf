import type { OrderProblem, PlanOffer, PlanSupplier } from "./problem";

/** An offer on one order day: what a plan takes packs from. */
export interface Source {
  readonly index: number;
  readonly offer: PlanOffer;
  readonly slot: number;
  /** The day its pieces are here. */
  readonly day: number;
  /** Which parcel it comes in; null for what lies here. */
  readonly parcel: number | null;
  /** Packs fixed by hand; null where the plan is free. */
  readonly fixed: number | null;
  /** At most so many packs. */
  readonly most: number;
}
/** What one supplier sends after one order day. */
export interface Parcel {
  readonly supplier: PlanSupplier;
  readonly slot: number;
  /** What it costs beside its post. */
  readonly besideMinor: number;
}

/** Where a piece can come from, by what a hand said: suppliers that may not be used have no source. */
export function sourcesOf(problem: OrderProblem): { sources: Source[]; parcels: Parcel[] } {
  const suppliers = new Map(problem.suppliers.map((one) => [one.id, one]));
  const parcels: Parcel[] = [];
  const parcelAt = new Map<string, number>();
  for (const supplier of problem.suppliers)
    if (problem.suppliersMust[supplier.id] !== "none")
      for (const slot of problem.slots.keys()) {
        parcelAt.set(`${slot} ${supplier.id}`, parcels.length);
        parcels.push({ supplier, slot, besideMinor: problem.slots[slot]!.parcelMinor });
      }
  const fixed = new Map(problem.fixed.map(({ offerId, slot, packs }) => [`${slot} ${offerId}`, packs]));
  const wanted = new Map<string, number>();
  for (const { accepts, quantity } of problem.demands)
    for (const { partId } of accepts) wanted.set(partId, (wanted.get(partId) ?? 0) + quantity);
  const kept = new Map(problem.leftOver.map(({ partId, chances, unitMinor }) => [partId, unitMinor > 0 ? chances.length : 0]));
  const worth = new Map(problem.leftOver.map(({ partId, unitMinor, chances }) => [partId, unitMinor * (chances[0] ?? 0)]));
  const sources: Source[] = [];
  for (const offer of problem.offers)
    for (const slot of offer.supplierId === null ? [0] : problem.slots.keys()) {
      const parcel = offer.supplierId === null ? null : parcelAt.get(`${slot} ${offer.supplierId}`);
      if (parcel === undefined) continue;
      const byHand = fixed.get(`${slot} ${offer.id}`) ?? null;
      const pieces = (wanted.get(offer.partId) ?? 0) + (offer.supplierId === null ? 0 : (kept.get(offer.partId) ?? 0));
      const supplier = offer.supplierId === null ? null : suppliers.get(offer.supplierId)!;
      const cheapest = Math.min(...offer.breaks.map(({ priceMinor }) => priceMinor));
      // Enough for all that is wanted, for the last break, and to reach by itself whatever a parcel's value can change.
      const reach = supplier
        ? Math.max(supplier.smallestOrderMinor, supplier.freeFromMinor ?? 0, supplier.postage.at(-1)!.fromMinor) / Math.max(1, cheapest)
        : 0;
      const most = Math.min(
        offer.available ?? Number.POSITIVE_INFINITY,
        Math.max(Math.ceil(pieces / offer.pack), offer.breaks.at(-1)!.fromPacks, Math.ceil(Math.min(reach, 10_000))),
      );
      if (byHand === null && (most === 0 || isIdle(offer, supplier, wanted.has(offer.partId), worth.get(offer.partId) ?? 0))) continue;
      sources.push({
        index: sources.length,
        offer,
        slot,
        day: offer.supplierId === null ? 0 : problem.slots[slot]!.inDays + (offer.leadDays ?? supplier!.leadDays),
        parcel,
        fixed: byHand,
        most: Math.max(most, byHand ?? 0),
      });
    }
  return { sources, parcels };
}

/** Whether nobody wants the part, and buying it for later neither pays nor changes what its parcel costs. */
const isIdle = (offer: PlanOffer, supplier: PlanSupplier | null, isWanted: boolean, worthMinor: number): boolean =>
  !isWanted &&
  (supplier === null ||
    (supplier.postage.length === 1 &&
      supplier.freeFromMinor === null &&
      supplier.smallestOrderMinor === 0 &&
      Math.min(...offer.breaks.map(({ priceMinor }) => priceMinor)) >= worthMinor * offer.pack));

/** What so many packs cost at the break they reach, in minor units. */
export function priceOfPacks(offer: Pick<PlanOffer, "breaks">, packs: number): number {
  if (packs === 0) return 0;
  let price = offer.breaks[0]!.priceMinor;
  for (const one of offer.breaks) if (packs >= one.fromPacks) price = one.priceMinor;
  return price * packs;
}

/** A parcel's postage at a value of goods; null where the supplier sends nothing so small. */
export function postageAt(supplier: PlanSupplier, valueMinor: number): number | null {
  if (valueMinor < supplier.smallestOrderMinor) return null;
  if (supplier.freeFromMinor !== null && valueMinor >= supplier.freeFromMinor) return 0;
  let postage = supplier.postage[0]!.postageMinor;
  for (const tier of supplier.postage) if (valueMinor >= tier.fromMinor) postage = tier.postageMinor;
  return postage;
}
