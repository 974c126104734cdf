import { describe, expect, it } from "vitest";
import { normal, passages } from "#tests/made-sounds";
import { mutating } from "#tests/mutating";
import { stream } from "#tests/random-stream";
import { fitPulses } from "./fit-run";
import { fitSpin } from "./fit-spin";
import { lossTerms } from "./losses";

const losses = { a: 5, b: 0.12, c: 0.0006 };
const ran = passages(losses, 100, 1, 20).slice(0, -1);
/** The pulses of a run, each so well timed. */
const timed = (random: () => number, jitterS = 0.0003) => ran.map((t) => t + jitterS * normal(random));
const rising = (times: readonly number[]) => [...times].sort((x, y) => x - y).filter((t, i, all) => i === 0 || t > all[i - 1]!);

describe("a pickup's pulses", () => {
  it("are all the run's where they come as they should, and say what they say one after the other", () => {
    const times = timed(stream(1));
    const read = fitPulses(times, 1);
    expect(read).toEqual({ fit: fitSpin(times, 1), times, places: times.map((_, i) => i), missed: 0, others: 0 });
  });

  it("are counted on where one was missed, anywhere on the way", () => {
    for (const at of [3, 20, 40, ran.length - 3]) {
      const times = timed(stream(at)).filter((_, i) => i !== at);
      const read = fitPulses(times, 1);
      expect([read.missed, read.others], `pulse ${at}`).toEqual([1, 0]);
      expect(read.places).toEqual(ran.map((_, i) => i).filter((i) => i !== at));
    }
  });

  it("are told from one that is none", () => {
    for (const at of [5, 25]) {
      const times = timed(stream(at));
      const read = fitPulses(rising([...times, times[at]! + 0.4 * (times[at + 1]! - times[at]!)]), 1);
      expect([read.missed, read.others], `after pulse ${at}`).toEqual([0, 1]);
      expect(read.times).toEqual(times);
    }
  });

  it("hold the truth in their intervals with some missed and some too many, as often as they say", () => {
    const trials = mutating ? 10 : 60;
    const held = { a: 0, b: 0, c: 0 };
    let read = 0;
    for (let trial = 0; trial < trials; trial++) {
      const random = stream(100 + trial);
      const times = timed(random).filter(() => random() > 0.03);
      for (let n = 0; n < 2; n++) times.push(ran[0]! + (ran.at(-1)! - ran[0]!) * random());
      const { fit } = fitPulses(rising(times), 1);
      if (fit.cannot) continue;
      read++;
      for (const term of lossTerms) if (fit.terms[term].low <= losses[term] && losses[term] <= fit.terms[term].high) held[term]++;
    }
    expect(read / trials).toBeGreaterThan(0.85);
    for (const term of lossTerms) expect(held[term] / read, term).toBeGreaterThan(0.85);
  });

  it("that follow no spool are said to", () => {
    const random = stream(9);
    const chance = rising(Array.from({ length: 60 }, () => 2 + 10 * random() ** 2));
    expect(fitPulses(chance, 1).fit.cannot).toMatch(/follow no spool that slows down|got faster|four to one/);
    const even = rising(Array.from({ length: 60 }, (_, i) => ran[i]! + 0.04 * (random() - 0.5)));
    expect(fitPulses(even, 1).fit.cannot).toMatch(/follow no spool/);
  });
});
