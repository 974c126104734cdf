import { distance } from "fastest-levenshtein";
import { z } from "zod";
import { accountOf } from "@/core/account/account";
import { jobActsSchema } from "@/core/account/job-acts";
import { tell } from "@/core/account/sentences";
import { checkAnatomy, structureFaults } from "@/core/anatomy/check-anatomy";
import { type Anatomy, anatomySchema, partTypeSchema, placeOperationId } from "@/core/anatomy/types";
import { blindSpots } from "@/core/blind-spots/blind-spots";
import type { Check } from "@/core/blind-spots/checks";
import { loadSolver, type Solver } from "@/core/blind-spots/least-cover";
import { type Case, findingOfTest } from "@/core/diagnosis/case-net";
import { diagnose } from "@/core/diagnosis/diagnose";
import { faults } from "@/core/diagnosis/fault-table";
import { type FindingId, findings } from "@/core/diagnosis/finding-table";
import { isolate } from "@/core/diagnosis/isolation";
import { type Opening, openings } from "@/core/diagnosis/look-table";
import { nextTests } from "@/core/diagnosis/next-looks";
import { links } from "@/core/diagnosis/strength-table";
import { readPullTrace } from "@/core/drag/pull-trace";
import { families } from "@/core/families/families";
import { canBeTested, testOn } from "@/core/proving/protocol";
import { quoteSum } from "@/core/quote/quote-sum";
import { parseTag } from "@/core/tags/tag";
import { buildOrder } from "@/core/teardown/build-order";
import { checkOrder } from "@/core/teardown/check-order";
import { removalOrder } from "@/core/teardown/removal-order";
import { type FamilyId, familyIds, familyWords } from "@/core/vocabulary/families";
import { type TestId, testIds, verdicts } from "@/core/vocabulary/tests";
import { type UseFactor, useFactors } from "@/core/vocabulary/use";
import { type Call, call } from "./call-of";
import { gaugeCalls } from "./gauge-calls";
import { intervalCalls } from "./interval-calls";
import { listen } from "./listen-call";
import { orderingCalls } from "./ordering-calls";
import { promiseCalls } from "./promise-calls";
import { sheetCalls } from "./sheet-calls";

/** The words calls take, by what they name, each with the trade's own words. */
export const vocabulary: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  family: familyWords,
  use: useFactors,
  finding: Object.fromEntries(findings.map(({ id, name }) => [id, name])),
  fault: Object.fromEntries(faults.map(({ id, name }) => [id, name])),
  test: Object.fromEntries(testIds.map((id) => [id, testOn(familyIds.find((family) => canBeTested(family, id))!, id).name])),
  opening: Object.fromEntries(Object.entries(openings).map(([id, { name }]) => [id, name])),
};

/** An id of the vocabulary; a strange one is refused with those nearest to it. */
function vocabularyId(what: string) {
  const known = Object.keys(vocabulary[what]!);
  return z.string().superRefine((id, ctx) => {
    if (known.includes(id)) return;
    const nearest = [...known].sort((a, b) => distance(id, a) - distance(id, b)).slice(0, 3);
    ctx.addIssue({ code: "custom", message: `"${id}" is no ${what}. Nearest: ${nearest.join(", ")}. --vocabulary lists all.` });
  });
}

/** Findings that some fault a reel of these roles can have brings about, and those that have nothing to do with any fault. */
function findingsOf(family: FamilyId, roles?: readonly string[]): ReadonlySet<string> {
  const own = new Set(roles ?? families[family]?.parts.map((part) => part.role) ?? []);
  const cannot = new Set(faults.filter(({ needs }) => needs !== undefined && !own.has(needs)).map(({ id }) => id));
  const [able, other] = [new Set<string>(), new Set<string>()];
  for (const { fault, finding } of links) (cannot.has(fault) ? other : able).add(finding);
  return new Set(findings.map(({ id }) => id).filter((id) => able.has(id) || !other.has(id)));
}

/** An anatomy whose seats are there once and refer to each other. */
const soundAnatomy = anatomySchema.superRefine((anatomy, ctx) => {
  for (const { message } of structureFaults(anatomy).slice(0, 10)) ctx.addIssue({ code: "custom", path: ["positions"], message });
});

/** Ids that have to be seats (or, for what was done, operations) of the anatomy beside them. */
function knownIds(anatomy: Anatomy, ids: readonly string[], path: string, ctx: z.RefinementCtx, operations = false): void {
  const known = new Set(anatomy.positions.map(({ id }) => id));
  if (operations)
    for (const { id } of [...anatomy.operations, ...anatomy.positions.map((p) => ({ id: placeOperationId(p.id) }))]) known.add(id);
  const seen = new Set<string>();
  for (const [i, id] of ids.entries()) {
    if (!known.has(id)) {
      const nearest = [...known].sort((a, b) => distance(id, a) - distance(id, b)).slice(0, 3);
      ctx.addIssue({ code: "custom", path: [path, i], message: `"${id}" is not in this machine. Nearest: ${nearest.join(", ")}.` });
    } else if (seen.has(id)) ctx.addIssue({ code: "custom", path: [path, i], message: `"${id}" stands there twice.` });
    seen.add(id);
  }
}

/** The sum of a quote: work and parts at a job's rates. */
const quote = call(
  z.object({
    labour: z.array(z.object({ words: z.string(), minutes: z.number().int().min(0) })),
    parts: z.array(
      z.object({ partTypeId: z.string(), words: z.string(), quantity: z.number().int().min(1), priceMinor: z.number().int().min(0) }),
    ),
    rates: z.object({
      ratePerHourMinor: z.number().int().min(0),
      tax: z.number().int().min(0).max(10_000),
      discount: z.number().int().min(0).max(10_000).default(0),
    }),
  }),
  ({ labour, parts, rates }) => quoteSum(labour, parts, rates),
);

let solver: Solver | null = null;
/** Loads what some calls need. */
export async function loadForCalls(): Promise<void> {
  solver = await loadSolver();
  for (const { prepare } of Object.values(orderingCalls)) await prepare?.();
  for (const { prepare } of Object.values(sheetCalls)) await prepare?.();
}

const verdict = z.enum(verdicts).optional();
/** Core functions that take JSON, each with the schema of what it takes. */
export const calls: Record<string, Call> = {
  "build-order": call(
    z
      .object({ anatomy: soundAnatomy, removed: z.array(z.string()) })
      .superRefine(({ anatomy, removed }, ctx) => knownIds(anatomy, removed, "removed", ctx)),
    ({ anatomy, removed }) => {
      const order = buildOrder(anatomy, removed);
      return order.ok
        ? { order: order.value.steps.map((step) => step.operation.id), inversions: order.value.inversions, proven: order.value.proven }
        : { conflict: order.message, ...("circle" in order ? { circle: order.circle } : {}) };
    },
  ),
  "check-order": call(
    z
      .object({
        anatomy: soundAnatomy,
        removed: z.array(z.string()),
        /** Operation ids, or seat ids for their placing, first done first. */
        performed: z.array(z.string()),
      })
      .superRefine(({ anatomy, removed, performed }, ctx) => {
        knownIds(anatomy, removed, "removed", ctx);
        knownIds(anatomy, performed, "performed", ctx, true);
      }),
    ({ anatomy, removed, performed }) => {
      const order = buildOrder(anatomy, removed);
      return order.ok ? { errors: checkOrder(anatomy, removed, performed) } : { conflict: order.message };
    },
  ),
  "removal-order": call(z.object({ anatomy: soundAnatomy }), ({ anatomy }) => ({ order: removalOrder(anatomy) })),
  "check-anatomy": call(z.object({ anatomy: anatomySchema, partTypes: z.array(partTypeSchema) }), ({ anatomy, partTypes }) => ({
    faults: checkAnatomy(anatomy, partTypes),
  })),
  account: call(jobActsSchema, (acts) => {
    const account = accountOf(acts);
    return { account, sentences: tell(account) };
  }),
  isolate: call(
    z.strictObject({
      family: z.enum(familyIds).default("star-drag-bridge"),
      freeSpool: verdict,
      turning: verdict,
      freeSpoolSpoolOut: verdict,
      drag: verdict,
      antiReverse: verdict,
      click: verdict,
    }),
    ({ family, ...evidence }) => isolate(family, evidence),
  ),
  diagnose: call(
    z
      .strictObject({
        family: vocabularyId("family"),
        /** Part roles of the very reel; the family's own without it. */
        roles: z.array(z.string()).optional(),
        use: z.array(vocabularyId("use")).default([]),
        told: z.array(vocabularyId("finding")).default([]),
        tested: z.partialRecord(vocabularyId("test"), z.enum(verdicts)).default({}),
        seen: z.partialRecord(vocabularyId("finding"), z.boolean()).default({}),
        settled: z.partialRecord(vocabularyId("fault"), z.boolean()).default({}),
        open: z.array(vocabularyId("opening")).default([]),
      })
      .superRefine((input, ctx) => {
        const able = findingsOf(input.family as FamilyId, input.roles);
        const noticed = [
          ...input.told.map((id, i) => [["told", i], id] as const),
          ...Object.keys(input.tested).map((id) => [["tested", id], findingOfTest[id as TestId] as string] as const),
          ...Object.keys(input.seen).map((id) => [["seen", id], id] as const),
        ];
        for (const [path, id] of noticed)
          if (id && id in vocabulary.finding! && !able.has(id))
            ctx.addIssue({
              code: "custom",
              path: [...path],
              message: `A ${familyWords[input.family as FamilyId] ?? input.family} has nothing that could show this.`,
            });
      }),
    (input) => {
      const subject: Case = {
        roles: new Set(input.roles ?? families[input.family as FamilyId].parts.map((part) => part.role)),
        use: input.use as UseFactor[],
        observations: [
          ...input.told.map((finding) => ({ by: "told", finding: finding as FindingId }) as const),
          ...Object.entries(input.tested).map(
            ([test, verdict]) => ({ by: "test", finding: findingOfTest[test as TestId], verdict: verdict! }) as const,
          ),
          ...Object.entries(input.seen).map(([finding, so]) => ({ by: "look", finding: finding as FindingId, so: so! }) as const),
        ],
        settled: new Map(Object.entries(input.settled) as [string, boolean][]),
        open: input.open as Opening[],
      };
      const { ranked, settled, ...rest } = diagnose(subject);
      return {
        ...rest,
        settled: settled.map(({ fault, probability }) => ({ fault: fault.id, name: fault.name, probability })),
        ranked: ranked.map(({ fault, ...told }) => ({ fault: fault.id, name: fault.name, section: fault.section, ...told })),
        next: nextTests(subject).map(({ look, ...told }) => ({ finding: look.finding, how: look.how, open: look.open, ...told })),
      };
    },
  ),
  "read-pull": call(z.object({ samples: z.array(z.object({ tMs: z.number(), forceN: z.number() })).max(100_000) }), ({ samples }) =>
    readPullTrace(samples),
  ),
  "blind-spots": {
    ...call(z.object({ anatomy: soundAnatomy, partTypes: z.array(partTypeSchema) }), ({ anatomy, partTypes }) => {
      if (!solver) throw new Error("blind-spots: the solver is not loaded yet");
      const found = blindSpots(solver, anatomy, new Map(partTypes.map((type) => [type.id, type])));
      if (!found) return { conflict: "the seats wait for each other in a circle; check-anatomy names it" };
      const told = ({ catches, ...check }: Check) => ({ ...check, catches: [...catches] });
      return {
        mistakes: found.mistakes,
        passing: found.passing.map(({ id, words }) => ({ id, words })),
        cheapest: found.cheapest && { ...told(found.cheapest), shows: found.cheapest.shows.map(({ id }) => id) },
        cover: { ...found.cover, checks: found.cover.checks.map(told) },
      };
    }),
    prepare: loadForCalls,
  },
  ...gaugeCalls,
  ...orderingCalls,
  ...sheetCalls,
  ...promiseCalls,
  ...intervalCalls,
  listen,
  "read-tag": call(z.object({ text: z.string() }), ({ text }) => parseTag(text)),
  quote,
  // The name it was first published under.
  estimate: quote,
};
