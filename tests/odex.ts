import { createRequire } from "node:module";

/** An independent integrator (odex, Bulirsch–Stoer). The package ships its sources as types, which our stricter settings do not read. */
export const { Solver } = createRequire(import.meta.url)("odex") as {
  Solver: new (
    dimensions: number,
  ) => {
    solve: (f: (t: number, y: number[]) => number[], from: number, start: number[], to: number) => { y: number[] };
  };
};
