import { stream } from "../random-stream";

/** Chance as a hand has it: a number, one of several, a few of them, yes by a share. */
export interface Chance {
  readonly number: () => number;
  readonly one: <T>(of: readonly T[]) => T;
  readonly some: <T>(of: readonly T[], most: number) => T[];
  readonly yes: (share: number) => boolean;
}

export function chanceOf(seed: number): Chance {
  const number = stream(seed);
  const one = <T>(of: readonly T[]): T => of[Math.floor(number() * of.length)]!;
  return {
    number,
    one,
    some: (of, most) => (of.length ? [...new Set(Array.from({ length: 1 + Math.floor(number() * most) }, () => one(of)))] : []),
    yes: (share) => number() < share,
  };
}
