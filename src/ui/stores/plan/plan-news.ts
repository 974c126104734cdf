import type { PlanCost } from "@/core/ordering/plan/cost";
import type { WhatIfAnswer } from "@/core/ordering/plan/explain-plan";
import type { OrderPlan } from "@/core/ordering/plan/problem";

/** What the worker that solves a plan tells the page. */
export type PlanNews =
  | { readonly kind: "better"; readonly plan: OrderPlan; readonly cost: PlanCost }
  | { readonly kind: "bound"; readonly bound: number }
  | { readonly kind: "solved"; readonly plan: OrderPlan; readonly cost: PlanCost; readonly bound: number; readonly proven: boolean }
  | { readonly kind: "answer"; readonly answer: WhatIfAnswer }
  | { readonly kind: "impossible" }
  | { readonly kind: "done" }
  | { readonly kind: "failed"; readonly words: string };
