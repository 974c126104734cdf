import { protocolFor, type TestSpec } from "@/core/proving/protocol";
import type { FamilyId } from "@/core/vocabulary/families";
import { type JobKind, type Station, stations } from "@/core/vocabulary/job-kinds";
import type { TestId } from "@/core/vocabulary/tests";

const short: Partial<Record<JobKind, readonly Station[]>> = {
  "light-service": ["test", "prove", "return"],
  "purchase-check": ["test", "find", "return"],
};

/** The stations a kind of job passes, in order. */
export const stationsOf = (kind: JobKind): readonly Station[] => short[kind] ?? stations;

/** The station after this one; null after the last, and for one the kind does not pass. */
export function stationAfter(kind: JobKind, station: Station): Station | null {
  const passed = stationsOf(kind);
  const index = passed.indexOf(station);
  return index < 0 ? null : (passed[index + 1] ?? null);
}

/** A light service feels only what can be felt in a minute each; a worse answer makes it a repair. */
const lightTests: readonly TestId[] = ["turning", "drag-strike", "anti-reverse", "free-spool", "click"];
const lightCount = 3;

/** The tests of a job, by family and by how deep it goes. */
export function protocolOfJob(family: FamilyId, kind: JobKind): TestSpec[] {
  const all = protocolFor(family);
  if (kind !== "light-service") return all;
  const kept = lightTests.filter((id) => all.some((test) => test.id === id)).slice(0, lightCount);
  return all.filter((test) => kept.includes(test.id));
}

/** Minutes of intake, tests and report by kind (typical of the trade; our own work come back is not charged twice). */
export const handling: Readonly<Record<JobKind, { readonly words: string; readonly minutes: number }>> = {
  repair: { words: "Intake, tests before and after, report", minutes: 15 },
  "full-service": { words: "Intake, tests before and after, report", minutes: 15 },
  "light-service": { words: "Light service: wipe, oil at the outside points, three tests", minutes: 10 },
  "purchase-check": { words: "Purchase check: tests, inspection, report", minutes: 25 },
  comeback: { words: "Checked again free of charge: our own work", minutes: 0 },
};
