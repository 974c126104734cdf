import { describe, expect, it } from "vitest";
import { addClick, background } from "#tests/made-sounds";
import { stream } from "#tests/random-stream";
import { spinFromSound } from "@/core/listen/spin-sound";
import { fitPulses, noRunDown, runAmong } from "./fit-run";

/** Times of what is no run down, s. */
const beats: Readonly<Record<string, (i: number) => number>> = {
  "a steady beat": (i) => 0.2 + i * 0.4,
  "a beat by a hand, a hundredth off": (i) => i * 0.4 + 0.004 * Math.sin(i * 2.3),
  "a tune that swings": (i) => Math.floor(i / 2) * 0.6 + (i % 2) * 0.38,
  "a tune that slows a little at its end": (i) => i * 0.4 * (1 + Math.max(0, i - 40) * 0.0015),
  "a spool that speeds up": (i) => 8 * Math.log(1 + i * 0.05),
};

describe("what is no run down", () => {
  it.each(Object.entries(beats))("is refused from a pickup: %s", (_, at) => {
    const times = Array.from({ length: 60 }, (__, i) => at(i));
    expect(noRunDown(fitPulses(times, 1).fit)).not.toBeNull();
    expect(
      runAmong(
        times.map((t) => ({ t, loud: 1 })),
        1,
      ),
    ).toBeNull();
  });

  it.each(Object.entries(beats))("is refused as a recording: %s", (_, at) => {
    const random = stream(7);
    const rate = 8000;
    const sound = background(26, rate, 0.004, 0.004, random);
    for (let i = 0; i < 60 && at(i) < 25; i++) addClick(sound, rate, at(i) + 0.1, 0.3);
    expect(spinFromSound({ sound, rate }, 1)).toMatchObject({ ok: false });
  });
});
