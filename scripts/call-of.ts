import type { z } from "zod";

export interface Call {
  readonly input: z.ZodType;
  readonly run: (input: never) => unknown;
  /** How long it may think by its own input, ms, where that is longer than usual. */
  readonly limitMs?: (input: never) => number;
  /** What has to be loaded before the first answer. */
  readonly prepare?: () => Promise<unknown>;
}

/** A core function that takes JSON, with the schema of what it takes. */
export const call = <S extends z.ZodType>(input: S, run: (value: z.output<S>) => unknown): Call => ({ input, run: run as Call["run"] });
