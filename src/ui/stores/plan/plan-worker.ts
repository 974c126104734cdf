import highsLoader from "highs";
import { costOfPlan } from "@/core/ordering/plan/cost";
import { whatIfsOf } from "@/core/ordering/plan/explain-plan";
import type { OrderPlan, OrderProblem } from "@/core/ordering/plan/problem";
import { firstSteps, quickPlan } from "@/core/ordering/plan/quick-plan";
import { solvePlan } from "@/core/ordering/plan/solve-plan";
import type { PlanNews } from "./plan-news";

/** Seconds for the plan itself, and for each question about it; what is not proven by then says so. */
const planSeconds = 60;
const questionSeconds = 5;

/** Solves a plan off the page's thread: a first one at once, each better one as it is found, then its bound, then the answers to what else could be done. */
self.onmessage = async ({ data }: MessageEvent<{ problem: OrderProblem; waitDays: number; solver: string }>) => {
  const tell = (news: PlanNews) => self.postMessage(news);
  let least = Number.POSITIVE_INFINITY;
  let start: OrderPlan | null = null;
  for (const steps of [firstSteps, undefined]) {
    const plan = quickPlan(data.problem, steps);
    const costed = plan && costOfPlan(data.problem, plan);
    if (plan && costed?.ok && costed.cost.total < least) {
      least = costed.cost.total;
      start = plan;
      tell({ kind: "better", plan, cost: costed.cost });
    }
  }
  try {
    const solver = await highsLoader({ locateFile: () => data.solver });
    const solved = solvePlan(solver, data.problem, {
      seconds: planSeconds,
      now: () => performance.now(),
      start,
      onBetter: (plan, cost) => tell({ kind: "better", plan, cost }),
      onBound: (bound) => tell({ kind: "bound", bound }),
    });
    if (!solved) {
      tell({ kind: "impossible" });
      return;
    }
    tell({ kind: "solved", ...solved });
    for (const { kind, supplierId, problem } of whatIfsOf(data.problem, solved.plan, data.waitDays)) {
      const other = solvePlan(solver, problem, { seconds: questionSeconds, now: () => performance.now() });
      const more = other && other.cost.total - solved.cost.total;
      tell({ kind: "answer", answer: { kind, supplierId, cost: other?.cost ?? null, more } });
    }
    tell({ kind: "done" });
  } catch (error) {
    tell({ kind: "failed", words: error instanceof Error ? error.message : String(error) });
  }
};
