import type { Phase } from "@/core/proving/observation";
import { protocolFor, type TestSpec } from "@/core/proving/protocol";
import type { FamilyId } from "@/core/vocabulary/families";
import { depths, type JobKind, type JobPath, jobKinds, type Station, stations } from "@/core/vocabulary/job-kinds";
import type { TestId } from "@/core/vocabulary/tests";

/** Whether a job opens its reel. A check does so only where it was asked for. */
export const opensReel = ({ kind, depth, depthSaid }: JobPath): boolean => depth !== "light" && (kind !== "purchase-check" || depthSaid);

/** Stations of a reel that stays shut: its tests, and its oil points where it is serviced outside. */
const shut = (kind: JobKind): readonly Station[] =>
  kind === "purchase-check" ? ["test", "find", "return"] : ["test", "build", "prove", "return"];

/** A round looks for no fault and asks for no parts. */
const round: readonly Station[] = ["test", "strip", "clean", "build", "prove", "return"];

/** The stations a job passes, in order. */
export const stationsOf = (path: JobPath): readonly Station[] =>
  !opensReel(path) ? shut(path.kind) : path.depth === "round" ? round : stations;

/** What is taken down at a station speaks of the reel before the work, or from its rebuild on after it. */
export const phaseAt = (station: Station | "closed"): Phase =>
  station !== "closed" && stations.indexOf(station) < stations.indexOf("build") ? "before" : "after";

/** The station after this one; null after the last, and for one the job does not pass. */
export function stationAfter(path: JobPath, station: Station): Station | null {
  const passed = stationsOf(path);
  const index = passed.indexOf(station);
  return index < 0 ? null : (passed[index + 1] ?? null);
}

/** An outside service and a round feel only what can be felt in a minute each; a worse answer makes it a repair. */
const lightTests: readonly TestId[] = ["turning", "drag-strike", "anti-reverse", "free-spool", "click"];
const lightCount = 3;

/** The tests of a job, by family and by how deep it goes. */
export function protocolOfJob(family: FamilyId, path: JobPath): TestSpec[] {
  const all = protocolFor(family);
  if ((opensReel(path) && path.depth !== "round") || path.kind === "purchase-check") return all;
  const kept = lightTests.filter((id) => all.some((test) => test.id === id)).slice(0, lightCount);
  return all.filter((test) => kept.includes(test.id));
}

/** What a job is called on its sheets: what it came for, and how deep where that was said. */
export const pathWords = (path: JobPath): string =>
  path.depthSaid ? (path.kind === "service" ? depths[path.depth] : `${jobKinds[path.kind]}, ${depths[path.depth]}`) : jobKinds[path.kind];

/** Minutes of intake, tests and report (typical of the trade; our own work come back is not charged twice). */
export function handlingOf(path: JobPath): { readonly words: string; readonly minutes: number } {
  if (path.kind === "comeback") return { words: "Checked again free of charge: our own work", minutes: 0 };
  if (path.kind === "purchase-check" && !opensReel(path)) return { words: "Purchase check: tests, inspection, report", minutes: 25 };
  if (!opensReel(path)) return { words: "Outside service: wipe down, oil the outside points, three tests", minutes: 10 };
  return { words: "Intake, tests before and after, report", minutes: 15 };
}
