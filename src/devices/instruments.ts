import type { InstrumentId } from "@/core/proving/read-trace";
import type { TraceSample } from "@/core/proving/trace";
import { simulatedForce } from "./pull-scale";

/** What a stand-in pretends is on it; a real instrument ignores this. */
export interface PretendedReel {
  /** The even level the trace settles at, in the instrument's unit; for the spin, seconds from 10 turns a second to standstill. */
  readonly level: number;
  /** 0 is a sound reel; 1 jerks, grinds or hardly clicks. */
  readonly sickness: number;
}

/** Anything that measures over time. `stream` yields until the measuring is over or the signal aborts; what came before an abort stands. */
export interface Instrument {
  readonly id: InstrumentId;
  readonly simulated: boolean;
  stream(reel: PretendedReel, signal: AbortSignal): AsyncGenerator<TraceSample>;
}

const sampleMs = 40;
/** Two waves whose periods never meet stand for the turn of a part and the tremor of a hand; no random numbers, so a test can repeat it. */
const tremor = (i: number) => Math.sin(i / 3.1) + 0.4 * Math.sin(i * 1.7);

/** The pretended readings by instrument, sample by sample. */
const shapes: Readonly<Record<InstrumentId, { readonly samples: number; readonly at: (reel: PretendedReel, i: number) => number }>> = {
  "pull-scale": {
    samples: 75,
    at: ({ level, sickness }, i) =>
      simulatedForce({ levelN: level, startRatio: 1.08 + 0.62 * sickness, ripple: 0.02 + 0.06 * sickness }, i),
  },
  // A spool that loses a constant share of its start speed each second; six times faster than life, so that nobody waits for a stand-in.
  "pulse-pickup": { samples: 150, at: ({ level }, i) => Math.max(0, 12 - (10 / level) * 6 * ((i * sampleMs) / 1000)) },
  "effort-handle": { samples: 90, at: ({ level, sickness }, i) => level * Math.min(1, i / 8) * (1 + (0.04 + 0.3 * sickness) * tremor(i)) },
  // A second of the room, then bursts of click ten times a second.
  microphone: {
    samples: 90,
    at: ({ level, sickness }, i) => -58 + (i < 25 ? 0 : (level - 12 * sickness) * (0.85 + 0.15 * Math.sin(i))) + 0.6 * tremor(i),
  },
};

/** How much faster than life a stand-in runs; its times are stretched back. */
const hurry: Partial<Record<InstrumentId, number>> = { "pulse-pickup": 6 };

/** What the stand-in shows at one sample; for tests and for the stream alike. */
export const pretended = (id: InstrumentId, reel: PretendedReel, i: number): TraceSample => ({
  tMs: i * sampleMs * (hurry[id] ?? 1),
  value: Math.round(shapes[id].at(reel, i) * 100) / 100,
});

/** The stand-in of an instrument, as shipped with Zorbek. */
export const simulatedInstrument = (id: InstrumentId): Instrument => ({
  id,
  simulated: true,
  async *stream(reel, signal) {
    for (let i = 0; i < shapes[id].samples && !signal.aborted; i++) {
      yield pretended(id, reel, i);
      await new Promise((resolve) => setTimeout(resolve, sampleMs));
    }
  },
});
