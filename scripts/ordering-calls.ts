import { z } from "zod";
import { loadSolver, type Solver } from "@/core/blind-spots/least-cover";
import { costOfPlan } from "@/core/ordering/plan/cost";
import { freePostOf, servingsOf, whatIfsOf } from "@/core/ordering/plan/explain-plan";
import { orderProblemSchema } from "@/core/ordering/plan/problem";
import { quickPlan } from "@/core/ordering/plan/quick-plan";
import { solvePlan } from "@/core/ordering/plan/solve-plan";
import { stockLevel, stockLevelSchema } from "@/core/ordering/stock-level";
import { type Call, call } from "./call-of";

let solver: Solver | null = null;

/** Time a call may take for the plan itself, and for all questions about it together, in s: both within five. */
const planSeconds = 3;
const questionSeconds = 1;

/** An order plan: what to buy where, its cost and bound, and why. */
const orderPlan: Call = {
  ...call(
    z.object({
      problem: orderProblemSchema,
      /** Longer than the usual three seconds, where the caller can wait. */
      seconds: z.number().min(0.1).max(600).default(planSeconds),
      /** Days for the question what waiting would cost. */
      waitDays: z.number().int().min(0).max(365).default(3),
    }),
    ({ problem, seconds, waitDays }) => {
      if (!solver) throw new Error("order-plan: the solver is not loaded yet");
      const solved = solvePlan(solver, problem, { seconds, start: quickPlan(problem) });
      if (!solved) return { conflict: "Not all that has to be had can be had: nobody sells it, or what was fixed by hand forbids it." };
      const costed = costOfPlan(problem, solved.plan);
      const until = Date.now() + 1000 * Math.max(questionSeconds, seconds - planSeconds);
      const whatIf = whatIfsOf(problem, solved.plan, waitDays).map(({ kind, supplierId, problem: other }) => {
        const left = (until - Date.now()) / 1000;
        if (left < 0.05) return { kind, supplierId, asked: false };
        const answer = solvePlan(solver!, other, { seconds: left });
        return {
          kind,
          supplierId,
          asked: true,
          total: answer?.cost.total ?? null,
          more: answer && answer.cost.total - solved.cost.total,
          proven: answer?.proven ?? false,
        };
      });
      return {
        plan: solved.plan,
        cost: solved.cost,
        bound: solved.bound,
        proven: solved.proven,
        parcels: costed.ok ? costed.parcels : [],
        ...servingsOf(problem, solved.plan),
        freePost: freePostOf(problem, solved.plan),
        whatIf,
      };
    },
  ),
  // As long as it was told to think, and a second to write its program and its answer.
  limitMs: ({ seconds }: { readonly seconds: number }) => 1000 * (Math.max(seconds, planSeconds) + questionSeconds + 1),
  prepare: async () => {
    solver = await loadSolver();
  },
};

export const orderingCalls: Record<string, Call> = {
  "order-plan": orderPlan,
  "stock-level": call(stockLevelSchema, (input) => stockLevel(input)),
};
