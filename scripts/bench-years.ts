import { stream } from "#tests/random-stream";
import { foretell, runBench } from "@/core/promise/bench-simulation";
import { dueFromLives } from "@/core/survival/component-lives";
import { kaplanMeier } from "@/core/survival/kaplan-meier";

/** Benches of promises and of what the years know. */
export function benchYears(
  print: (name: string, ms: number, floorMs: number, words: string) => void,
  medianMs: (run: () => unknown, times: number) => number,
): void {
  // When forty open jobs may be done, two thousand runs, against one run two thousand times over.
  {
    const steps = [
      { kind: "work", minutes: { law: "lognormal", median: 70, spread: 0.5 } },
      { kind: "wait", minutes: { law: "lognormal", median: 3 * 1440, spread: 0.4 } },
      { kind: "work", minutes: { law: "lognormal", median: 50, spread: 0.4 } },
    ] as const;
    const people = [{ from: 540, minutes: [360, 360, 360, 360, 360, 0, 0] }];
    const jobs = Array.from({ length: 40 }, (_, i) => ({ key: i + 1, from: 0, rank: i, steps }));
    const bench = { people, jobs, toCome: { perDay: Array<number>(60).fill(1.5), steps, promisedAfterDays: 8 } };
    const once = medianMs(() => runBench(bench, 1, 0), 9);
    print(
      "promise",
      medianMs(() => foretell(bench, 1, 2000), 1),
      once * 2000,
      "40 open jobs, 2,000 runs, against one run × 2,000",
    );
  }

  // When a component is due by four thousand lives, against one pass over them in order.
  {
    const random = stream(5);
    const lives = Array.from({ length: 4000 }, (_, jobId) => ({
      time: 10 + 100 * random(),
      ended: random() < 0.4,
      modelId: `m${jobId % 40}`,
      family: `f${jobId % 8}`,
      water: ["salt", "fresh"][jobId % 2]!,
      reelId: jobId,
      jobId,
    }));
    print(
      "survival",
      medianMs(() => dueFromLives(lives, { modelId: "m8", family: "f0", water: "salt" }, 30), 3),
      medianMs(() => kaplanMeier(lives), 9),
      "due by 4,000 lives of 40 models against one pass of Kaplan and Meier",
    );
  }
}
