import { describe, expect, it } from "vitest";
import { dueByIntervals, dueByTurns, paceAt, type Track, trackPulses } from "./pulse-track";

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

  it("of marks set by hand, up to an eighth of their distance off, are followed by the turns before", () => {
    // Three marks on the same spool, a third of its pulses each; one in twelve not heard.
    for (const off of [
      [0, 0.1, -0.1],
      [0, 0.12, -0.12],
    ]) {
      const at = (n: number) => (40 - Math.sqrt(1600 - 8 * n)) / 4;
      const marked = Array.from({ length: 150 }, (_, n) => at(n + off[n % 3]!));
      expect(tracked(marked, 3)).toMatchObject({ times: marked, missed: 0, others: 0 });
      const heard = marked.filter((_, n) => n < 6 || n % 12 !== 7);
      const track = tracked(heard, 3);
      expect(track.times).toEqual(heard);
      for (const [i, t] of track.times.entries()) expect(marked.indexOf(t)).toBe(track.places[i]);
    }
    // As marks set evenly they would be lost.
    const uneven = Array.from({ length: 150 }, (_, n) => (40 - Math.sqrt(1600 - 8 * (n + [0, 0.12, -0.12][n % 3]!))) / 4);
    expect(tracked(uneven, 1).times.length).toBeLessThan(100);
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

  it("are heard as loud as they are by then, not as they were at first", () => {
    const fading = even.map((t, i) => ({ t, loud: 1 - (0.9 * i) / even.length }));
    const between = (i: number, share: number) => ({ t: even[i]! + 0.4 * gap(i), loud: share * fading[i]!.loud });
    const others = (at: number, share: number) => trackPulses([...fading, between(at, share)].sort((a, b) => a.t - b.t))[0]!.others;
    for (const at of [20, 80, 140]) expect([others(at, 0.5), others(at, 0.98)], `pulse ${at}`).toEqual([0, 1]);
  });

  it("are the nearest of those as loud as the run, however loud another is", () => {
    const [loud, near] = [
      { t: even[60]! + 0.1 * gap(60), loud: 5 },
      { t: even[60]! - 0.02 * gap(60), loud: 1 },
    ];
    const clicks = [...struck(even.filter((_, i) => i !== 60)), loud, near].sort((a, b) => a.t - b.t);
    expect(trackPulses(clicks)[0]!.times).toContain(near.t);
  });

  it("are told once where both ways to begin come to the same, and twice where they do not", () => {
    const whisper = { t: even[30]! + 0.3 * gap(30), loud: 0.1 };
    expect(trackPulses([...struck(even), whisper].sort((a, b) => a.t - b.t))).toHaveLength(1);
    // Echoes half-way through a run too quick for them are followed as pulses of their own by the one, and not by the other.
    const echoed = even.slice(0, -1).flatMap((t, i) => [
      { t, loud: 1 },
      { t: t + 0.5 * gap(i), loud: 0.7 },
    ]);
    const tracks = trackPulses(echoed);
    expect(tracks).toHaveLength(2);
    expect(tracks[0]!.times).toHaveLength(298);
    expect(tracks[1]!.times.every((t) => even.includes(t))).toBe(true);
  });
});

describe("when a pulse is due", () => {
  const at = (n: number) => (40 - Math.sqrt(1600 - 8 * n)) / 4;
  /** The track up to a place, without some. */
  const track = (upTo: number, without: readonly number[] = []): Track => {
    const places = Array.from({ length: upTo + 1 }, (_, n) => n).filter((n) => !without.includes(n));
    return { times: places.map(at), at: places, timeAt: new Map(places.map((place) => [place, at(place)])) };
  };

  it("is by a speed whose square falls evenly along the angle, as of a constant rubbing: v² = 1600 − 8θ", () => {
    for (const [upTo, without] of [
      [40, []],
      [100, [97, 98]],
      [3, []],
    ] as const)
      for (const ahead of [1, 2, 3]) {
        const due = at(upTo + ahead);
        expect(Math.abs(dueByIntervals(track(upTo, without), upTo + ahead) - due) / (due - at(upTo)), `${upTo} + ${ahead}`).toBeLessThan(
          0.002,
        );
      }
    // It stands at θ = 200; the last pulse it reaches can be foretold, none beyond.
    expect(Number.isFinite(dueByIntervals(track(198), 199))).toBe(true);
    expect(dueByIntervals(track(198), 202)).toBe(Number.POSITIVE_INFINITY);
  });

  it("is by what its own mark took for the turn before, a little more", () => {
    for (const upTo of [40, 120]) {
      const due = at(upTo + 1);
      expect(Math.abs(dueByTurns(track(upTo), upTo + 1, 3)! - due) / (due - at(upTo))).toBeLessThan(0.005);
    }
    // Without its mark's last passing, or with too few turns, nobody knows.
    expect(dueByTurns(track(40, [38]), 41, 3)).toBeNull();
    expect(dueByTurns(track(3), 4, 3)).toBeNull();
    expect(dueByTurns(track(4), 5, 3)).not.toBeNull();
    expect(dueByTurns(track(199), 206, 8)).toBe(Number.POSITIVE_INFINITY);
  });

  it("never takes a spool to get faster, and one pace alone to stay", () => {
    const pace = (middle: number, square: number) => ({ middle, square });
    expect(paceAt([pace(1, 100), pace(3, 80)])(5)).toBe(60);
    expect(paceAt([pace(1, 80), pace(3, 100)])(5)).toBe(90);
    expect(paceAt([pace(1, 80)])(5)).toBe(80);
  });
});
