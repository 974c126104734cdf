import { type SpinLosses, spinDown } from "@/core/spin/losses";

type Random = () => number;
export const normal = (random: Random) => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

/** A recording's background: hiss and the hum of the mains with an overtone. */
export function background(seconds: number, rate: number, hiss: number, hum: number, random: Random): Float64Array {
  return Float64Array.from(
    { length: Math.round(seconds * rate) },
    (_, i) => hiss * normal(random) + hum * (Math.sin((2 * Math.PI * 50 * i) / rate) + 0.4 * Math.sin((2 * Math.PI * 150 * i) / rate)),
  );
}

/** Adds the rumble of a room: what is low is loud, each sample much like the one before (autoregressive, 0.98). */
export function addRumble(sound: Float64Array, loud: number, random: Random): void {
  let last = 0;
  for (let i = 0; i < sound.length; i++) {
    last = 0.98 * last + loud * 0.2 * normal(random);
    sound[i] = sound[i]! + last;
  }
}

/** The same sound in a room whose walls give it back. @param echoes how late, s, and how loud each is. */
export function inRoom(sound: Float64Array, rate: number, echoes: readonly (readonly [lateS: number, share: number])[]): Float64Array {
  return sound.map((x, i) => echoes.reduce((sum, [late, share]) => sum + share * (sound[i - Math.round(late * rate)] ?? 0), x));
}

/** Adds a click that rings at a pitch and dies within milliseconds. */
export function addClick(sound: Float64Array, rate: number, at: number, loud: number, hz = 3000, diesS = 0.0015): void {
  const from = Math.round(at * rate);
  for (let i = 0; i < rate * 0.012 && from + i < sound.length; i++)
    if (from + i >= 0) sound[from + i] = sound[from + i]! + loud * Math.exp(-i / rate / diesS) * Math.cos((2 * Math.PI * hz * i) / rate);
}

/** Times at which a spool passes its marks, s. */
export function passages(losses: SpinLosses, startRadPerS: number, perTurn: number, seconds: number): number[] {
  const points = spinDown(startRadPerS, losses, seconds, 4000);
  const step = (2 * Math.PI) / perTurn;
  const times: number[] = [];
  for (let i = 1, next = 0; i < points.length; i++)
    while (points[i]!.angle >= next) {
      const [p, q] = [points[i - 1]!, points[i]!];
      times.push(p.t + ((next - p.angle) / (q.angle - p.angle || 1)) * (q.t - p.t));
      next += step;
    }
  return times;
}
