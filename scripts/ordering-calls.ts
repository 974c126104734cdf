import { z } from "zod";
import { loadSolver, type Solver } from "@/core/blind-spots/least-cover";
import { costOfPlan } from "@/core/ordering/plan/cost";
import { freePostOf, servingsOf, whatIfsOf } from "@/core/ordering/plan/explain-plan";
import { orderProblemSchema } from "@/core/ordering/plan/problem";
import { firstSteps, quickPlan } from "@/core/ordering/plan/quick-plan";
import { solvePlan } from "@/core/ordering/plan/solve-plan";
import { stockLevel, stockLevelSchema } from "@/core/ordering/stock-level";
import { type Call, call } from "./call-of";

let solver: Solver | null = null;

/** Time a call may take, s, and the share of it for the plan itself; the rest is for the questions about it. */
const callSeconds = 4;
const forPlan = 0.75;

/** An order plan: what to buy where, its cost and bound, and why. */
const orderPlan: Call = {
  ...call(
    z.object({
      problem: orderProblemSchema,
      /** For all of it; longer than usual where the caller can wait. */
      seconds: z.number().min(0.1).max(600).default(callSeconds),
      /** Days for the question what waiting would cost. */
      waitDays: z.number().int().min(0).max(365).default(3),
    }),
    ({ problem, seconds, waitDays }) => {
      if (!solver) throw new Error("order-plan: the solver is not loaded yet");
      const began = Date.now();
      const now = () => Date.now();
      // All of it within the time: most for the plan, the rest for what else could be done.
      const start = quickPlan(problem, firstSteps);
      const solved = solvePlan(solver, problem, { seconds: Math.max(0.05, seconds * forPlan - (now() - began) / 1000), now, start });
      if (!solved) return { conflict: "Not all that has to be had can be had: nobody sells it, or what was fixed by hand forbids it." };
      const costed = costOfPlan(problem, solved.plan);
      const until = began + 1000 * seconds;
      const whatIf = whatIfsOf(problem, solved.plan, waitDays).map(({ kind, supplierId, problem: other }) => {
        const left = (until - Date.now()) / 1000;
        if (left < 0.05) return { kind, supplierId, asked: false };
        const answer = solvePlan(solver!, other, { seconds: left, now });
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
  // As long as it was told to think, and two seconds to read the question and write its answer.
  limitMs: ({ seconds }: { readonly seconds: number }) => 1000 * (seconds + 2),
  prepare: async () => {
    solver = await loadSolver();
  },
};

export const orderingCalls: Record<string, Call> = {
  "order-plan": orderPlan,
  "stock-level": call(stockLevelSchema, (input) => stockLevel(input)),
};
