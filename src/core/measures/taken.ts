import { z } from "zod";
import type { FamilyId } from "@/core/vocabulary/families";
import { sidePlayOfTurns, stackHeightCheck, wearOf } from "./measures";

/** What a luggage scale, a caliper and a ruler can tell of a reel at any step. */
export const measureKinds = {
  "side-play": { name: "Side play", unit: "mm" },
  wear: { name: "Wear", unit: "mm" },
  "stack-height": { name: "Stack height", unit: "mm" },
  "pinion-height": { name: "Pinion above rotor", unit: "mm" },
  "lever-force": { name: "Force at the lever", unit: "N" },
  length: { name: "A length", unit: "mm" },
} as const;
export type MeasureKind = keyof typeof measureKinds;
export const measureKindIds = Object.keys(measureKinds) as MeasureKind[];

const hasRotor: ReadonlySet<FamilyId> = new Set(["spinning", "spinning-fluid-sealed", "spinning-sealed-bail-less", "spincast"]);
/** What makes sense on a reel: no rotor, no pinion above it. @param washers it has a stack of drag washers. */
export const kindsFor = (family: FamilyId, washers: boolean): MeasureKind[] =>
  measureKindIds.filter(
    (kind) =>
      (kind !== "pinion-height" || hasRotor.has(family)) &&
      (kind !== "lever-force" || family === "lever-drag") &&
      (kind !== "stack-height" || washers),
  );

/** How far one reading with it may be off, mm (95 %; rule of thumb). A picture says its own. */
export const lengthTools = { caliper: 0.05, ruler: 0.5 } as const;

const mm = z.number("Type millimetres as a number.").positive("Above 0 mm.").max(1000, "At most 1000 mm.");
const offMm = z.number().min(0).max(100);
const length = z.object({ mm, offMm });
export const measureInput = z.discriminatedUnion("kind", [
  z.object({
    kind: z.literal("side-play"),
    turns: z.number("Turns as a number, such as 0.25.").min(0, "From 0 turns up.").max(20, "At most 20 turns."),
    pitchMm: z.number("Millimetres a turn, as a number.").positive("Above 0 mm.").max(5, "At most 5 mm a turn."),
  }),
  z.object({ kind: z.literal("wear"), worn: length, fresh: length }),
  z.object({ kind: z.literal("stack-height"), size: length }),
  z.object({ kind: z.literal("pinion-height"), size: length }),
  z.object({
    kind: z.literal("lever-force"),
    newtons: z.number("Type a pull: 30, 3 kg, 7 lb.").positive("Above 0.").max(2000, "That is more than any lever takes."),
  }),
  z.object({ kind: z.literal("length"), size: length }),
]);
export type MeasureInput = z.infer<typeof measureInput>;

export interface Taken {
  readonly value: number;
  /** 95 % interval. */
  readonly low: number;
  readonly high: number;
  readonly unit: string;
  /** What it says beyond its number; empty where it says no more. */
  readonly says: string;
}

export interface Washer {
  readonly name: string;
  readonly thicknessMm: number;
}

/**
 * What a measure comes to, with its 95 % interval. @param washers of the stack as the machine has it; its height is judged by them.
 * @throws RangeError where the stack is not known.
 */
export function takenOf(input: MeasureInput, washers: readonly Washer[]): Taken {
  const around = (value: number, off: number, unit: string, says = ""): Taken => ({
    value,
    low: value - off,
    high: value + off,
    unit,
    says,
  });
  switch (input.kind) {
    case "side-play": {
      const play = sidePlayOfTurns(input.turns, input.pitchMm);
      // No play is below none.
      return { ...around(play.mm, play.offMm, "mm"), low: Math.max(0, play.mm - play.offMm) };
    }
    case "wear": {
      const { goneMm, offMm: off, says } = wearOf(input.worn, input.fresh);
      return around(goneMm, off, "mm", says === "not clear" ? "not clear whether it is worn" : says);
    }
    case "stack-height": {
      const check = stackHeightCheck(input.size.mm, washers, input.size.offMm);
      return around(input.size.mm, input.size.offMm, "mm", `${check.says}, ${Number(check.shouldMm.toFixed(2))} mm`);
    }
    case "lever-force":
      // A luggage scale: two hundredths and its step, doubled for 95 %.
      return around(input.newtons, 1.96 * Math.hypot(0.02 * input.newtons, 0.2), "N");
    default:
      return around(input.size.mm, input.size.offMm, "mm");
  }
}

/** A figure to where its interval begins: 0.094 ± 0.045 is 0.09 ± 0.05. */
export function figureWords({ value, low, high, unit }: Pick<Taken, "value" | "low" | "high" | "unit">): string {
  const off = (high - low) / 2;
  if (!Number.isFinite(off)) return `${Number(value.toPrecision(3))} ${unit}`.trim();
  const places = off > 0 ? Math.min(4, Math.max(0, 1 - Math.floor(Math.log10(off)))) : 2;
  const figure = (x: number) => Number(x.toFixed(places)).toString();
  const even = Math.abs(high - value - (value - low)) < 0.02 * (high - low);
  return `${figure(value)} ${even ? `± ${Number(off.toPrecision(2))}` : `(${figure(low)} to ${figure(high)})`} ${unit}`.trim();
}

export interface Figure {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/** What became of a figure between two takings: changed only where the difference is more than both can be off. */
export function changeOf(
  before: Figure,
  after: Figure,
): { readonly by: number; readonly off: number; readonly says: "more" | "less" | "no difference" } {
  const by = after.value - before.value;
  // Errors that have nothing to do with each other add as squares.
  const off =
    by > 0
      ? Math.hypot(before.high - before.value, after.value - after.low)
      : Math.hypot(before.value - before.low, after.high - after.value);
  return { by, off, says: Math.abs(by) <= off ? "no difference" : by > 0 ? "more" : "less" };
}
