import type { TestSpec } from "./protocol";

/**
 * Standard deviation of one reading, in its own unit: half of what is said as ± of its instrument. A number that was typed came from a hand, a
 * count or a gauge read by eye. Source: rule of thumb.
 */
export function readingError(unit: NonNullable<TestSpec["unit"]>, value: number, instrument: string): number {
  const byHand = instrument === "typed" || instrument === "by hand";
  switch (unit) {
    case "N":
      // A luggage scale, read while it moves; against one that is read off its trace.
      return byHand ? Math.hypot(0.02 * value, 0.2) : Math.hypot(0.01 * value, 0.1);
    case "s":
      // No two flicks are alike; the pickup reads from a standard start on.
      return byHand ? Math.hypot(0.06 * value, 0.3) : Math.hypot(0.02 * value, 0.15);
    case "cN·m":
      return (byHand ? 0.06 : 0.025) * value;
    case "dB":
      return byHand ? 1.5 : 1;
    case "slips of 20":
      return Math.sqrt(Math.max(0.25, value * (1 - Math.min(1, value / 20))));
    case "trips of 10":
      return Math.sqrt(Math.max(0.25, value * (1 - Math.min(1, value / 10))));
    case "mm":
      return 0.03;
    case "°":
      return 1;
  }
}
