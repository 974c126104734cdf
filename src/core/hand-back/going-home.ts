import { opensReel, protocolOfJob } from "@/core/intake/job-kinds";
import { formatMinor } from "@/core/money/money";
import type { Observation, SkippedTest } from "@/core/proving/observation";
import { type TestSpec, testOn } from "@/core/proving/protocol";
import { testOfComplaint } from "@/core/report/answers";
import { leftOver, type TrayWell } from "@/core/teardown/left-over";
import { isSettled } from "@/core/teardown/owed";
import type { Step } from "@/core/teardown/step";
import type { ComplaintId } from "@/core/vocabulary/counter-lists";
import type { FamilyId } from "@/core/vocabulary/families";
import type { JobPath, Station } from "@/core/vocabulary/job-kinds";
import type { TestId } from "@/core/vocabulary/tests";
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
  | { readonly code: "tests"; readonly what: "not-tested"; readonly names: readonly string[]; readonly at: "Test" | "Prove" }
  | { readonly code: "tests"; readonly what: "still-bad"; readonly testId: TestId; readonly name: string }
  | { readonly code: "tests"; readonly what: "left-out-without-reason"; readonly names: readonly string[]; readonly at: "Test" | "Prove" }
  | { readonly code: "fault"; readonly what: "open-fault"; readonly faultId: string; readonly name: string }
  | { readonly code: "tests"; readonly what: "not-since-together" }
  | { readonly code: "pays"; readonly what: "pays" }
  | { readonly code: "over-limit"; readonly what: "over-limit"; readonly totalMinor: number; readonly agreedMinor: number }
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
  /** The newest answers; those of after the work only as far as they hold of the reel as it is now. */
  readonly answers: () => readonly Pick<Observation, "phase" | "testId" | "verdict">[];
  readonly skipped: () => readonly SkippedTest[];
  /** Whether anything was done to it since it came: a part off, a drop, a fault put right by a word. Else what was tested when it came still holds. */
  readonly worked: () => boolean;
  /** Tests that are bad and with which the reel goes by somebody's word. */
  readonly asItIs: () => ReadonlySet<TestId>;
  /** Faults of this job that no act has put right, and of which nobody said how they leave. */
  readonly openFaults: () => readonly { readonly id: string; readonly name: string }[];
  readonly complaints: readonly ComplaintId[];
  /** What it comes to, and the most that was agreed to; null where no sum was named. */
  readonly billed: () => { readonly totalMinor: number; readonly agreedMinor: number } | null;
}

/**
 * Tests that the work of a job owes: a service and a check all of theirs, any other work what was tested before it and what answers the complaint.
 * Where that is none, any one will do.
 */
function testsOwed({ path, family, answers, complaints }: ReelHere): readonly TestSpec[] {
  const all = protocolOfJob(family, path);
  if (path.kind === "service" || path.kind === "purchase-check") return all;
  const before = new Set(answers().flatMap((one) => (one.phase === "before" ? [one.testId] : [])));
  const asked = new Set(complaints.flatMap((id) => testOfComplaint[id] ?? []));
  return all.filter(({ id }) => before.has(id) || asked.has(id));
}

/** What the tests still owe: not made on the reel as it is now, left out without a reason, or bad with nobody's word that it goes so. */
function untested(reel: ReelHere): KeepsHere[] {
  const check = reel.path.kind === "purchase-check";
  const [phase, at] = check ? (["before", "Test"] as const) : (["after", "Prove"] as const);
  // Nothing done since it came: it is as it was tested.
  const holds = check || reel.worked() ? [phase] : (["before", "after"] as const);
  const made = new Map(reel.answers().flatMap((one) => (holds.some((of) => of === one.phase) ? [[one.testId, one.verdict]] : [])));
  const reasons = new Map(reel.skipped().flatMap((one) => (one.phase === phase ? [[one.testId, one.reason]] : [])));
  const owed = testsOwed(reel);
  const open = owed.filter(({ id }) => !made.has(id));
  const missing = open.flatMap(({ id, name }) => (reasons.has(id) ? [] : [name]));
  const wordless = open.flatMap(({ id, name }) => (reasons.get(id) === "" ? [name] : []));
  const said = reel.asItIs();
  const bad = check ? [] : [...made].filter(([id, verdict]) => verdict === "bad" && !said.has(id));
  const blocks: KeepsHere[] = [];
  if (missing.length) blocks.push({ code: "tests", what: "not-tested", names: missing, at });
  if (wordless.length) blocks.push({ code: "tests", what: "left-out-without-reason", names: wordless, at });
  if (!owed.length && !made.size && ![...reasons.values()].some(Boolean)) blocks.push({ code: "tests", what: "not-since-together" });
  return [
    ...blocks,
    ...bad.map(([testId]): KeepsHere => ({ code: "tests", what: "still-bad", testId, name: testOn(reel.family, testId).name })),
  ];
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
  const faults = declined ? [] : reel.openFaults();
  blocks.push(...faults.map(({ id, name }) => ({ code: "fault", what: "open-fault", faultId: id, name }) as const));
  if (!wells.length && !opensReel(path)) return [...blocks, ...untested(reel)];
  for (const step of reel.steps()) {
    if (step.operation.kind === "place" || isSettled(step)) continue;
    const { words } = step.operation;
    blocks.push(step.operation.kind === "gate" ? { code: "gate", what: "gate", words } : { code: "step", what: "step", words });
  }
  // Last, once it is together: what lies in pieces cannot be tested. A reel that goes back as it came owes no test.
  const together = blocks.every(({ code }) => code === "fault");
  if (together && !declined && (wells.length || path.kind !== "repair" || reel.answers().length)) blocks.push(...untested(reel));
  return blocks;
}

/** What keeps the reel from hanging ready: its own state, and a comeback of which nobody has said who pays. */
export const keepsFromReady = (reel: ReelHere): KeepsHere[] => [
  ...keepsOnBench(reel),
  ...(reel.path.kind === "comeback" && reel.pays === "open" && !reel.declined ? [{ code: "pays", what: "pays" } as const] : []),
];

/** Nothing is billed above what was agreed: it is asked, or brought down. What was fitted before the no counts too. */
function overLimit({ path, billed }: ReelHere): KeepsHere[] {
  const sum = path.kind === "comeback" ? null : billed();
  return sum && sum.totalMinor > sum.agreedMinor ? [{ code: "over-limit", what: "over-limit", ...sum }] : [];
}

/**
 * What keeps the reel from going home: what keeps it from hanging ready, a sum above what was agreed, then what came with it.
 * @param brought what came with it and was not ticked.
 */
export const keepsHere = (reel: ReelHere, brought: readonly string[]): KeepsHere[] => [
  ...keepsFromReady(reel),
  ...overLimit(reel),
  ...brought.map((item) => ({ code: "brought", what: "brought", item }) as const),
];

/** The station at which it is put right; null where that is Return itself. */
export function stationOfBlock(block: KeepsHere): Station | null {
  switch (block.code) {
    case "left-over":
    case "oil":
    case "gate":
    case "step":
      return "build";
    case "tests":
      return "at" in block && block.at === "Test" ? "test" : "prove";
    case "fault":
      return "find";
    case "foreseen":
      return "parts";
    case "pays":
    case "over-limit":
      return "quote";
    case "brought":
      return null;
  }
}

/** What is said of it, with where it is put right. */
export function keepsHereWords(block: KeepsHere): string {
  switch (block.what) {
    case "well":
      return `Well ${block.well} still holds ${block.name}. Fit it at Build, or say why it is left out.`;
    case "foreseen":
      return `Quoted and not fitted: ${block.name}. Fit it at Parts, or remove it at Quote.`;
    case "not-drawn":
      return `Not on the drawing, still in the tray: ${block.words}. Record at Build whether it went back in or was left out.`;
    case "no-schematic":
      return `${block.pieces} ${block.pieces === 1 ? "piece lies" : "pieces lie"} in the tray and no schematic to rebuild from. Make the schematic at Build with one press, then fit them.`;
    case "oil":
      return `Oil points to do at Build, or to leave out: ${block.names.join(", ")}.`;
    case "gate":
      return `Check not passed: ${block.words}`;
    case "step":
      return `Not done: ${block.words}`;
    case "not-tested":
      return block.at === "Test" ? `Not tested: ${block.names.join("; ")}.` : `Not tested since the work: ${block.names.join("; ")}.`;
    case "still-bad":
      return `${block.name} is still bad. Repair it and test again, or say why it is returned like this.`;
    case "left-out-without-reason":
      return `Left out without a reason: ${block.names.join("; ")}. Give the reason beside it at ${block.at}.`;
    case "open-fault":
      return `Found but not repaired: ${block.name}. Repair it, mark it as fixed, or say how the reel leaves.`;
    case "not-since-together":
      return "Nothing was tested since it was rebuilt. Test it at Prove, or leave each test out there with a reason.";
    case "pays":
      return "This is a comeback and nobody has recorded who pays: do it at Quote.";
    case "over-limit":
      return `It comes to ${formatMinor(block.totalMinor)}, and ${formatMinor(block.agreedMinor)} was agreed: ask the customer and record the answer at Quote, or take something off there.`;
    case "brought":
      return `Came with it, not ticked off: ${block.item}`;
  }
}
