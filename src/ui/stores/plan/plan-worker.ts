import highsLoader from "highs";
import { whatIfsOf } from "@/core/ordering/plan/explain-plan";
import type { OrderPlan, OrderProblem } from "@/core/ordering/plan/problem";
import { solvePlan } from "@/core/ordering/plan/solve-plan";
import type { PlanNews } from "./plan-news";

/** Seconds for the plan itself, and for each question about it; what is not proven by then says so. */
const planSeconds = 60;
const questionSeconds = 5;

/** Solves a plan off the page's thread: each better one is sent as it is found, then its bound, then the answers to what else could be done. */
self.onmessage = async ({ data }: MessageEvent<{ problem: OrderProblem; start: OrderPlan | null; waitDays: number; solver: string }>) => {
  const tell = (news: PlanNews) => self.postMessage(news);
  try {
    const solver = await highsLoader({ locateFile: () => data.solver });
    const solved = solvePlan(solver, data.problem, {
      seconds: planSeconds,
      start: data.start,
      onBetter: (plan, cost) => tell({ kind: "better", plan, cost }),
      onBound: (bound) => tell({ kind: "bound", bound }),
    });
    if (!solved) {
      tell({ kind: "impossible" });
      return;
    }
    tell({ kind: "solved", ...solved });
    for (const { kind, supplierId, problem } of whatIfsOf(data.problem, solved.plan, data.waitDays)) {
      const other = solvePlan(solver, problem, { seconds: questionSeconds });
      const more = other && other.cost.total - solved.cost.total;
      tell({ kind: "answer", answer: { kind, supplierId, cost: other?.cost ?? null, more } });
    }
    tell({ kind: "done" });
  } catch (error) {
    tell({ kind: "failed", words: error instanceof Error ? error.message : String(error) });
  }
};
