import highsLoader from "highs";
import type { Check } from "./checks";

export interface Cover {
  readonly checks: readonly Check[];
  readonly minutes: number;
  /** The solver proved that no other set takes less. */
  readonly proven: boolean;
  /** Mistakes no check of all shows. */
  readonly never: readonly string[];
}

/** The solver, once it is loaded. */
export type Solver = Awaited<ReturnType<typeof highsLoader>>;
/** Loads the solver; whoever asks often keeps it. */
export const loadSolver = (): Promise<Solver> => highsLoader();

/**
 * The checks that take the least time together and show every mistake that can be shown: set cover, solved to the proven optimum by HiGHS.
 * @param checks from which to choose. @param mistakes ids. @param seconds the solver may take.
 */
export function leastCover(solver: Solver, checks: readonly Check[], mistakes: readonly string[], seconds = 3): Cover {
  const never = mistakes.filter((id) => !checks.some(({ catches }) => catches.has(id)));
  const rows = mistakes
    .filter((id) => !never.includes(id))
    .map((id) => checks.flatMap(({ catches }, i) => (catches.has(id) ? [`x${i}`] : [])));
  if (!rows.length) return { checks: [], minutes: 0, proven: true, never };
  // Each mistake once is enough: rows that say the same are one.
  const distinct = [...new Set(rows.map((row) => row.join(" + ")))];
  const program = [
    "Minimize",
    ` minutes: ${checks.map(({ minutes }, i) => `${minutes.toFixed(6)} x${i}`).join(" + ")}`,
    "Subject To",
    ...distinct.map((row, i) => ` c${i}: ${row} >= 1`),
    "Binary",
    ` ${checks.map((_, i) => `x${i}`).join(" ")}`,
    "End",
  ].join("\n");
  const solved = solver.solve(program, { time_limit: seconds, mip_rel_gap: 0 });
  const chosen = checks.filter((_, i) => ((solved.Columns[`x${i}`] as { Primal?: number } | undefined)?.Primal ?? 0) > 0.5);
  return { checks: chosen, minutes: chosen.reduce((sum, { minutes }) => sum + minutes, 0), proven: solved.Status === "Optimal", never };
}
