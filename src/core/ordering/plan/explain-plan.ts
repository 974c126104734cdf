import { costOfPlan, type PlanCost } from "./cost";
import type { OrderPlan, OrderProblem } from "./problem";
import { postageAt } from "./sources";

/** What a job, or a bin, gets by a plan. */
export interface Serving {
  readonly demandId: string;
  readonly jobId: string | null;
  readonly pieces: number;
  /** Null for what lies here. */
  readonly supplierId: string | null;
  readonly offerId: string;
  readonly slot: number;
  /** The day it is here. */
  readonly day: number;
  /** Days after the job wanted it; 0 when in time or nobody waits. */
  readonly lateDays: number;
}

/** Who gets what from whom by when, and what is left for another time. */
export function servingsOf(problem: OrderProblem, plan: OrderPlan): { servings: Serving[]; left: { demandId: string; pieces: number }[] } {
  const offers = new Map(problem.offers.map((one) => [one.id, one]));
  const suppliers = new Map(problem.suppliers.map((one) => [one.id, one]));
  const jobs = new Map(problem.jobs.map((one) => [one.id, one]));
  const demands = new Map(problem.demands.map((one) => [one.id, one]));
  const missing = new Map(problem.demands.map(({ id, quantity }) => [id, quantity]));
  const servings = plan.allocations.map(({ demandId, offerId, slot, pieces }): Serving => {
    const offer = offers.get(offerId)!;
    const { jobId } = demands.get(demandId)!;
    const job = jobId === null ? undefined : jobs.get(jobId);
    const day = offer.supplierId === null ? 0 : problem.slots[slot]!.inDays + (offer.leadDays ?? suppliers.get(offer.supplierId)!.leadDays);
    missing.set(demandId, missing.get(demandId)! - pieces);
    const lateDays = job ? Math.max(0, day - Math.max(0, job.neededInDays)) : 0;
    return { demandId, jobId, pieces, supplierId: offer.supplierId, offerId, slot, day, lateDays };
  });
  return { servings, left: [...missing].flatMap(([demandId, pieces]) => (pieces > 0 ? [{ demandId, pieces }] : [])) };
}

/** A parcel that a cheap piece would make free. */
export interface FreePost {
  readonly supplierId: string;
  readonly slot: number;
  /** What is missing to the threshold, in minor units. */
  readonly missing: number;
  readonly postage: number;
  /** The piece that reaches it for least; null where none is sold there. */
  readonly add: { readonly offerId: string; readonly packs: number; readonly price: number; readonly saves: number } | null;
}

/**
 * Parcels that pay post though a threshold is near, with the one piece that would reach it for the least money. What it saves is below
 * nothing where the piece costs more than the post and what it will bring: then it is left out for a reason that can be said.
 */
export function freePostOf(problem: OrderProblem, plan: OrderPlan): FreePost[] {
  const costed = costOfPlan(problem, plan);
  if (!costed.ok) return [];
  const bought = new Map(plan.lines.map((line) => [`${line.slot} ${line.offerId}`, line.packs]));
  return costed.parcels.flatMap(({ supplierId, slot, value, postage }) => {
    const supplier = problem.suppliers.find(({ id }) => id === supplierId)!;
    const goals = [
      ...supplier.postage.map(({ fromMinor }) => fromMinor),
      ...(supplier.freeFromMinor === null ? [] : [supplier.freeFromMinor]),
    ]
      .filter((goal) => goal > value && postageAt(supplier, goal)! < postage)
      .sort((a, b) => a - b);
    if (!goals.length) return [];
    let add: FreePost["add"] = null;
    for (const offer of problem.offers) {
      if (offer.supplierId !== supplierId) continue;
      const have = bought.get(`${slot} ${offer.id}`) ?? 0;
      for (const goal of goals) {
        const price = offer.breaks[0]!.priceMinor;
        const packs = price > 0 ? Math.ceil((goal - value) / price) : 0;
        if (packs === 0 || (offer.available !== null && have + packs > offer.available)) continue;
        const lines = [
          ...plan.lines.filter((line) => line.slot !== slot || line.offerId !== offer.id),
          { offerId: offer.id, slot, packs: have + packs },
        ];
        const after = costOfPlan({ ...problem, fixed: [] }, { ...plan, lines });
        if (!after.ok) continue;
        const saves = costed.cost.total - after.cost.total;
        if (add === null || saves > add.saves) add = { offerId: offer.id, packs, price: after.cost.price - costed.cost.price, saves };
      }
    }
    return [{ supplierId, slot, missing: goals[0]! - value, postage, add }];
  });
}

/** Another way to order, to be solved beside the plan. */
export interface WhatIf {
  readonly kind: "one-supplier" | "wait" | "without" | "with";
  readonly supplierId: string | null;
  readonly problem: OrderProblem;
}

/**
 * The questions that show how firm a plan is: everything from one supplier; waiting some days; each parcel of it not sent; each supplier it
 * leaves out drawn in. What the last two cost more is by how much a parcel may become dearer, or would have to become cheaper, before the
 * plan changes.
 */
export function whatIfsOf(problem: OrderProblem, plan: OrderPlan, waitDays: number): WhatIf[] {
  const offers = new Map(problem.offers.map((one) => [one.id, one]));
  const used = new Set(
    plan.lines.flatMap(({ offerId, packs }) =>
      packs > 0 && offers.get(offerId)!.supplierId !== null ? [offers.get(offerId)!.supplierId!] : [],
    ),
  );
  const selling = problem.suppliers.filter(
    ({ id }) => problem.suppliersMust[id] !== "none" && problem.offers.some((one) => one.supplierId === id),
  );
  const must = (rule: (id: string) => "order" | "none" | undefined): OrderProblem => ({
    ...problem,
    suppliersMust: {
      ...problem.suppliersMust,
      ...Object.fromEntries(
        problem.suppliers.flatMap(({ id }) => {
          const ruleWords = rule(id);
          return ruleWords ? [[id, ruleWords]] : [];
        }),
      ),
    },
  });
  const questions: WhatIf[] = [];
  if (used.size > 1)
    for (const { id } of selling)
      questions.push({ kind: "one-supplier", supplierId: id, problem: must((one) => (one === id ? undefined : "none")) });
  if (used.size && waitDays > 0)
    questions.push({
      kind: "wait",
      supplierId: null,
      problem: { ...problem, slots: problem.slots.map((slot) => ({ ...slot, inDays: slot.inDays + waitDays })) },
    });
  for (const { id } of selling)
    questions.push(
      used.has(id)
        ? { kind: "without", supplierId: id, problem: must((one) => (one === id ? "none" : undefined)) }
        : { kind: "with", supplierId: id, problem: must((one) => (one === id ? "order" : undefined)) },
    );
  // A line fixed with a supplier answers its question by itself.
  const fixedWith = new Set(problem.fixed.flatMap(({ offerId, packs }) => (packs > 0 ? [offers.get(offerId)?.supplierId] : [])));
  return questions.filter(
    ({ kind, supplierId }) =>
      !((kind === "without" && fixedWith.has(supplierId)) || (kind === "one-supplier" && [...fixedWith].some((one) => one !== supplierId))),
  );
}

/** What an answered question says. */
export interface WhatIfAnswer {
  readonly kind: WhatIf["kind"];
  readonly supplierId: string | null;
  /** Null where it cannot be done that way. */
  readonly cost: PlanCost | null;
  /** What it costs more than the plan, in minor units. */
  readonly more: number | null;
}

/** Of all that were asked with one supplier only, the cheapest that can be done. */
export function bestOneSupplier(answers: readonly WhatIfAnswer[]): WhatIfAnswer | null {
  const able = answers.filter(({ kind, more }) => kind === "one-supplier" && more !== null);
  return able.sort((a, b) => a.more! - b.more!)[0] ?? null;
}
