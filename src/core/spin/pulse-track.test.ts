import { describe, expect, it } from "vitest";
import { trackPulses } from "./pulse-track";

/** A spool that loses its speed evenly: its pulses stand where the angle is whole, θ = 40t − 2t². */
const even = Array.from({ length: 150 }, (_, n) => (40 - Math.sqrt(1600 - 8 * n)) / 4);
const gap = (n: number) => even[n + 1]! - even[n]!;
const struck = (times: readonly number[], loud = 1) => times.map((t) => ({ t, loud }));
/** The best track through clicks as loud as each other. */
const tracked = (times: readonly number[], marks = 1) => trackPulses(struck(times), marks)[0]!;

describe("a spool's pulses among other sounds", () => {
  it("are all of them where nothing else is heard", () => {
    expect(tracked(even)).toEqual({ times: even, places: even.map((_, i) => i), missed: 0, others: 0, after: 0 });
  });

  it("are told from sounds between them, also from one that comes near", () => {
    const [near, early, between] = [even[60]! + 0.15 * gap(60), even[80]! - 0.15 * gap(80), even[100]! + 0.5 * gap(100)];
    const track = tracked([...even, near, early, between].sort((a, b) => a - b));
    expect(track.times).toEqual(even);
    expect(track).toMatchObject({ missed: 0, others: 3 });
  });

  it("are followed from where the run begins, whatever was heard before and after", () => {
    const before = [-1.9, -1.2, -0.9];
    const after = [even.at(-1)! + 20, even.at(-1)! + 21];
    const track = tracked([...before, ...even, ...after]);
    expect(track).toEqual({ times: even, places: even.map((_, i) => i), missed: 0, others: 0, after: 2 });
  });

  it("are counted on over three that were not heard, and given up after four", () => {
    const without = (from: number, count: number) => even.filter((_, i) => i < from || i >= from + count);
    const three = tracked(without(70, 3));
    expect(three).toMatchObject({ times: without(70, 3), missed: 3, others: 0 });
    expect(three.places.at(-1)).toBe(149);
    const five = tracked(without(70, 5));
    expect(five.times).toEqual(even.slice(0, 70));
    expect(five).toMatchObject({ missed: 0, others: 0, after: 75 });
  });

  it("of marks set by hand, a tenth of their distance off, are followed by the turns before", () => {
    // Three marks on the same spool, a third of its pulses each, early or late by a tenth; one in twelve not heard.
    const off = [0, 0.1, -0.1];
    const at = (n: number) => (40 - Math.sqrt(1600 - 8 * n)) / 4;
    const marked = Array.from({ length: 150 }, (_, n) => at(n + off[n % 3]!));
    expect(tracked(marked, 3)).toMatchObject({ times: marked, missed: 0, others: 0 });
    const heard = marked.filter((_, n) => n < 6 || n % 12 !== 7);
    const track = tracked(heard, 3);
    expect(track.times).toEqual(heard);
    for (const [i, t] of track.times.entries()) expect(marked.indexOf(t)).toBe(track.places[i]);
  });

  it("come within a fifth of their interval of when they are due, and are none further off", () => {
    const last = (share: number) => tracked([...even.slice(0, -1), even.at(-1)! + share * gap(148)]);
    for (const share of [-0.2, 0.2]) expect(last(share).times).toHaveLength(150);
    for (const share of [-0.25, 0.25]) expect(last(share).times).toHaveLength(149);
  });

  it("are none among fewer than two sounds", () => {
    expect(trackPulses([])).toEqual([]);
    expect(trackPulses(struck([1]))).toEqual([]);
  });

  it("are not disturbed by what is softer than six tenths of them, nor by an echo a little softer within a tenth of a second", () => {
    const between = even.slice(0, 60).map((t, i) => t + 0.4 * gap(i));
    const others = (loud: number) => trackPulses([...struck(even), ...struck(between, loud)].sort((a, b) => a.t - b.t))[0]!;
    for (const loud of [0.3, 0.59, 0.89]) expect(others(loud), String(loud)).toMatchObject({ times: even, missed: 0, others: 0 });
    expect(others(0.91)).toMatchObject({ times: even, missed: 0, others: 60 });
    // With half a second between them, what comes a third of the way on is nobody's echo.
    const slow = even.slice(0, 30).map((t) => 20 * t);
    const late = struck(
      slow.slice(0, -1).map((t, i) => t + 0.3 * (slow[i + 1]! - t)),
      0.89,
    );
    expect(trackPulses([...struck(slow), ...late].sort((a, b) => a.t - b.t))[0]).toMatchObject({ times: slow, others: 29 });
    const softer = late.map(({ t }) => ({ t, loud: 0.59 }));
    expect(trackPulses([...struck(slow), ...softer].sort((a, b) => a.t - b.t))[0]).toMatchObject({ times: slow, others: 0 });
  });

  it("are the louder of two that come about as near", () => {
    const [early, late] = [even[60]! - 0.05 * gap(60), even[60]! + 0.04 * gap(60)];
    const pair = [
      { t: early, loud: 1 },
      { t: late, loud: 0.3 },
    ];
    const clicks = [...struck(even.filter((_, i) => i !== 60)), ...pair].sort((a, b) => a.t - b.t);
    expect(trackPulses(clicks)[0]!.times[60]).toBe(early);
  });

  it("are told where a wall gives each back six times before the next", () => {
    const slow = even.map((t) => 5 * t);
    const echoes = [0.013, 0.019, 0.027, 0.041, 0.058, 0.083].flatMap((late, k) =>
      struck(
        slow.map((t) => t + late),
        0.35 * 0.75 ** k,
      ),
    );
    const tracks = trackPulses([...struck(slow), ...echoes].sort((a, b) => a.t - b.t));
    expect(tracks.at(-1)).toMatchObject({ times: slow, missed: 0, others: 0 });
  });

  it("are followed from where they come fastest, after a hand that spun it up for many clicks", () => {
    // Twenty clicks faster and faster, then the run.
    const up = Array.from({ length: 20 }, (_, n) => -gap(0) * (0.5 + n + n ** 1.8 / 8)).reverse();
    const track = tracked([...up, ...even]);
    expect(track.times.slice(-148)).toEqual(even.slice(-148));
    expect(track.times.length).toBeLessThanOrEqual(153);
  });

  it("are followed to the last, where the slowing itself grows", () => {
    // Air alone at first, then rubbing: as a recording of a free run ends.
    const times = [0.308, 0.485, 0.675, 0.881, 1.105, 1.352, 1.626, 1.936, 2.296, 2.728, 3.288, 4.19];
    expect(tracked(times).times).toEqual(times);
  });
});
