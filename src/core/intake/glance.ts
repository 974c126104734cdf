/** One earlier visit, as far as a counter says it in a breath. */
export interface GlanceVisit {
  /** ISO date. */
  readonly on: string;
  readonly renewed: readonly string[];
  readonly before: ReadonlyMap<TestId, number>;
}

const ordinals = ["First", "Second", "Third", "Fourth", "Fifth", "Sixth", "Seventh", "Eighth", "Ninth", "Tenth"];
const small = ["no", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten"];
const count = (n: number) => small[n] ?? String(n);

/** How long ago, to the roundness of talk. @param days whole days, 0 or more. */
export function agoWords(days: number): string {
  const say = (n: number, unit: string) => `${n === 1 ? "a" : count(n)} ${unit}${n === 1 ? "" : "s"} ago`;
  if (days < 14) return days < 2 ? "just now" : say(Math.round(days), "day");
  if (days < 60) return say(Math.round(days / 7), "week");
  if (days < 540) return days >= 350 && days < 400 ? "a year ago" : say(Math.round(monthsOf(days)), "month");
  return say(Math.round(yearsOf(days)), "year");
}

/** Which readings are watched over the years, and how their fall or rise is said. */
const watched: readonly { readonly test: TestId; readonly worse: "fell" | "rose"; readonly name: string; readonly unit: string }[] = [
  { test: "drag-full", worse: "fell", name: "drag fully tight", unit: "N" },
  { test: "free-spool", worse: "fell", name: "free spool", unit: "s" },
  { test: "turning", worse: "rose", name: "turning effort", unit: "cN·m" },
];

/**
 * The history of one reel in a few sentences: which visit this is, what was renewed when, which reading got worse every time it came.
 * @param visits the earlier visits in any order. @param today ISO date.
 */
export function glance(visits: readonly GlanceVisit[], today: string): string[] {
  if (!visits.length) return [];
  const oldestFirst = [...visits].sort((a, b) => (a.on < b.on ? -1 : 1));
  const number = visits.length + 1;
  const sentences = [`${ordinals[number - 1] ?? `${number}th`} visit.`];
  const latest = new Map<string, string>();
  const times = new Map<string, number>();
  for (const visit of oldestFirst)
    for (const part of new Set(visit.renewed)) {
      latest.set(part, visit.on);
      times.set(part, (times.get(part) ?? 0) + 1);
    }
  for (const [part, on] of [...latest].sort(([, a], [, b]) => b.localeCompare(a)).slice(0, 4)) {
    const often = times.get(part)!;
    const days = Math.max(0, daysBetween(on, today));
    sentences.push(`${part} renewed ${agoWords(days)}${often > 1 ? `, ${count(often)} times in all` : ""}.`);
  }
  for (const { test, worse, name, unit } of watched) {
    const values = oldestFirst.flatMap((visit) => visit.before.get(test) ?? []);
    const each = values.slice(1).every((value, i) => (worse === "fell" ? value < values[i]! : value > values[i]!));
    if (values.length >= 2 && each)
      sentences.push(
        `Received with ${name} ${worse === "fell" ? "lower" : "higher"} each time: ${values.map((v) => Number(v.toFixed(1))).join(", ")} ${unit}.`,
      );
  }
  return sentences;
}

import { daysBetween, monthsOf, yearsOf } from "@/core/day/day";
import type { TestId } from "@/core/vocabulary/tests";
