import "server-only";
import { loadSolver, type Solver } from "@/core/blind-spots/least-cover";

let loading: Promise<Solver> | null = null;

/** The solver of this server, loaded once. */
export function keptSolver(): Promise<Solver> {
  loading ??= loadSolver();
  return loading;
}
