import { type Bench, type BenchJob, chanceBy, dayFor, type Foretold, foretell } from "./bench-simulation";
import { withoutSpells } from "./calendar";

/** A choice that is looked at before it is made. */
export type Change =
  /** A job more, taken up before everything else. */
  | { readonly kind: "rush"; readonly job: BenchJob }
  /** A person (by place; null for everybody) is not there from one day to another, counted from today. */
  | { readonly kind: "off"; readonly person: number | null; readonly from: number; readonly to: number }
  /** Jobs are promised for another day, and taken up accordingly. */
  | { readonly kind: "moved"; readonly keys: readonly number[]; readonly to: number };

/** A job with the day it is promised for, counted from today. */
export interface PromisedJob {
  readonly key: number;
  readonly promised: number;
}

export interface Effect {
  readonly key: number;
  /** Chance that its promised day holds, of 1: as it stands, and with the change. */
  readonly before: number;
  readonly after: number;
  /** The day that holds with the wanted chance, counted from today; infinite where none does. */
  readonly dayBefore: number;
  readonly dayAfter: number;
}

/** The bench with a change made. */
export function changed(bench: Bench, change: Change): Bench {
  if (change.kind === "rush") return { ...bench, jobs: [...bench.jobs, { ...change.job, rank: -1e6 }] };
  if (change.kind === "off")
    return {
      ...bench,
      people: bench.people.map((days, person) =>
        change.person === null || change.person === person ? withoutSpells(days, [change]) : days,
      ),
    };
  return { ...bench, jobs: bench.jobs.map((job) => (change.keys.includes(job.key) ? { ...job, rank: change.to } : job)) };
}

/**
 * What a change does to each promised job. Both ways of working meet the same luck, run by run, so that what differs is the change's.
 * @param alone what is foretold without it, where that is known already by the same seed and runs. @param chance for which days are told.
 */
export function effectsOf(
  bench: Bench,
  promised: readonly PromisedJob[],
  change: Change,
  { seed, runs, chance, alone = foretell(bench, seed, runs) }: { seed: number; runs: number; chance: number; alone?: readonly Foretold[] },
): { readonly effects: readonly Effect[]; readonly rush: Foretold | null } {
  const beside = foretell(changed(bench, change), seed, runs);
  const at = new Map(bench.jobs.map(({ key }, i) => [key, i]));
  return {
    effects: promised.flatMap(({ key, promised: day }): Effect[] => {
      const i = at.get(key);
      if (i === undefined) return [];
      const moved = change.kind === "moved" && change.keys.includes(key) ? change.to : day;
      return [
        {
          key,
          before: chanceBy(alone[i]!, day),
          after: chanceBy(beside[i]!, moved),
          dayBefore: dayFor(alone[i]!, chance),
          dayAfter: dayFor(beside[i]!, chance),
        },
      ];
    }),
    rush: change.kind === "rush" ? beside.at(-1)! : null,
  };
}

/** A chance has to fall by so much before a job is said to slip: less may be the draw of the runs. */
const slipsBy = 0.05;

/** Jobs whose day holds less often by five in a hundred or more, the hardest hit first. */
export const slipsAmong = (effects: readonly Effect[]): Effect[] =>
  effects.filter(({ before, after }) => before - after >= slipsBy - 1e-9).sort((a, b) => b.before - b.after - (a.before - a.after));
