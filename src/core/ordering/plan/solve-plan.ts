import type { Highs } from "highs";
import { costOfPlan, type PlanCost } from "./cost";
import type { OrderPlan, OrderProblem } from "./problem";
import { type OrderProgram, type Program, programOf } from "./program";

export interface SolvedPlan {
  readonly plan: OrderPlan;
  readonly cost: PlanCost;
  /** No plan costs less than this. */
  readonly bound: number;
  /** Bound and cost are one, to a hundredth of a minor unit and the gap asked for. */
  readonly proven: boolean;
}

export interface SolveLimits {
  readonly seconds: number;
  /** A clock in ms: where one is given, `seconds` also bounds what is made ready for the solver. */
  readonly now?: () => number;
  /** Proven when the best is within this share of the bound; 0 asks for the optimum itself. */
  readonly gap?: number;
  /** A plan to begin with. */
  readonly start?: OrderPlan | null;
  /** Called with each better plan as it is found. */
  readonly onBetter?: (plan: OrderPlan, cost: PlanCost) => void;
  /** Called as the bound rises. */
  readonly onBound?: (bound: number) => void;
}

/** By columns, as the solver takes it. */
function modelOf(solver: Highs, { cost, lower, upper, whole, rowLower, rowUpper, rows }: Program) {
  const { continuous, integer } = solver.constants.variableType;
  const finite = (value: number) =>
    value === Number.POSITIVE_INFINITY ? solver.infinity : value === Number.NEGATIVE_INFINITY ? -solver.infinity : value;
  const starts = [0];
  for (const { columns } of rows) starts.push(starts.at(-1)! + columns.length);
  return {
    numCols: cost.length,
    numRows: rows.length,
    colCost: cost,
    colLower: lower.map(finite),
    colUpper: upper.map(finite),
    rowLower: rowLower.map(finite),
    rowUpper: rowUpper.map(finite),
    integrality: whole.map((one) => (one ? integer : continuous)),
    matrix: {
      format: "csr" as const,
      numRows: rows.length,
      numCols: cost.length,
      starts,
      indices: rows.flatMap(({ columns }) => columns),
      values: rows.flatMap(({ factors }) => factors),
    },
  };
}

/**
 * The plan that costs least, by HiGHS; blocks until it is proven or the time is up.
 * @returns the best plan found and the bound; null where nothing can fulfil the problem, or nothing was found in the time.
 */
export function solvePlan(solver: Highs, problem: OrderProblem, limits: SolveLimits): SolvedPlan | null {
  const began = limits.now?.() ?? 0;
  const made = programOf(problem);
  if (made.program.cost.length === 0) return emptyPlan(problem);
  let best: { plan: OrderPlan; cost: PlanCost } | null = null;
  const offer = (plan: OrderPlan): void => {
    const costed = costOfPlan(problem, plan);
    if (!costed.ok || (best && costed.cost.total >= best.cost.total - 1e-9)) return;
    best = { plan, cost: costed.cost };
    limits.onBetter?.(plan, costed.cost);
  };
  if (limits.start) offer(limits.start);
  let bound = Number.NEGATIVE_INFINITY;
  const raise = (to: number | undefined): void => {
    if (to === undefined || !Number.isFinite(to) || to <= bound) return;
    bound = to;
    limits.onBound?.(to);
  };
  const model = solver.createModel();
  let proven = false;
  try {
    model.passModel(modelOf(solver, made.program));
    const spent = limits.now ? (limits.now() - began) / 1000 : 0;
    model.options.set({
      output_flag: false,
      time_limit: Math.max(0.05, limits.seconds - spent),
      mip_rel_gap: limits.gap ?? 0,
      mip_abs_gap: 0.01,
    });
    if (limits.start) beginWith(model, made, limits.start);
    const { mipImprovingSolution, mipLogging } = solver.constants.callbackType;
    const { modelStatus } = model.run({
      [mipImprovingSolution]: ({ data }: { data: { mip_solution?: Float64Array } }) => {
        if (data.mip_solution) offer(made.planOf(data.mip_solution));
        return undefined;
      },
      [mipLogging]: ({ data }: { data: { mip_dual_bound?: number } }) => {
        raise(data.mip_dual_bound);
        return undefined;
      },
    });
    const status = solver.constants.modelStatus;
    if (modelStatus === status.infeasible) return null;
    if (modelStatus === status.optimal) {
      offer(made.planOf(model.getSolution().colValue));
      proven = true;
    }
    raise(Number(model.info.get("mip_dual_bound")));
  } finally {
    model.dispose();
  }
  // What was found in the callbacks.
  const found = best as { plan: OrderPlan; cost: PlanCost } | null;
  return found && { ...found, bound: Math.min(bound, found.cost.total), proven };
}

function beginWith(model: ReturnType<Highs["createModel"]>, { startOf }: OrderProgram, plan: OrderPlan): void {
  const { columns, values } = startOf(plan);
  model.setSolution({ indices: columns, values });
}

function emptyPlan(problem: OrderProblem): SolvedPlan | null {
  const plan = { lines: [], allocations: [] };
  const costed = costOfPlan(problem, plan);
  return costed.ok ? { plan, cost: costed.cost, bound: costed.cost.total, proven: true } : null;
}
