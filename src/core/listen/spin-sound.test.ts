import { describe, expect, it } from "vitest";
import { addClick, background, normal, passages } from "#tests/made-sounds";
import { mutating } from "#tests/mutating";
import { stream } from "#tests/random-stream";
import { lossTerms } from "@/core/spin/losses";
import { spinFromSound, trackPulses } from "./spin-sound";

/** A spool that loses its speed evenly: its pulses stand where the angle is whole, θ = 40t − 2t². */
const even = Array.from({ length: 150 }, (_, n) => (40 - Math.sqrt(1600 - 8 * n)) / 4);
const gap = (n: number) => even[n + 1]! - even[n]!;

describe("a spool's pulses among other sounds", () => {
  it("are all of them where nothing else is heard", () => {
    expect(trackPulses(even)).toEqual({ times: even, places: even.map((_, i) => i), missed: 0, others: 0, after: 0 });
  });

  it("are told from sounds between them, also from one that comes near", () => {
    const [near, early, between] = [even[60]! + 0.15 * gap(60), even[80]! - 0.15 * gap(80), even[100]! + 0.5 * gap(100)];
    const track = trackPulses([...even, near, early, between].sort((a, b) => a - b))!;
    expect(track.times).toEqual(even);
    expect(track).toMatchObject({ missed: 0, others: 3 });
  });

  it("are followed from where the run begins, whatever was heard before and after", () => {
    const before = [-1.9, -1.2, -0.9];
    const after = [even.at(-1)! + 20, even.at(-1)! + 21];
    const track = trackPulses([...before, ...even, ...after])!;
    expect(track).toEqual({ times: even, places: even.map((_, i) => i), missed: 0, others: 0, after: 2 });
  });

  it("are counted on over three that were not heard, and given up after four", () => {
    const without = (from: number, count: number) => even.filter((_, i) => i < from || i >= from + count);
    const three = trackPulses(without(70, 3))!;
    expect(three).toMatchObject({ times: without(70, 3), missed: 3, others: 0 });
    expect(three.places.at(-1)).toBe(149);
    const five = trackPulses(without(70, 5))!;
    expect(five.times).toEqual(even.slice(0, 70));
    expect(five).toMatchObject({ missed: 0, others: 0, after: 75 });
  });

  it("of marks set by hand, a tenth of their distance off, are followed by the turns before", () => {
    // Three marks on the same spool, a third of its pulses each, early or late by a tenth; one in twelve not heard.
    const off = [0, 0.1, -0.1];
    const at = (n: number) => (40 - Math.sqrt(1600 - 8 * n)) / 4;
    const marked = Array.from({ length: 150 }, (_, n) => at(n + off[n % 3]!));
    expect(trackPulses(marked, 3)).toMatchObject({ times: marked, missed: 0, others: 0 });
    const heard = marked.filter((_, n) => n < 6 || n % 12 !== 7);
    const track = trackPulses(heard, 3)!;
    expect(track.times).toEqual(heard);
    for (const [i, t] of track.times.entries()) expect(marked.indexOf(t)).toBe(track.places[i]);
  });

  it("come within a fifth of their interval of when they are due, and are none further off", () => {
    const last = (share: number) => trackPulses([...even.slice(0, -1), even.at(-1)! + share * gap(148)])!;
    for (const share of [-0.2, 0.2]) expect(last(share).times).toHaveLength(150);
    for (const share of [-0.25, 0.25]) expect(last(share).times).toHaveLength(149);
  });

  it("are none among fewer than two sounds", () => {
    expect(trackPulses([])).toBeNull();
    expect(trackPulses([1])).toBeNull();
  });
});

describe("a free run's recording", () => {
  const rate = 8000;
  const times = passages({ a: 5, b: 0.12, c: 0.0006 }, 60, 1, 8);
  const made = (heard: (i: number) => boolean, others: readonly number[] = []) => {
    const sound = background(8.5, rate, 0.002, 0.005, stream(11));
    for (const [i, t] of times.entries()) if (heard(i)) addClick(sound, rate, t + 0.1, 0.3);
    for (const t of others) addClick(sound, rate, t, 0.3);
    return { sound, rate };
  };

  it("says the share of its clicks that was heard", () => {
    const all = spinFromSound(
      made(() => true),
      1,
    );
    if (!all.ok) throw new Error(all.message);
    expect(all.value.heardShare).toBe(1);
    // The spool passes its mark 28 times; of the 28 four are not heard.
    const some = spinFromSound(
      made((i) => i % 6 !== 4),
      1,
    );
    if (!some.ok) throw new Error(some.message);
    expect(times).toHaveLength(28);
    expect(some.value.pulses.missed).toBe(4);
    expect(some.value.heardShare).toBeCloseTo(24 / 28, 12);
  });

  it("is refused where too few clicks stand out, and says how many", () => {
    expect(
      spinFromSound(
        made((i) => i < 11),
        1,
      ),
    ).toMatchObject({
      ok: false,
      code: "few-clicks",
      message: expect.stringMatching(/^Only 11 clicks .* tape/),
    });
    expect(
      spinFromSound(
        made((i) => i < 12),
        1,
      ).ok,
    ).toBe(true);
  });

  it("is refused where more than a quarter of its clicks was missed, and says what share was heard", () => {
    expect(
      spinFromSound(
        made((i) => i % 3 !== 2),
        1,
      ),
    ).toMatchObject({
      ok: false,
      code: "unsure",
      message: expect.stringMatching(/^Of the run's clicks 6\d in 100 were heard/),
    });
  });

  const losses = { a: 5, b: 0.12, c: 0.0006 };
  /** How many of twenty recordings hold the truth in all three intervals, and how many were refused. */
  const held = (record: (random: () => number) => { sound: Float64Array; marks: number }) => {
    const count = { held: 0, refused: 0 };
    for (let seed = 1; seed <= (mutating ? 3 : 20); seed++) {
      const { sound, marks } = record(stream(seed));
      const heard = spinFromSound({ sound, rate }, marks);
      if (!heard.ok) count.refused++;
      else if (
        lossTerms.every((term) => heard.value.fit.terms[term].low <= losses[term] && losses[term] <= heard.value.fit.terms[term].high)
      )
        count.held++;
    }
    return count;
  };
  const least = mutating ? 2 : 17;

  it("is read off thumps that ring low and long, each of them one", () => {
    const ran = passages(losses, 110, 1, 13);
    const low = held((random) => {
      const sound = background(13.5, rate, 0.004, 0.01, random);
      for (const t of ran) addClick(sound, rate, t + 0.1 + 0.0003 * normal(random), 0.3 * (0.6 + 0.8 * random()), 300, 0.004);
      return { sound, marks: 1 };
    });
    expect(low.held).toBeGreaterThanOrEqual(least);
  });

  it("is read off two marks that are not opposite each other", () => {
    const ran = passages(losses, 110, 20, 13);
    const uneven = held((random) => {
      const sound = background(13.5, rate, 0.004, 0.01, random);
      for (const [i, t] of ran.entries())
        if (i % 20 === 0 || i % 20 === 11) addClick(sound, rate, t + 0.1 + 0.0003 * normal(random), 0.3 * (0.6 + 0.8 * random()));
      return { sound, marks: 2 };
    });
    expect(uneven.held).toBeGreaterThanOrEqual(least);
  });

  it("is read or refused where an eighth of its clicks is missed and others stand in their places, and never read wrong", () => {
    const ran = passages(losses, 110, 1, 13);
    const { held: right, refused } = held((random) => {
      const sound = background(13.5, rate, 0.004, 0.01, random);
      for (const t of ran) if (random() > 0.12) addClick(sound, rate, t + 0.1 + 0.0003 * normal(random), 0.3 * (0.6 + 0.8 * random()));
      for (let i = 0; i < 8; i++) addClick(sound, rate, 0.3 + 12 * random(), 0.25, 1200);
      return { sound, marks: 1 };
    });
    expect(right + refused).toBeGreaterThanOrEqual(least);
    expect(refused).toBeLessThanOrEqual(5);
  });

  it("is refused where the spool is lost on its way and many clicks come after", () => {
    // Five in a row are not heard where the run is half over.
    expect(
      spinFromSound(
        made((i) => i < 14 || i > 19),
        1,
      ),
    ).toMatchObject({ ok: false, code: "unsure" });
  });

  it("is refused where the clicks follow no spool", () => {
    const random = stream(8);
    const chance = Array.from({ length: 20 }, () => 8 * random());
    const heard = spinFromSound(
      made(() => false, chance),
      1,
    );
    expect(heard).toMatchObject({ ok: false, code: "no-run", message: expect.stringMatching(/one free run alone/) });
  });

  it("may hold half as many other sounds between its clicks, and is refused with one more", () => {
    const between = times.slice(0, -1).map((t, i) => t + 0.1 + 0.4 * (times[i + 1]! - t));
    const some = (count: number) =>
      spinFromSound(
        made(
          () => true,
          between.filter((_, i) => i % 2 === 0 || i < 2 * (count - 14)),
        ),
        1,
      );
    const fourteen = some(14);
    expect(fourteen.ok && fourteen.value.pulses).toMatchObject({ missed: 0, others: 14 });
    expect(some(15)).toMatchObject({
      ok: false,
      code: "unsure",
      message: expect.stringMatching(/100 in 100 were heard, and 15 other sounds/),
    });
  });
});
