"use client";
import { useCallback, useEffect, useRef, useState } from "react";
import type { PlanCost } from "@/core/ordering/plan/cost";
import type { WhatIfAnswer } from "@/core/ordering/plan/explain-plan";
import type { OrderPlan, OrderProblem } from "@/core/ordering/plan/problem";
import type { PlanNews } from "./plan-news";

interface Found {
  readonly of: OrderProblem;
  /** Nothing is known yet: the first plan is being put together. */
  readonly first: boolean;
  /** The best so far; null where nothing can be had that way. */
  readonly plan: OrderPlan | null;
  readonly cost: PlanCost | null;
  /** Nothing costs less than this; null while nobody knows. */
  readonly bound: number | null;
  readonly proven: boolean;
  readonly working: boolean;
  readonly answers: readonly WhatIfAnswer[];
  /** Why the solver could not be asked. */
  readonly failed: string | null;
}

export interface Planning extends Omit<Found, "of"> {
  readonly stop: () => void;
}

const nothingYet: Omit<Found, "of"> = {
  ...{ first: true, plan: null, cost: null, bound: null, proven: false, working: true, answers: [], failed: null },
};

/** Days for the question what waiting would cost. */
export const waitDays = 3;
/** The solver's program, served by this shop alone. */
const solver = "/api/solver";

/**
 * The plan of a problem: a good one soon, the best as the worker finds it; all of it off the page's thread. Another problem ends the work on the one before; stopping keeps
 * the best there is.
 */
export function usePlan(problem: OrderProblem): Planning {
  const [found, setFound] = useState<Found | null>(null);
  const worker = useRef<Worker | null>(null);
  const end = useCallback(() => {
    worker.current?.terminate();
    worker.current = null;
  }, []);
  useEffect(() => {
    end();
    const begun: Found = { ...nothingYet, of: problem };
    if (!problem.demands.length) {
      setFound({ ...begun, first: false, working: false, proven: true });
      return;
    }
    setFound(begun);
    const change = (to: (now: Found) => Partial<Found>) => setFound((now) => (now && now.of === problem ? { ...now, ...to(now) } : now));
    const made = new Worker(new URL("./plan-worker.ts", import.meta.url), { type: "module" });
    worker.current = made;
    made.onmessage = ({ data }: MessageEvent<PlanNews>) => {
      if (data.kind === "better") change(() => ({ first: false, plan: data.plan, cost: data.cost }));
      else if (data.kind === "bound") change(() => ({ bound: data.bound }));
      else if (data.kind === "solved")
        change(() => ({ first: false, plan: data.plan, cost: data.cost, bound: data.bound, proven: data.proven }));
      else if (data.kind === "answer") change(({ answers }) => ({ answers: [...answers, data.answer] }));
      else {
        change(() => ({
          first: false,
          working: false,
          ...(data.kind === "impossible" ? { plan: null, cost: null } : {}),
          ...(data.kind === "failed" ? { failed: data.words } : {}),
        }));
        end();
      }
    };
    made.onerror = (event) => {
      change(() => ({ first: false, working: false, failed: event.message || "the solver did not start" }));
      end();
    };
    made.postMessage({ problem, waitDays, solver });
    return end;
  }, [problem, end]);
  const now = found?.of === problem ? found : null;
  return {
    ...(now ?? nothingYet),
    stop: () => {
      end();
      setFound((was) => was && { ...was, first: false, working: false });
    },
  };
}
