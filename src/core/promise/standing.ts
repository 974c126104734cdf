import { minutesPerDay } from "@/core/day/day";
import type { BenchJob, BenchStep } from "./bench-simulation";
import type { Duration } from "./draws";
import type { Learned, PastJob } from "./past";

/** Minutes in baths, drying with them (common practice). */
const bath: BenchStep = { kind: "wait", minutes: { law: "fixed", mean: 45 } };
/** What is left of each doubling of like reels in a lot (Wright's law; common practice for hand work). */
const lotRate = 0.9;

const work = (minutes: Duration): BenchStep => ({ kind: "work", minutes });
const wait = (minutes: Duration): BenchStep => ({ kind: "wait", minutes });
const shareOf = (minutes: Duration, share: number): Duration =>
  minutes.law === "lognormal" ? { ...minutes, median: minutes.median * share } : minutes;

/** How far a job has come: what is done of it is not done again. */
export type Stage = "fresh" | "asked" | "answered" | "opened" | "parcel" | "built";

export interface Standing {
  readonly stage: Stage;
  /** Days until its parcel is said to come; null where nobody knows. */
  readonly parcelInDays?: number | null;
  readonly job: Pick<PastJob, "modelId" | "family" | "kind">;
}

/** What a job still has before it, from where it stands. */
function stepsAhead({ stage, parcelInDays, job }: Standing, learned: Learned): BenchStep[] {
  const opens = learned.opens(job.kind);
  const open = learned.minutes("open", job);
  const build = learned.minutes("build", job);
  const whole = [
    opens > 0.5 ? work(open) : work({ law: "sometimes", chance: opens, takes: open as Exclude<Duration, { law: "sometimes" }> }),
    ...(opens > 0.5 ? [bath] : []),
    wait({ law: "sometimes", chance: learned.parcel.chance(job.kind) * opens, takes: learned.parcel.takes }),
    work(build),
  ];
  switch (stage) {
    case "fresh":
      return [
        work(learned.minutes("look", job)),
        wait({ law: "sometimes", chance: learned.answer.chance(job.kind), takes: learned.answer.takes }),
        ...whole,
      ];
    case "asked":
      return [wait(learned.answer.takes), ...whole];
    case "answered":
      return whole;
    case "opened":
      return [work(build)];
    case "parcel":
      return [
        wait(
          parcelInDays === null || parcelInDays === undefined
            ? learned.parcel.takes
            : { law: "lognormal", median: Math.max(0.5, parcelInDays) * minutesPerDay, spread: 0.3 },
        ),
        work(build),
      ];
    case "built":
      return [work(shareOf(build, 0.5))];
  }
}

/** How far a job had come at an instant of the past; null where it was not here, or ready already. */
export function stageAt({ came, looked, answered, opened, parcel, built, ready }: PastJob, at: number): Stage | null {
  if (came > at || (ready !== null && ready <= at)) return null;
  const by = (instant: number | null) => instant !== null && instant <= at;
  if (by(built)) return "built";
  if (parcel && parcel.from <= at) return parcel.to > at ? "parcel" : "opened";
  if (by(opened)) return "opened";
  if (by(answered)) return "answered";
  if (!by(looked)) return "fresh";
  return answered !== null ? "asked" : "answered";
}

/** A job for the bench's simulation. @param rank the day it was promised for. */
export const benchJob = (key: number, standing: Standing, learned: Learned, rank: number, place: number): BenchJob => ({
  key,
  from: 0,
  rank,
  steps: stepsAhead(standing, learned),
  ...(place > 0 ? { lot: { place, rate: lotRate } } : {}),
});
