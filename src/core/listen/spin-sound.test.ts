import { describe, expect, it } from "vitest";
import { addClick, addRumble, background, inRoom, normal, passages } from "#tests/made-sounds";
import { mutating } from "#tests/mutating";
import { stream } from "#tests/random-stream";
import { lossTerms } from "@/core/spin/losses";
import { spinFromSound } from "./spin-sound";

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
      message: expect.stringMatching(/^Of the run's clicks 6\d % were heard/),
    });
  });

  const losses = { a: 5, b: 0.12, c: 0.0006 };
  /** How many of a dozen recordings hold the truth in all three intervals, and how many were refused. */
  const held = (record: (random: () => number) => { sound: Float64Array; marks: number }, recordings = 12) => {
    const count = { held: 0, refused: 0 };
    for (let seed = 1; seed <= (mutating ? 3 : recordings); seed++) {
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
  const least = mutating ? 2 : 10;

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
    expect(refused).toBeLessThanOrEqual(3);
  });

  it("is read off through the rumble of a room, and where each click is given back or comes twice", () => {
    const ran = passages(losses, 110, 1, 13);
    const recorded = (random: () => number, loudFor: (i: number) => number) => {
      const sound = background(13.5, rate, 0.001, 0.003, random);
      addRumble(sound, 0.003, random);
      for (const [i, t] of ran.entries()) addClick(sound, rate, t + 0.1 + 0.0003 * normal(random), loudFor(i) * (0.8 + 0.4 * random()));
      return sound;
    };
    // Slower clicks are softer.
    const softer = (i: number) => 0.3 - (0.2 * i) / ran.length;
    // Forty of each, and of more kinds: npm run heard.
    const few = mutating ? 2 : 5;
    const rumbling = held((random) => ({ sound: recorded(random, softer), marks: 1 }), 6);
    expect(rumbling.held).toBeGreaterThanOrEqual(few);
    const room = [0.013, 0.027, 0.058].map((late, k) => [late, 0.3 * 0.7 ** k] as const);
    const roomy = held((random) => ({ sound: inRoom(recorded(random, softer), rate, room), marks: 1 }), 6);
    expect(roomy.held).toBeGreaterThanOrEqual(few);
    const twice = held((random) => ({ sound: inRoom(recorded(random, softer), rate, [[0.012, 0.5]]), marks: 1 }), 6);
    expect(twice.held).toBeGreaterThanOrEqual(few);
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

  it("may hold half as many other sounds as pulses where some were missed, and is refused with one more", () => {
    // Four of the 28 are not heard; twelve are half of what was.
    const heard = (i: number) => i % 6 !== 4;
    const between = times.slice(0, -1).map((t, i) => t + 0.1 + 0.4 * (times[i + 1]! - t));
    const some = (count: number) => spinFromSound(made(heard, between.filter((_, i) => i % 2 === 0).slice(0, count)), 1);
    const twelve = some(12);
    expect(twelve.ok && twelve.value.pulses).toMatchObject({ missed: 4, others: 12 });
    expect(some(13)).toMatchObject({
      ok: false,
      code: "unsure",
      message: expect.stringMatching(/86 % were heard, and 13 other sounds/),
    });
  });

  it("is heard in a crowd of others where all its own come, each far closer to when it is due than chance would have it", () => {
    const crowd = (random: () => number) => Array.from({ length: 26 }, () => 0.1 + 8 * random());
    for (const seed of [1, 2, 3]) {
      const others = crowd(stream(40 + seed));
      const heard = spinFromSound(
        made(() => true, others),
        1,
      );
      if (!heard.ok) throw new Error(`${seed}: ${heard.message}`);
      expect(heard.value.pulses.others).toBeGreaterThan(times.length / 2);
      for (const term of lossTerms) {
        const { low, high } = heard.value.fit.terms[term];
        expect(low - 0.1 * (high - low)).toBeLessThan(losses[term]);
        expect(high + 0.1 * (high - low)).toBeGreaterThan(losses[term]);
      }
      // Alone they are no run.
      expect(
        spinFromSound(
          made(() => false, others),
          1,
        ).ok,
      ).toBe(false);
    }
  });
});
