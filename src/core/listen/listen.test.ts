import { execFileSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, describe, expect, it } from "vitest";
import wavefile from "wavefile";
import { addClick, addRumble, background, normal, passages } from "#tests/made-sounds";
import { mutating } from "#tests/mutating";
import { stream } from "#tests/random-stream";
import { decibels, rootMeanSquare } from "@/core/proving/sound";
import { trackPulses } from "@/core/spin/pulse-track";
import { clickFromSound, compareClicks } from "./click-sound";
import { gearFromSound } from "./gear-sound";
import { bandPower, spectrumOf } from "./spectrum";
import { spinFromSound } from "./spin-sound";

const rate = 22_050;
const folder = mkdtempSync(join(tmpdir(), "zorbek-listen-"));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

describe("a free run by its sound", () => {
  const losses = { a: 5, b: 0.12, c: 0.0006 };
  const times = passages(losses, 110, 1, 13);
  const made = (seed: number, { hiss = 0.004, hum = 0.01, loud = 0.3, missed = 0.05, others = 4 } = {}) => {
    const random = stream(seed);
    const sound = background(13.5, rate, hiss, hum, random);
    for (const t of times) if (random() >= missed) addClick(sound, rate, t + 0.1 + 0.0003 * normal(random), loud * (0.6 + 0.8 * random()));
    for (let i = 0; i < others; i++) addClick(sound, rate, 0.3 + 12 * random(), loud * 0.7, 1200);
    return { sound, rate };
  };

  it("gives its losses through hiss, hum, missed clicks and others, their intervals as honest as from a pickup", () => {
    const held = { a: 0, b: 0, c: 0 };
    const runs = mutating ? 3 : 20;
    for (let seed = 1; seed <= runs; seed++) {
      const heard = spinFromSound(made(seed), 1);
      if (!heard.ok) throw new Error(heard.message);
      const { terms, timingS } = heard.value.fit;
      for (const term of ["a", "b", "c"] as const) if (terms[term].low <= losses[term] && losses[term] <= terms[term].high) held[term]++;
      expect(timingS).toBeLessThan(0.0008);
      expect(heard.value.heardShare).toBeGreaterThan(0.85);
    }
    for (const count of Object.values(held)) expect(count).toBeGreaterThanOrEqual(mutating ? 2 : 17);
  });

  it("counts on over clicks that were not heard", () => {
    const [track] = trackPulses(times.filter((_, i) => i % 7 !== 3).map((t) => ({ t, loud: 1 })));
    if (!track) throw new Error("no track");
    // The last one before it stands may be left out; each other has its own place.
    expect(track.places.at(-1)! + 1).toBeGreaterThanOrEqual(times.length - 1);
    for (const [i, t] of track.times.entries()) expect(times.indexOf(t)).toBe(track.places[i]);
  });

  it("is refused where the recording cannot carry it, with what to do", () => {
    const noise = { sound: background(5, rate, 0.1, 0, stream(3)), rate };
    expect(spinFromSound(noise, 1)).toMatchObject({ ok: false });
    expect(spinFromSound(made(4, { missed: 0.5 }), 1)).toMatchObject({ ok: false });
    expect(spinFromSound({ sound: made(5).sound.map((x) => Math.max(-1, Math.min(1, x * 30))), rate }, 1)).toMatchObject({
      ok: false,
      code: "clipped",
      message: expect.stringMatching(/further off/),
    });
    expect(spinFromSound({ sound: new Float64Array(rate * 4), rate }, 1)).toMatchObject({ ok: false, code: "silent" });
    expect(spinFromSound({ sound: made(6).sound.subarray(0, rate), rate }, 1)).toMatchObject({ ok: false, code: "too-short" });
    // Clicks that follow no spool.
    const random = stream(8);
    const chance = background(10, rate, 0.003, 0, random);
    for (let i = 0; i < 60; i++) addClick(chance, rate, 10 * random(), 0.3);
    expect(spinFromSound({ sound: chance, rate }, 1)).toMatchObject({ ok: false });
  });
});

describe("a click by its sound", () => {
  /** A second of the room, then two seconds of click, twelve a second. */
  const made = (seed: number, loud: number, hz = 3000, hiss = 0.003) => {
    const random = stream(seed);
    const sound = background(3, rate, hiss, 0.004, random);
    for (let t = 1; t < 3; t += 1 / 12) addClick(sound, rate, t + 0.004 * random(), loud, hz, 0.004);
    return { sound, rate };
  };

  it("is as many decibels louder as it was made, at one distance, band by band", () => {
    const [before, after] = [clickFromSound(made(1, 0.1)), clickFromSound(made(2, 0.2))];
    if (!before.ok || !after.ok) throw new Error("not heard");
    const [all, ...bands] = compareClicks(before.value, after.value);
    // Twice the amplitude: 6.02 dB.
    expect(all!.db).toBeCloseTo(6.02, 0);
    expect(bands.find(({ hz }) => hz === 4000)!.db).toBeCloseTo(6.02, 0);
    expect(all!.low).toBeLessThan(6.02);
    expect(all!.high).toBeGreaterThan(6.02);
  });

  it("stands in the band it rings in, and hum is not taken for it", () => {
    const heard = clickFromSound(made(3, 0.2, 1000));
    if (!heard.ok) throw new Error(heard.message);
    const loudest = [...heard.value.bands].sort((a, b) => (b.clickDb ?? -99) - (a.clickDb ?? -99))[0]!;
    expect(loudest.hz).toBe(1000);
  });

  it("is heard where line is drawn slowly, four clicks a second", () => {
    const slow = (seed: number, loud: number) => {
      const random = stream(seed);
      const sound = background(3.2, rate, 0.002, 0.004, random);
      addRumble(sound, 0.001, random);
      for (let t = 1; t < 3.1; t += 0.25) addClick(sound, rate, t + 0.02 * random(), loud, 2500, 0.003);
      return clickFromSound({ sound, rate });
    };
    const [before, after] = [slow(11, 0.15), slow(12, 0.075)];
    if (!before.ok || !after.ok) throw new Error("not heard");
    expect(compareClicks(before.value, after.value)[0]!.db).toBeCloseTo(-6.02, 0);
  });

  it("is refused where nothing stands out of the room", () => {
    for (const seed of [21, 22, 23, 24]) {
      const random = stream(seed);
      const sound = background(3, rate, 0.002, 0.004, random);
      addRumble(sound, 0.006, random);
      expect(clickFromSound({ sound, rate }), `rumble ${seed}`).toMatchObject({ ok: false, code: "nothing-heard" });
    }
    expect(clickFromSound(made(4, 0.001))).toMatchObject({ ok: false, code: "nothing-heard" });
  });
});

describe("a gear by its sound", () => {
  const [ratio, teeth] = [3.25, 39];
  /** Twelve turns of the handle in as many seconds, by a hand that wavers, with a tick at every so manieth part of a turn. */
  const made = (seed: number, perTurn: number, loud = 0.15, waver = 0.03) => {
    const random = stream(seed);
    const seconds = 12;
    const sound = background(seconds, rate, 0.006, 0.008, random);
    // The mesh hisses a little at every tooth as well.
    for (const [count, size] of [
      [perTurn, loud],
      [teeth, 0.012],
    ] as const)
      for (let n = 0; n < seconds * count; n++) {
        const turn = n / count;
        addClick(
          sound,
          rate,
          turn + (waver * Math.sin(0.9 * turn)) / (2 * Math.PI) + 0.002 * random(),
          size * (0.7 + 0.6 * random()),
          1800,
        );
      }
    return { sound, rate };
  };

  it.each([
    [1, /one tooth of the gear/],
    [ratio, /one tooth of the pinion/],
  ])("%f ticks a turn of the handle are told", (perTurn, says) => {
    for (let seed = 1; seed <= (mutating ? 2 : 6); seed++) {
      const heard = gearFromSound(made(seed, perTurn), 12, ratio, teeth);
      if (!heard.ok) throw new Error(heard.message);
      expect(heard.value.lines[0]!.says, `seed ${seed}`).toMatch(says);
    }
  });

  it("is refused without ticks, with too few turns, or at no speed of a hand", () => {
    const random = stream(5);
    const even = { sound: background(12, rate, 0.02, 0.01, random), rate };
    expect(gearFromSound(even, 12, ratio, teeth)).toMatchObject({ ok: false, code: "even" });
    expect(gearFromSound(even, 2, ratio, teeth)).toMatchObject({ ok: false, code: "few-turns" });
    expect(gearFromSound(even, 200, ratio, teeth)).toMatchObject({ ok: false, code: "speed" });
  });
});

describe("level and spectrum as an independent program reads them (sox)", () => {
  const file = join(folder, "tone.wav");
  const tone = Float64Array.from(
    { length: rate * 2 },
    (_, i) => 0.25 * Math.sin((2 * Math.PI * 1234 * i) / rate) + 0.05 * Math.sin((2 * Math.PI * 400 * i) / rate),
  );
  const wave = new wavefile.WaveFile();
  wave.fromScratch(1, rate, "16", tone.map((x) => Math.round(x * 32_767)) as unknown as number[]);
  writeFileSync(file, wave.toBuffer());
  const said = (args: string[]) => execFileSync("sh", ["-c", `sox ${args.join(" ")} 2>&1`], { encoding: "utf8" });

  it("agree on the root mean square", () => {
    const rms = Number(/RMS\s+amplitude:\s+([\d.]+)/.exec(said([file, "-n", "stat"]))![1]);
    expect(rootMeanSquare(tone)).toBeCloseTo(rms, 4);
    const { power } = spectrumOf(tone, rate, 4096);
    expect(decibels(Math.sqrt(power.reduce((sum, x) => sum + x, 0)))).toBeCloseTo(20 * Math.log10(rms), 1);
  });

  it("agree on which band is how much quieter", () => {
    // What sox leaves of it through a steep low-pass, against the power of the lower band.
    const low = Number(/RMS\s+amplitude:\s+([\d.]+)/.exec(said([file, "-n", "sinc", "-700", "stat"]))![1]);
    expect(Math.sqrt(bandPower(spectrumOf(tone, rate, 4096), 20, 700))).toBeCloseTo(low, 3);
  });
});
