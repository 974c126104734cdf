import type { Recording } from "@/core/listen/recording";
import type { SpinLosses } from "@/core/spin/losses";
import { addClick, addRumble, background, inRoom, normal } from "./made-sounds";
import { stream } from "./random-stream";

/** Recordings made by their own walk of the law, so that nothing of what hears them is in what they are made of. */

interface Run {
  readonly losses: SpinLosses;
  readonly marks: number;
  /** Times of the marks, s from the first turn of the hand, and the speed there as a share of the fastest. */
  readonly pulses: readonly { readonly t: number; readonly share: number }[];
  readonly endS: number;
}

const stepS = 1e-4;

/** A spool run down step by step, a hand that spins it up before where it is heard too. */
function runOf(random: () => number, { slow = false, spunUp = false, ratchet = false } = {}): Run {
  const marks = ratchet ? 6 + Math.floor(19 * random()) : [1, 1, 2, 3][Math.floor(4 * random())]!;
  const start = 2 * Math.PI * (6 + 20 * random()) * (slow ? 0.5 : ratchet ? 0.2 : 1);
  const seconds = (4 + 10 * random()) * (slow ? 0.7 : 1);
  const shares = [random(), random(), random()];
  const all = shares.reduce((sum, x) => sum + x, 0);
  const [a, b, c] = shares.map((x) => x / all) as [number, number, number];
  const losses = { a: (start / seconds) * a + 0.5, b: (2 * b) / seconds, c: (3 * c) / seconds / start };
  // Marks set by hand stand up to three hundredths of their distance off; a ratchet's teeth were cut.
  const off = Array.from({ length: marks }, () => (marks > 1 ? (ratchet ? 0.01 : 0.06) * (random() - 0.5) : 0));
  const angleOf = (k: number) => 2 * Math.PI * (Math.floor(k / marks) + ((k % marks) + off[k % marks]!) / marks);
  const faster = spunUp ? start / (0.15 + 0.3 * random()) : 0;
  const pulses: { t: number; share: number }[] = [];
  let [w, angle, t, k, driven] = [spunUp ? 2 : start, 0.3, 0, 0, spunUp];
  while (angleOf(k) <= angle) k++;
  while (w > 0 && t < 40) {
    const next = Math.max(0, w + stepS * (driven ? faster : -(losses.a + losses.b * w + losses.c * w * w)));
    const moved = angle + (stepS * (w + next)) / 2;
    for (; angleOf(k) <= moved; k++) pulses.push({ t: t + (stepS * (angleOf(k) - angle)) / (moved - angle), share: w / start });
    [w, angle, t] = [next, moved, t + stepS];
    driven &&= w < start;
  }
  return { losses, marks, pulses, endS: t };
}

interface Take {
  readonly rate: number;
  readonly run: Run;
  /** When the run begins in the recording, s. */
  readonly leadS: number;
  readonly sound: Float64Array;
  readonly random: () => number;
}
/** Adds something to a stretch of the recording. @param of amplitude, s from its beginning. */
function add({ sound, rate }: Take, fromS: number, lastsS: number, of: (s: number) => number): void {
  const from = Math.max(0, Math.round(fromS * rate));
  for (let i = from; i < Math.min(sound.length, from + lastsS * rate); i++) sound[i] = sound[i]! + of((i - from) / rate);
}
/** A voice: syllables of a tone with overtones and three formants, some with a hiss after them. */
function talk(take: Take, fromS: number, loud: number): void {
  const { random } = take;
  for (let t = fromS; t < take.run.endS + take.leadS; ) {
    const [lasts, pitch, formants] = [0.1 + 0.2 * random(), 110 + 60 * random(), [500 + 300 * random(), 1400 + 600 * random(), 2500]];
    const overtones = Array.from({ length: Math.floor((0.45 * take.rate) / pitch) }, (_, h) => {
      const hz = (h + 1) * pitch;
      return { hz, loud: formants.reduce((sum, formant, n) => sum + 1 / (n + 1) / (1 + ((hz - formant) / 120) ** 2), 0) };
    });
    add(
      take,
      t,
      lasts,
      (s) =>
        0.25 * loud * Math.sin((Math.PI * s) / lasts) * overtones.reduce((sum, o) => sum + o.loud * Math.sin(2 * Math.PI * o.hz * s), 0),
    );
    if (random() < 0.4) add(take, t + lasts, 0.06, () => 0.5 * loud * normal(random));
    t += lasts + 0.05 + 0.15 * random() + (random() < 0.15 ? 0.7 : 0);
  }
}

interface Kind {
  readonly rate?: number;
  readonly slow?: boolean;
  readonly spunUp?: boolean;
  /** Its click's ratchet, of 6 to 24 teeth, turned slowly. */
  readonly ratchet?: boolean;
  /** How much louder or softer a click is than by its speed, decibels to either side. */
  readonly scatterDb?: number;
  /** Nothing of a spool is heard. */
  readonly without?: boolean;
  readonly changed?: (take: Take) => Float64Array | undefined;
}
const room = [0.013, 0.019, 0.027, 0.041, 0.058, 0.083].map((late, k) => [late, 0.35 * 0.75 ** k] as const);
/** What is in the way of hearing a free run; each with hiss, the rumble of a room and the hum of the mains. */
export const spinKinds: Readonly<Record<string, Kind>> = {
  "nothing else": {},
  "44,100 samples a second": { rate: 44_100 },
  "fewer turns": { slow: true },
  "the hand that spins it up": { spunUp: true },
  "its click's ratchet, 6 to 24 a turn": { ratchet: true },
  "four times too loud for the recorder": { changed: ({ sound }) => sound.map((x) => 4 * x) },
  "the hum of a motor, as loud as its clicks": {
    changed: (take) => {
      add(take, 0, take.run.endS + 2, (s) =>
        [1, 2, 3, 5].reduce((sum, h) => sum + (0.1 / h) * Math.sin(2 * Math.PI * 49.3 * h * s + h), 0),
      );
    },
  },
  "hiss, a sixth of its clicks": {
    changed: (take) => {
      add(take, 0, take.run.endS + 2, () => 0.02 * normal(take.random));
    },
  },
  "clicks of unlike loudness, 8 dB to either side": { scatterDb: 8 },
  "a rush of air, as loud as it is fast": {
    changed: ({ sound, rate, run, leadS, random }) => {
      let n = 0;
      for (let i = 0; i < sound.length; i++) {
        while (n + 1 < run.pulses.length && run.pulses[n + 1]!.t < i / rate - leadS) n++;
        sound[i] = sound[i]! + 0.03 * run.pulses[n]!.share * normal(random);
      }
    },
  },
  "walls that give each click back six times": { changed: ({ sound, rate }) => inRoom(sound, rate, room) },
  "each click twice, 12 ms apart": { changed: ({ sound, rate }) => inRoom(sound, rate, [[0.012, 0.5]]) },
  "a microphone that sets its own level": {
    changed: ({ sound, rate }) => {
      let level = 0;
      return sound.map((x) => {
        level = Math.max(Math.abs(x), level * Math.exp(-1 / (0.3 * rate)));
        return x * Math.min(6, 0.15 / Math.max(0.015, level));
      });
    },
  },
  "a microphone that hears nothing high": {
    changed: ({ sound }) => {
      let last = 0;
      return sound.map((x) => {
        last += 0.25 * (x - last);
        return last;
      });
    },
  },
  "knocks at its beginning": {
    changed: (take) => {
      for (let n = 0; n < 6; n++) add(take, 0.02 + 0.3 * take.random(), 0.03, (s) => 0.2 * Math.exp(-s / 0.008) * normal(take.random));
    },
  },
  "knocks on its way": {
    changed: (take) => {
      for (let n = 0; n < 8; n++)
        add(take, take.leadS + take.run.endS * take.random(), 0.02, (s) => 0.3 * Math.exp(-s / 0.004) * normal(take.random));
    },
  },
  music: {
    changed: (take) => {
      for (let t = 0; t < take.run.endS; t += 0.25) {
        const hz = 220 * 2 ** (Math.floor(24 * take.random()) / 12);
        add(take, t, 0.5, (s) =>
          [1, 2, 3, 4].reduce(
            (sum, h) => sum + (0.03 / h) * Math.min(1, 100 * s) * Math.exp(-4 * s) * Math.sin(2 * Math.PI * hz * h * s),
            0,
          ),
        );
      }
    },
  },
  talk: {
    changed: (take) => {
      talk(take, 0.4 * take.random(), 0.03);
    },
  },
  "talk as loud as its clicks": {
    changed: (take) => {
      talk(take, 0.4 * take.random(), 0.1);
    },
  },
  "talk alone, and no spool": {
    without: true,
    changed: (take) => {
      talk(take, 0, 0.1);
    },
  },
  "clicks by chance, and no spool": {
    without: true,
    changed: (take) => {
      const perSecond = 5 + 60 * take.random();
      for (let t = 0; t < take.run.endS; t += -Math.log(1 - take.random()) / perSecond)
        addClick(take.sound, take.rate, take.leadS + t, 0.1 + 0.1 * take.random());
    },
  },
};

/** A recording of a free run with what is in the way of hearing it, and its truth; null where no spool is in it. */
export function recordSpin(kind: Kind, seed: number): { recording: Recording; losses: SpinLosses | null; marks: number } {
  const random = stream(seed);
  const run = runOf(random, kind);
  const rate = kind.rate ?? 16_000;
  const leadS = kind.spunUp ? 0.8 : 0.15;
  const loud = 0.5 + random();
  const sound = background(run.endS + leadS + 0.5, rate, 0.0008 * loud, 0.003, random);
  addRumble(sound, 0.002 * loud, random);
  const [hz, diesS] = [1500 + 3000 * random(), 0.0008 + 0.0015 * random()];
  if (!kind.without)
    for (const { t, share } of run.pulses) {
      const db = (kind.scatterDb ?? 1) * (2 * random() - 1);
      addClick(sound, rate, t + leadS + 0.0001 * normal(random), (0.05 + 0.15 * Math.sqrt(share)) * 10 ** (db / 20), hz, diesS);
    }
  const taken = kind.changed?.({ rate, run, leadS, sound, random }) ?? sound;
  // As a recorder of 16 bits keeps it.
  const kept = taken.map((x) => Math.max(-1, Math.min(1, Math.round(x * 32_768) / 32_768)));
  return { recording: { sound: kept, rate }, losses: kind.without ? null : run.losses, marks: run.marks };
}

/** What a gear may do, and where it is heard. @property ticks nothing, a tooth of the gear once a turn, or one of the pinion. */
interface GearKind {
  readonly ticks: "none" | "gear" | "pinion";
  readonly loud?: number;
  readonly mesh?: number;
  /** How much harder the hand presses once a turn. */
  readonly press?: number;
  readonly roomy?: boolean;
  /** Turns counted too many. */
  readonly miscounted?: number;
  /** Half a second to two of a still room before the first turn and after the last. */
  readonly idle?: boolean;
}
const [softly, loudly] = [0.03, 0.04];
export const gearKinds: Readonly<Record<string, GearKind>> = {
  "a tooth of the gear": { ticks: "gear" },
  "the same, one turn too many counted": { ticks: "gear", miscounted: 1 },
  "the same, a still room before and after": { ticks: "gear", idle: true },
  "the same, softly": { ticks: "gear", loud: softly },
  "the same, in a room with walls": { ticks: "gear", roomy: true },
  "the same, in a loud mesh": { ticks: "gear", mesh: loudly },
  "a tooth of the pinion": { ticks: "pinion" },
  "the same of the pinion, a still room before and after": { ticks: "pinion", idle: true },
  "the same of the pinion, softly": { ticks: "pinion", loud: softly },
  "the same of the pinion, in a room with walls": { ticks: "pinion", roomy: true },
  "the same of the pinion, in a loud mesh": { ticks: "pinion", mesh: loudly },
  "nothing wrong": { ticks: "none" },
  "nothing wrong, a still room before and after": { ticks: "none", idle: true },
  "nothing wrong, in a room with walls": { ticks: "none", roomy: true },
  "nothing wrong, a loud mesh": { ticks: "none", mesh: loudly },
  "nothing wrong, a hand that presses much harder once a turn": { ticks: "none", press: 0.6 },
};

/** A gear turned by a hand that wavers with every turn and gets slower or quicker over them, every tooth heard a little. */
export function recordGear(kind: GearKind, seed: number) {
  const random = stream(seed);
  const rate = [8000, 16_000, 22_050][seed % 3]!;
  const turns = 8 + Math.floor(10 * random());
  const period = 0.7 + 0.8 * random();
  const pinionTeeth = 8 + Math.floor(7 * random());
  const gearTeeth = Math.round(pinionTeeth * (3.5 + 3 * random()));
  const ratio = gearTeeth / pinionTeeth;
  const [waver, drift, phase] = [0.02 + 0.03 * random(), 0.04 * random(), 2 * Math.PI * random()];
  const since = (turn: number) =>
    period * (turn + (waver / (2 * Math.PI)) * Math.sin(2 * Math.PI * turn + phase) + (drift * turn * (turn - turns)) / turns);
  const [beforeS, afterS] = kind.idle ? [0.5 + 1.5 * random(), 0.5 + 1.5 * random()] : [0, 0];
  const at = (turn: number) => beforeS + since(turn) - since(0);
  const loud = 0.5 + random();
  const sound = background(at(turns) + afterS, rate, 0.001 * loud, 0.003, random);
  addRumble(sound, 0.002 * loud, random);
  const mesh = (kind.mesh ?? 0.008) * (0.6 + 0.8 * random());
  const press = kind.press ?? 0.25 * random();
  const [meshHz, tickHz] = [800 + 1500 * random(), 1500 + 1800 * random()];
  for (let n = 0; n < turns * gearTeeth; n++) {
    const turn = n / gearTeeth;
    const size = mesh * (0.7 + 0.6 * random()) * (1 + press * Math.cos(2 * Math.PI * turn));
    addClick(sound, rate, at(turn) + 0.0005 * normal(random), size, meshHz, 0.002);
  }
  const perTurn = { none: 0, gear: 1, pinion: ratio }[kind.ticks];
  const first = random();
  for (let n = 0; perTurn && n + first < turns * perTurn; n++)
    addClick(sound, rate, at((n + first) / perTurn), (kind.loud ?? 0.15) * (0.6 + 0.6 * random()), tickHz, 0.0025);
  return {
    recording: { sound: kind.roomy ? inRoom(sound, rate, room.slice(0, 4)) : sound, rate },
    turns: turns + (kind.miscounted ?? 0),
    ratio,
    gearTeeth: seed % 2 ? gearTeeth : null,
  };
}
