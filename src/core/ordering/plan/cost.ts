import type { OrderPlan, OrderProblem } from "./problem";
import { postageAt, priceOfPacks } from "./sources";

/** What a plan costs, in minor units; left-over pieces count with what they will bring, so below nothing. */
export interface PlanCost {
  readonly price: number;
  readonly postage: number;
  readonly late: number;
  /** Work on substitutes, and parcels on days that are not for ordering. */
  readonly extra: number;
  readonly left: number;
  readonly leftOver: number;
  readonly total: number;
}

export interface ParcelCost {
  readonly supplierId: string;
  readonly slot: number;
  readonly value: number;
  readonly postage: number;
}

/**
 * Reckons a plan from its lines alone, by the rules and not by any solver.
 * @returns its cost, or why it cannot be done.
 */
export function costOfPlan(
  problem: OrderProblem,
  plan: OrderPlan,
): { ok: true; cost: PlanCost; parcels: ParcelCost[]; lateDays: ReadonlyMap<string, number> } | { ok: false; why: string } {
  const offers = new Map(problem.offers.map((one) => [one.id, one]));
  const suppliers = new Map(problem.suppliers.map((one) => [one.id, one]));
  const at = (slot: number, one: string) => `${slot} ${one}`;
  const bought = new Map<string, number>();
  for (const { offerId, slot, packs } of plan.lines) {
    const offer = offers.get(offerId);
    if (!offer || slot < 0 || slot >= problem.slots.length || !Number.isInteger(packs) || packs < 0)
      return { ok: false, why: `No such line: ${packs} of ${offerId}.` };
    if (bought.has(at(slot, offerId))) return { ok: false, why: `${offerId} stands there twice.` };
    bought.set(at(slot, offerId), packs);
  }
  for (const { offerId, slot, packs } of problem.fixed)
    if ((bought.get(at(slot, offerId)) ?? 0) !== packs) return { ok: false, why: `${offerId} is fixed at ${packs}.` };
  const ofOffer = new Map<string, number>();
  for (const { offerId, packs } of plan.lines) ofOffer.set(offerId, (ofOffer.get(offerId) ?? 0) + packs);
  // What a supplier has is one heap, whichever day it is ordered on.
  for (const [offerId, packs] of ofOffer) {
    const { available } = offers.get(offerId)!;
    if (available !== null && packs > available) return { ok: false, why: `Only ${available} of ${offerId}.` };
  }
  let price = 0;
  const parcels = new Map<string, { supplierId: string; slot: number; value: number }>();
  for (const { offerId, slot, packs } of plan.lines) {
    if (packs === 0) continue;
    const offer = offers.get(offerId)!;
    const sum = priceOfPacks(offer, packs);
    price += sum;
    if (offer.supplierId === null) continue;
    if (problem.suppliersMust[offer.supplierId] === "none") return { ok: false, why: `${offer.supplierId} is not to be used.` };
    const parcel = parcels.get(at(slot, offer.supplierId)) ?? { supplierId: offer.supplierId, slot, value: 0 };
    parcel.value += sum;
    parcels.set(at(slot, offer.supplierId), parcel);
  }
  for (const [one, must] of Object.entries(problem.suppliersMust))
    if (must === "order" && ![...parcels.values()].some(({ supplierId }) => supplierId === one))
      return { ok: false, why: `${one} has to get an order.` };
  const costed: ParcelCost[] = [];
  let beside = 0;
  for (const parcel of parcels.values()) {
    const postage = postageAt(suppliers.get(parcel.supplierId)!, parcel.value);
    if (postage === null) return { ok: false, why: `${parcel.supplierId} sends nothing so small.` };
    costed.push({ ...parcel, postage });
    beside += problem.slots[parcel.slot]!.parcelMinor;
  }
  const demands = new Map(problem.demands.map((one) => [one.id, one]));
  const given = new Map<string, number>();
  const used = new Map<string, number>();
  const arrival = new Map<string, number>();
  let extra = beside;
  for (const { demandId, offerId, slot, pieces } of plan.allocations) {
    const demand = demands.get(demandId);
    const offer = offers.get(offerId);
    if (!demand || !offer || !Number.isInteger(pieces) || pieces < 0) return { ok: false, why: `No such piece for ${demandId}.` };
    const accepted = demand.accepts.find(({ partId }) => partId === offer.partId);
    if (!accepted) return { ok: false, why: `${offer.partId} will not do for ${demandId}.` };
    extra += accepted.extraMinor * pieces;
    given.set(demandId, (given.get(demandId) ?? 0) + pieces);
    used.set(at(slot, offerId), (used.get(at(slot, offerId)) ?? 0) + pieces);
    if (demand.jobId !== null && pieces > 0) {
      const day =
        offer.supplierId === null ? 0 : problem.slots[slot]!.inDays + (offer.leadDays ?? suppliers.get(offer.supplierId)!.leadDays);
      arrival.set(demand.jobId, Math.max(arrival.get(demand.jobId) ?? Number.NEGATIVE_INFINITY, day));
    }
  }
  for (const [line, pieces] of used)
    if (pieces > (bought.get(line) ?? 0) * offers.get(line.slice(line.indexOf(" ") + 1))!.pack)
      return { ok: false, why: `More pieces of ${line} are given out than come.` };
  let left = 0;
  for (const { id, quantity, leaveMinor } of problem.demands) {
    const missing = quantity - (given.get(id) ?? 0);
    if (missing < 0) return { ok: false, why: `${id} gets more than it wants.` };
    if (missing === 0) continue;
    if (leaveMinor === null) return { ok: false, why: `${id} has to be had.` };
    left += leaveMinor * missing;
  }
  let late = 0;
  const lateDays = new Map<string, number>();
  for (const { id, neededInDays, dayLateMinor } of problem.jobs) {
    // Days that have passed already are lost whatever is ordered: they do not count.
    const days = Math.max(0, (arrival.get(id) ?? Number.NEGATIVE_INFINITY) - Math.max(0, neededInDays));
    if (days > 0) lateDays.set(id, days);
    late += days * dayLateMinor;
  }
  const spare = new Map<string, number>();
  for (const { offerId, slot, packs } of plan.lines) {
    const offer = offers.get(offerId)!;
    if (offer.supplierId === null) continue;
    const over = packs * offer.pack - (used.get(at(slot, offerId)) ?? 0);
    spare.set(offer.partId, (spare.get(offer.partId) ?? 0) + over);
  }
  let leftOver = 0;
  for (const { partId, unitMinor, chances } of problem.leftOver)
    for (const chance of chances.slice(0, spare.get(partId) ?? 0)) leftOver -= chance * unitMinor;
  const postage = costed.reduce((sum, parcel) => sum + parcel.postage, 0);
  const cost = { price, postage, late, extra, left, leftOver, total: price + postage + late + extra + left + leftOver };
  return { ok: true, cost, parcels: costed, lateDays };
}
