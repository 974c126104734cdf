import { opensReel, protocolOfJob } from "@/core/intake/job-kinds";
import type { Observation, SkippedTest } from "@/core/proving/observation";
import { leftOver, type TrayWell } from "@/core/teardown/left-over";
import { isSettled } from "@/core/teardown/owed";
import type { Step } from "@/core/teardown/step";
import type { FamilyId } from "@/core/vocabulary/families";
import type { JobPath } from "@/core/vocabulary/job-kinds";
import type { WhoPays } from "@/core/vocabulary/who-pays";

/** One thing that keeps a reel here. By `code` it is known where it is put right; the rest is what is said of it. */
export type KeepsHere =
  | { readonly code: "left-over"; readonly what: "well"; readonly positionId: string; readonly well: number; readonly name: string }
  | { readonly code: "left-over"; readonly what: "not-drawn"; readonly words: string }
  | { readonly code: "left-over"; readonly what: "no-schematic"; readonly pieces: number }
  | { readonly code: "foreseen"; readonly what: "foreseen"; readonly name: string }
  | { readonly code: "oil"; readonly what: "oil"; readonly names: readonly string[] }
  | { readonly code: "gate"; readonly what: "gate"; readonly words: string }
  | { readonly code: "step"; readonly what: "step"; readonly words: string }
  | { readonly code: "tests"; readonly what: "not-tested" | "still-bad"; readonly name: string }
  | { readonly code: "tests"; readonly what: "left-out-without-reason"; readonly name: string; readonly at: "Test" | "Prove" }
  | { readonly code: "tests"; readonly what: "not-since-together" }
  | { readonly code: "pays"; readonly what: "pays" }
  | { readonly code: "brought"; readonly what: "brought"; readonly item: string };

/** A job's reel as it stands, for the question whether it may go home. What costs reading is asked for where the answer needs it. */
export interface ReelHere {
  readonly path: JobPath;
  readonly family: FamilyId;
  /** It goes home unrepaired. */
  readonly declined: boolean;
  /** Of a comeback: who pays, as it was said. */
  readonly pays: WhoPays | undefined;
  readonly wells: readonly (TrayWell & { readonly renewed: boolean })[];
  /** New pieces that the quote names by themselves. */
  readonly foreseen: readonly { readonly positionId: string; readonly name: string }[];
  /** In the tray and not on the drawing. */
  readonly notDrawn: readonly string[];
  /** In the tray of a reel that no drawing knows. */
  readonly withoutSchematic: number;
  readonly toOil: () => readonly string[];
  readonly steps: () => readonly Step[];
  readonly answers: () => readonly Pick<Observation, "phase" | "testId" | "verdict">[];
  /** Those answers that hold of the reel as it is now. */
  readonly answersThatHold: () => readonly Pick<Observation, "phase">[];
  readonly skipped: () => readonly SkippedTest[];
}

/** What a light service or a purchase check still owes: its tests, and for a service none of them bad in the end. */
function testsOwed({ path, family, answers, skipped }: ReelHere): KeepsHere[] {
  const phase = path.kind === "purchase-check" ? "before" : "after";
  const made = new Map(answers().flatMap((one) => (one.phase === phase ? [[one.testId, one.verdict]] : [])));
  const reasons = new Map(skipped().flatMap((one) => (one.phase === phase ? [[one.testId, one.reason]] : [])));
  return protocolOfJob(family, path).flatMap(({ id, name }): KeepsHere[] => {
    const [verdict, reason] = [made.get(id), reasons.get(id)];
    if (verdict === undefined && reason !== undefined)
      return reason ? [] : [{ code: "tests", what: "left-out-without-reason", name, at: phase === "before" ? "Test" : "Prove" }];
    if (verdict === undefined) return [{ code: "tests", what: "not-tested", name }];
    return phase === "after" && verdict === "bad" ? [{ code: "tests", what: "still-bad", name }] : [];
  });
}

/** Everything that keeps a reel on the bench, in the order a bench would clear it. Empty means it may hang ready. */
export function keepsOnBench(reel: ReelHere): KeepsHere[] {
  const { path, wells, declined } = reel;
  const fitted = new Set(wells.filter(({ renewed }) => renewed).map(({ positionId }) => positionId));
  // What was promised in the quote goes in, or is struck from it.
  const promised = declined || path.kind === "purchase-check" ? [] : reel.foreseen.filter(({ positionId }) => !fitted.has(positionId));
  const blocks: KeepsHere[] = [
    ...leftOver(wells).map(({ positionId, well, name }) => ({ code: "left-over", what: "well", positionId, well, name }) as const),
    ...promised.map(({ name }) => ({ code: "foreseen", what: "foreseen", name }) as const),
    ...reel.notDrawn.map((words) => ({ code: "left-over", what: "not-drawn", words }) as const),
  ];
  // What no schematic knows lies in the tray all the same: it is in pieces until they have their seats and are back in them.
  if (reel.withoutSchematic) blocks.push({ code: "left-over", what: "no-schematic", pieces: reel.withoutSchematic });
  // A reel nobody opened has nothing to build; its tests are what is asked of it.
  if (!wells.length && declined) return blocks;
  // A service owes its drops; a repair may leave what it did not touch.
  const names = path.kind === "service" ? reel.toOil() : [];
  if (names.length) blocks.push({ code: "oil", what: "oil", names });
  if (!wells.length && !opensReel(path)) return [...blocks, ...testsOwed(reel)];
  for (const step of reel.steps()) {
    if (step.operation.kind === "place" || isSettled(step)) continue;
    const { words } = step.operation;
    blocks.push(step.operation.kind === "gate" ? { code: "gate", what: "gate", words } : { code: "step", what: "step", words });
  }
  // Last, once nothing else is open: what is not together cannot be tested.
  if (!blocks.length && wells.length && !declined && opensReel(path) && !testedSince(reel))
    blocks.push({ code: "tests", what: "not-since-together" });
  return blocks;
}

/** Whether anything was tested since the last piece went in, or each test left out with its reason. */
const testedSince = ({ answersThatHold, skipped }: ReelHere): boolean =>
  answersThatHold().some(({ phase }) => phase === "after") || skipped().some(({ phase, reason }) => phase === "after" && reason !== "");

/** What keeps the reel from hanging ready: its own state, and a comeback of which nobody has said who pays. */
export const keepsFromReady = (reel: ReelHere): KeepsHere[] => [
  ...keepsOnBench(reel),
  ...(reel.path.kind === "comeback" && reel.pays === "open" && !reel.declined ? [{ code: "pays", what: "pays" } as const] : []),
];

/** What keeps the reel from going home: what keeps it from hanging ready, then what came with it. @param brought what came with it and was not ticked. */
export const keepsHere = (reel: ReelHere, brought: readonly string[]): KeepsHere[] => [
  ...keepsFromReady(reel),
  ...brought.map((item) => ({ code: "brought", what: "brought", item }) as const),
];

/** What is said of it, with where it is put right. */
export function keepsHereWords(block: KeepsHere): string {
  switch (block.what) {
    case "well":
      return `Well ${block.well} is not empty: ${block.name}. Fit it at Build, or say why it stays out.`;
    case "foreseen":
      return `Foreseen and not fitted: ${block.name}. Fit it at Parts, or remove it at Quote.`;
    case "not-drawn":
      return `Not on the drawing, still in the tray: ${block.words}. Say at Build that it is back in or left out.`;
    case "no-schematic":
      return `${block.pieces} ${block.pieces === 1 ? "piece lies" : "pieces lie"} in the tray, and no schematic says how they go back. Make the schematic of them at Build, in one press; then fit them.`;
    case "oil":
      return `Oil points to do at Build, or to leave out: ${block.names.join(", ")}.`;
    case "gate":
      return `Check not passed: ${block.words}`;
    case "step":
      return `Not done: ${block.words}`;
    case "not-tested":
      return `Not tested: ${block.name}`;
    case "still-bad":
      return `${block.name} is still bad: make it a repair at Test, or mend it and test again.`;
    case "left-out-without-reason":
      return `${block.name} was left out: say why, beside it at ${block.at}.`;
    case "not-since-together":
      return "Nothing was tested since it went together. Test it at Prove, or leave each test out there with a reason.";
    case "pays":
      return "It came back, and nobody has said who pays: say it at Quote.";
    case "brought":
      return `Came with it, not ticked off: ${block.item}`;
  }
}
