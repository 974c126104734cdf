"use client";
import { useMemo, useState } from "react";
import type { OrderPlan, OrderProblem } from "@/core/ordering/plan/problem";
import { priceOfPacks } from "@/core/ordering/plan/sources";
import type { Basket, PlanProps } from "./plan-props";
import { usePlan } from "./use-plan";

/** What a hand has said against the plan: a part from one place, suppliers left out. */
interface ByHand {
  readonly from: Readonly<Record<string, string>>;
  readonly not: readonly string[];
}

const needIdOf = (demandId: string): number | null => (demandId.startsWith("need|") ? Number(demandId.slice(5)) : null);

/** The plan of a situation, with what a hand has said about it. */
export function useOrderPlan({ problem }: Pick<PlanProps, "problem">) {
  const [byHand, setByHand] = useState<ByHand>({ from: {}, not: [] });
  const touched = Object.keys(byHand.from).length + byHand.not.length > 0;
  const narrowed = useMemo((): OrderProblem => {
    if (!touched) return problem;
    const fixed = Object.entries(byHand.from).flatMap(([partId, offerId]) =>
      problem.offers
        .filter((offer) => offer.partId === partId && offer.supplierId !== null)
        .flatMap((offer) => {
          const wanted = problem.demands.filter(({ accepts }) => accepts.some((one) => one.partId === partId));
          const pieces = wanted.reduce((sum, { quantity }) => sum + quantity, 0);
          return problem.slots.map((_, slot) => ({
            offerId: offer.id,
            slot,
            packs: offer.id === offerId && slot === 0 ? Math.ceil(pieces / offer.pack) : 0,
          }));
        }),
    );
    return { ...problem, fixed, suppliersMust: Object.fromEntries(byHand.not.map((id) => [id, "none" as const])) };
  }, [problem, byHand, touched]);
  const planning = usePlan(narrowed);
  return { planning, problem: narrowed, byHand, setByHand, touched };
}

/** What each supplier is asked for on an order day. */
export function basketsOf(problem: OrderProblem, plan: OrderPlan | null, on: number): Basket[] {
  if (!plan) return [];
  const offers = new Map(problem.offers.map((one) => [one.id, one]));
  return problem.suppliers.flatMap(({ id }) => {
    const lines = plan.lines.filter(({ offerId, slot, packs }) => slot === on && packs > 0 && offers.get(offerId)!.supplierId === id);
    if (!lines.length) return [];
    return [
      {
        supplierId: id,
        lines: lines.map(({ offerId, packs }) => ({
          partTypeId: offers.get(offerId)!.partId,
          packs,
          priceMinor: priceOfPacks(offers.get(offerId)!, packs),
        })),
        gets: plan.allocations.flatMap(({ demandId, offerId, slot }) => {
          const needId = needIdOf(demandId);
          return needId !== null && slot === on && offers.get(offerId)!.supplierId === id
            ? [{ needId, partTypeId: offers.get(offerId)!.partId }]
            : [];
        }),
      },
    ];
  });
}

export type Hand = ReturnType<typeof useOrderPlan>;
