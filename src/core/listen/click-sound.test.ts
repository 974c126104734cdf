import { describe, expect, it } from "vitest";
import { clickFromSound, compareClicks, type HeardClick } from "./click-sound";

const rate = 8000;
/** Tones on bins of the windows listened to (7.8125 Hz apart), each so loud for so many seconds, one stretch after the other. */
function tones(...stretches: readonly (readonly [seconds: number, amplitudes: Readonly<Record<number, number>>])[]): Float64Array {
  const sound = new Float64Array(Math.round(stretches.reduce((sum, [seconds]) => sum + seconds, 0) * rate));
  let at = 0;
  for (const [seconds, amplitudes] of stretches)
    for (const until = at + Math.round(seconds * rate); at < until; at++)
      for (const [hz, amplitude] of Object.entries(amplitudes))
        sound[at] = sound[at]! + amplitude * Math.sin((2 * Math.PI * Number(hz) * at) / rate);
  return sound;
}
const heard = (sound: Float64Array): HeardClick => {
  const click = clickFromSound({ sound, rate });
  if (!click.ok) throw new Error(click.message);
  return click.value;
};
/** Level of a tone: its mean square is half its amplitude squared. */
const levelDb = (amplitude: number) => 20 * Math.log10(amplitude / Math.SQRT2);

describe("a click's level and its room's", () => {
  // A quiet room at 250 and 1000 Hz; then a click at 1000 Hz, ten times the room's.
  const room = { 250: 0.01, 1000: 0.02 };
  const click = heard(tones([1, room], [2, { 250: 0.01, 1000: 0.2 }]));

  it("are told band by band, and in all", () => {
    const band = (hz: number) => click.bands.find((one) => one.hz === hz)!;
    expect(band(1000).roomDb).toBeCloseTo(levelDb(0.02), 0);
    // 0.2 with a room of 0.02 taken out as power.
    expect(band(1000).clickDb).toBeCloseTo(10 * Math.log10((0.2 ** 2 - 0.02 ** 2) / 2), 0);
    expect(band(250).roomDb).toBeCloseTo(levelDb(0.01), 0);
    expect(click.roomDb).toBeCloseTo(10 * Math.log10((0.01 ** 2 + 0.02 ** 2) / 2), 0);
    expect(click.clickDb).toBeCloseTo(10 * Math.log10((0.2 ** 2 - 0.02 ** 2) / 2), 0);
    expect(click.overRoomDb).toBeCloseTo(click.clickDb - click.roomDb, 12);
  });

  it("are nothing in a band where the click is not louder than the room by a decibel", () => {
    expect(click.bands.find(({ hz }) => hz === 250)!.clickDb).toBeNull();
    // 20·log10(1.1) is 0.83 dB, 20·log10(1.2) is 1.58 dB.
    const barely = (times: number) =>
      heard(tones([1, room], [2, { 250: 0.01 * times, 1000: 0.2 }])).bands.find(({ hz }) => hz === 250)!.clickDb;
    expect(barely(1.1)).toBeNull();
    expect(barely(1.2)).not.toBeNull();
  });

  it("are told in octaves the recording reaches as a whole: at 8000 samples a second up to 2000 Hz", () => {
    expect(click.bands.map(({ hz }) => hz)).toEqual([250, 500, 1000, 2000]);
    const higher = clickFromSound({ sound: tones([1, room], [2, { 1000: 0.2 }]), rate: 12_000 });
    expect(higher.ok && higher.value.bands.map(({ hz }) => hz)).toEqual([250, 500, 1000, 2000, 4000]);
  });

  it("scatter as the click swells and fades, and hardly where it does not", () => {
    // Half of it at half the amplitude: 6.02 dB apart, so 3.01 dB about their middle.
    const swelling = heard(
      tones(
        [1, { 1000: 0.001 }],
        ...[0.8, 0.4, 0.8, 0.4, 0.8, 0.4].map((amplitude) => [0.7, { 1000: amplitude }] as [number, Record<number, number>]),
      ),
    );
    expect(swelling.scatterDb).toBeGreaterThan(2.6);
    expect(swelling.scatterDb).toBeLessThan(4);
    const steady = heard(tones([3, { 1000: 0.001 }], [6, { 1000: 0.2 }]));
    expect(steady.scatterDb).toBeLessThan(2.2);
  });

  it("need three decibels between quiet and loud, and a second and a half", () => {
    // 20·log10(1.38) is 2.8 dB, 20·log10(1.45) is 3.2 dB.
    expect(clickFromSound({ sound: tones([1, { 1000: 0.1 }], [2, { 1000: 0.138 }]), rate })).toMatchObject({
      ok: false,
      code: "nothing-heard",
      message: expect.stringMatching(/a second of silence first/),
    });
    expect(clickFromSound({ sound: tones([1, { 1000: 0.1 }], [2, { 1000: 0.145 }]), rate }).ok).toBe(true);
    expect(clickFromSound({ sound: tones([0.4, room], [1, { 1000: 0.2 }]), rate })).toMatchObject({ ok: false, code: "too-short" });
    expect(clickFromSound({ sound: tones([0.5, room], [1, { 1000: 0.2 }]), rate }).ok).toBe(true);
  });

  it("are what was heard: a stretch the device lost is not a room of perfect silence", () => {
    // A busy device gives nothing for 0.1 s now and then: half the first second, and twice in the click.
    const lossy = tones([1, room], [2, { 250: 0.01, 1000: 0.2 }]);
    for (const at of [0, 0.2, 0.4, 0.6, 0.8, 1.5, 2.3]) lossy.fill(0, at * rate, (at + 0.1) * rate);
    const kept = heard(lossy);
    // A tenth of a second more or less of the room, put end to end: within a decibel, and the instrument has two.
    expect(Math.abs(kept.roomDb - click.roomDb)).toBeLessThan(1);
    expect(Math.abs(kept.overRoomDb - click.overRoomDb)).toBeLessThan(1);
    // A recorder that takes away what it holds for noise leaves no room at all.
    const gated = tones([1, {}], [2, { 1000: 0.2 }]);
    expect(clickFromSound({ sound: gated, rate })).toMatchObject({
      ok: false,
      code: "no-room",
      message: expect.stringMatching(/no room to compare/),
    });
    expect(clickFromSound({ sound: gated.subarray(0, 1.6 * rate), rate })).toMatchObject({ ok: false, code: "no-room" });
  });

  it("are of 177 to 11 300 Hz: a hum below is no part of either", () => {
    const hum = heard(tones([1, { ...room, 62.5: 0.3 }], [2, { 250: 0.01, 1000: 0.2, 62.5: 0.3 }]));
    expect(hum.roomDb).toBeCloseTo(click.roomDb, 1);
    expect(hum.clickDb).toBeCloseTo(click.clickDb, 1);
  });
});

describe("a click before and after", () => {
  const click = (clickDb: number, bands: Readonly<Record<number, number | null>>): HeardClick => ({
    clickDb,
    roomDb: -70,
    overRoomDb: clickDb + 70,
    scatterDb: 1,
    bands: Object.entries(bands).map(([hz, db]) => ({ hz: Number(hz), clickDb: db, roomDb: -70 })),
  });

  it("is compared as a whole and in the bands where both are heard, after less before", () => {
    const changes = compareClicks(
      click(-40, { 250: null, 500: -50, 1000: -45, 2000: -60 }),
      click(-34, { 500: -47, 1000: null, 2000: -62, 4000: -55, 250: -50 }),
    );
    expect(changes.map(({ hz, db }) => [hz, db])).toEqual([
      ["all", 6],
      [500, 3],
      [2000, -2],
    ]);
    // A hand places the microphone to 1 dB each time: 1.96·√2 dB either way.
    for (const { db, low, high } of changes) {
      expect(high - db).toBeCloseTo(2.772, 3);
      expect(db - low).toBeCloseTo(2.772, 3);
    }
  });
});
