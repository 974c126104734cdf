import type { Anatomy } from "@/core/anatomy/types";
import { cleanMethods } from "@/core/cleaning/methods";
import type { JobOilState } from "@/core/lubrication/oil-points";
import type { OpenedFor } from "@/core/service/depth";
import { openedForWords } from "@/core/service/depth";
import type { StepState } from "@/core/teardown/step";
import type { Well } from "@/core/teardown/well";
import type { CleanMethod } from "@/core/vocabulary/clean-methods";
import type { ComplaintId } from "@/core/vocabulary/counter-lists";
import type { TestId } from "@/core/vocabulary/tests";

/** An assembly that was worked on, in words for its owner. */
export interface AssemblyDone {
  readonly id: string;
  readonly name: string;
  /** Parts of it that came off, of how many it has. */
  readonly parts: number;
  readonly of: number;
  /** It was apart already when the reel came. */
  readonly before: boolean;
  /** Why it was opened; empty where that is the kind of service. */
  readonly why: string;
  /** How its parts were cleaned, the commonest way first; empty when nobody said. */
  readonly cleaned: string;
}

/** What was done to a reel beside faults and new parts. */
export interface WorkDone {
  readonly assemblies: readonly AssemblyDone[];
  /** Seats that came off or were oiled where they sit. */
  readonly touched: readonly string[];
  /** Names of assemblies nothing came off. */
  readonly shut: readonly string[];
  /** Checks that passed on the way back. */
  readonly checks: readonly string[];
  /** Parts worked on by hand and put back. */
  readonly dressed: readonly { readonly name: string; readonly how: string }[];
  /** Places oiled with the part left in. */
  readonly oiledInPlace: readonly string[];
  /** What lay otherwise than the drawing says. */
  readonly deviations: readonly string[];
  /** What was measured, repeated or used at a step. */
  readonly noted: readonly string[];
}

interface Done {
  readonly wells: readonly Well[];
  readonly steps: readonly {
    readonly operation: { readonly id: string; readonly kind: string; readonly words: string };
    readonly state: StepState;
  }[];
  readonly points: readonly JobOilState[];
  readonly why: ReadonlyMap<string, OpenedFor>;
  /** What lay in it and is not on the drawing. */
  /** By step: what was measured, repeated or used there. */
  readonly noted?: ReadonlyMap<string, string>;
  readonly extras: readonly { readonly words: string; readonly state: "off" | "back" | "left-out" }[];
}

/** What came off because of the kind of service needs no reason. */
const whyWords = (why: OpenedFor): string => (why === "service" ? "" : openedForWords[why]);

const cleanedWords = (ways: readonly CleanMethod[]): string => {
  const count = new Map<CleanMethod, number>();
  for (const way of ways) count.set(way, (count.get(way) ?? 0) + 1);
  const name = (way: CleanMethod) => cleanMethods[way].done;
  const sorted = [...count].sort((a, b) => b[1] - a[1]);
  return sorted.length === 1 ? name(sorted[0]![0]) : sorted.map(([way, parts]) => `${name(way)} (${parts})`).join(", ");
};

/** Tells what was opened, stripped, cleaned, checked, dressed and oiled, by assembly and in words. */
export function workDone(
  anatomy: Pick<Anatomy, "assemblies" | "positions">,
  { wells, steps, points, why, extras, noted = new Map() }: Done,
): WorkDone {
  const seats = new Map(anatomy.positions.map((position) => [position.id, position]));
  const named = wells.flatMap((well) => {
    const seat = seats.get(well.positionId);
    return seat ? [{ ...well, name: seat.name, assemblyId: seat.assemblyId, expected: seat.hole ?? "" }] : [];
  });
  const assemblies = anatomy.assemblies.flatMap(({ id, name }): AssemblyDone[] => {
    const own = named.filter(({ assemblyId }) => assemblyId === id);
    if (!own.length) return [];
    return [
      {
        id,
        name,
        parts: own.length,
        // What stays in its place unless it is asked for is no part of a strip.
        of: anatomy.positions.filter(
          (seat) => seat.assemblyId === id && (!seat.stays || own.some(({ positionId }) => positionId === seat.id)),
        ).length,
        before: own.every(({ note }) => note === "came in pieces"),
        why: whyWords(why.get(id) ?? "part"),
        cleaned: cleanedWords(own.flatMap(({ cleanedHow }) => cleanedHow ?? [])),
      },
    ];
  });
  const opened = new Set(assemblies.map(({ id }) => id));
  return {
    assemblies,
    touched: [
      ...named.map(({ positionId }) => positionId),
      ...points.flatMap(({ positionId, state }) => (state === "oiled" ? [positionId] : [])),
    ],
    shut: anatomy.assemblies.filter(({ id }) => !opened.has(id)).map(({ name }) => name),
    checks: steps.filter(({ operation, state }) => operation.kind === "gate" && state === "done").map(({ operation }) => operation.words),
    dressed: named
      .filter(({ verdict, renewed }) => verdict === "dressed" && !renewed)
      .map(({ name, dressed, note }) => ({ name, how: [dressed || "dressed by hand", note].filter(Boolean).join("; ") })),
    noted: steps.flatMap(({ operation }) => {
      const words = noted.get(operation.id);
      return words === undefined ? [] : [`${operation.words}: ${words}`];
    }),
    oiledInPlace: points.filter(({ state }) => state === "oiled").map(({ name }) => name),
    deviations: [
      ...extras.map(
        ({ words, state }) => `Not on the drawing: ${words}${state === "left-out" ? ", left out" : state === "back" ? ", put back" : ""}`,
      ),
      ...named.flatMap(({ name, foundCount, verdict, hole, expected }) => [
        ...(foundCount !== 1 && verdict !== "missing" ? [`${name}: ${foundCount} found`] : []),
        ...(verdict === "missing" ? [`${name}: missing when it was opened, or lost`] : []),
        ...(verdict === "wrong" ? [`${name}: not this reel's`] : []),
        ...(hole && expected && hole !== expected ? [`${name}: found in ${hole}, belongs in ${expected}`] : []),
      ]),
    ],
  };
}

/** The same in lines, as a report and a history say it. */
export function workLines(work: WorkDone): string[] {
  return [
    ...work.assemblies.map(({ name, parts, of, before, why, cleaned }) => {
      if (before) return `${name}: came in pieces${cleaned ? `; ${cleaned}` : ""}.`;
      const off = parts === of ? "stripped" : `${parts} of ${of} parts off`;
      return `${name}: ${off}${why ? ` ${why}` : ""}${cleaned ? `; ${cleaned}` : ""}.`;
    }),
    ...(work.assemblies.length && work.shut.length ? [`Not opened: ${work.shut.join(", ")}.`] : []),
    ...(work.oiledInPlace.length ? [`Oiled where they sit: ${work.oiledInPlace.join(", ")}.`] : []),
    ...work.dressed.map(({ name, how }) => `${name}: ${how}, put back.`),
    ...work.deviations.map((words) => `${words}.`),
    ...work.noted.map((words) => `${words}.`),
    ...(work.checks.length ? [`Checks passed (${work.checks.length}): ${work.checks.join("; ")}.`] : []),
  ];
}

/** The test that answers a complaint. Common practice. */
export const testOfComplaint: Readonly<Partial<Record<ComplaintId, TestId>>> = {
  stiff: "turning",
  gritty: "turning",
  "short-spin": "free-spool",
  "drag-jerky": "drag-strike",
  "drag-weak": "drag-full",
  "slips-back": "anti-reverse",
  "click-weak": "click",
  "line-twists": "roller",
  "bail-hangs": "bail",
  "drops-line": "cast-pin",
};
