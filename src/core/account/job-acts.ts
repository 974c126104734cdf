import { z } from "zod";
import { feelIds } from "@/core/teardown/feel";
import { wellVerdicts } from "@/core/teardown/verdicts";
import { asItIsReasonIds } from "@/core/vocabulary/as-it-is";
import { cleanMethodIds } from "@/core/vocabulary/clean-methods";
import { cleanOutcomeIds } from "@/core/vocabulary/clean-outcomes";
import { faultOutcomeIds } from "@/core/vocabulary/fault-outcomes";
import { jobKindIds } from "@/core/vocabulary/job-kinds";
import { leftDryReasonIds } from "@/core/vocabulary/left-dry";
import { testIds, verdicts } from "@/core/vocabulary/tests";

/** Which kept row an act is: what is said of a job names the acts that bear it out. @example "well:friction-low" */
const act = z.string().regex(/^[a-z-]+:.+$/, "An act is a kind and what it is about: well:friction-low.");
export type Act = z.output<typeof act>;

const seat = z.string().min(1);
const words = z.string();

/** Why an assembly is open or a seat empty, where a person or a rule gave the reason. */
const openedFor = z.enum(["asked", "fault", "part", "service", "complaint"]);

/**
 * Everything that was done on a job and is kept of it, with what the reel is as far as its drawing goes. Blind to family: seats and assemblies
 * are names.
 */
export const jobActsSchema = z.strictObject({
  kind: z.enum(jobKindIds),
  /** Why it goes back unrepaired; null where it is worked on. */
  declined: words.nullable(),
  assemblies: z.array(z.strictObject({ id: z.string(), name: words })),
  seats: z.array(
    z.strictObject({
      id: seat,
      name: words,
      assemblyId: z.string(),
      /** It is no part of a strip: pressed in, pinned, or the body itself. */
      stays: z.boolean().default(false),
      seal: z.boolean().default(false),
      /** It is part of the unit that is sealed with fluid. */
      sealedUnit: z.boolean().default(false),
      /** The hole or place it belongs in, where seats of its kind differ. */
      hole: words.default(""),
    }),
  ),
  /** What is serviced, and seats emptied for a reason of their own. */
  opened: z.array(z.strictObject({ act, assemblyId: z.string(), why: openedFor.nullable() })).default([]),
  emptied: z.array(z.strictObject({ positionId: seat, why: openedFor })).default([]),
  keptShut: z.array(z.strictObject({ act, assemblyId: z.string() })).default([]),
  /** A part that came off, and what became of it. */
  off: z
    .array(
      z.strictObject({
        act,
        positionId: seat,
        /** It was apart already when the reel came. */
        cameApart: z.boolean().default(false),
        verdict: z.enum(wellVerdicts),
        dressed: words.default(""),
        /** A remark meant for the owner. */
        remark: words.default(""),
        cleaned: z.enum(cleanMethodIds).nullable().default(null),
        back: z.boolean().default(false),
        leftOut: words.nullable().default(null),
        /** It came off as one with others and was not taken apart: a sealed unit lifted whole. */
        asOne: z.boolean().default(false),
        /** The customer said no to a new one. */
        declined: z.boolean().default(false),
        found: z.number().int().min(0).default(1),
        hole: words.default(""),
      }),
    )
    .default([]),
  inPlace: z.array(z.strictObject({ act, positionId: seat, reason: words })).default([]),
  /** Oil or grease at a place: as the part went in, or where it sits. */
  oiled: z
    .array(
      z.strictObject({
        act,
        positionId: seat,
        product: words,
        drops: z.number().int().min(0).default(0),
        whereItSits: z.boolean().default(false),
      }),
    )
    .default([]),
  /** What the customer wished and was done so, with the act that did it. */
  wished: z.array(z.strictObject({ act, words })).default([]),
  /** Places that may be oiled and were left out, with the reason where somebody gave one. */
  unoiled: z.array(z.strictObject({ act, positionId: seat, why: z.enum(leftDryReasonIds).nullable() })).default([]),
  /** Left dry on purpose, where the rule gives it something. */
  dry: z.array(z.strictObject({ act, positionId: seat })).default([]),
  /** How a part came out of its cleaning where it did not simply come clean, and how it felt as it went in. */
  cleanedSo: z.array(z.strictObject({ act, positionId: seat, outcome: z.enum(cleanOutcomeIds) })).default([]),
  felt: z.array(z.strictObject({ act, positionId: seat, feel: z.enum(feelIds) })).default([]),
  fitted: z.array(z.strictObject({ act, positionId: seat, what: words })).default([]),
  notDrawn: z.array(z.strictObject({ act, words, state: z.enum(["off", "back", "left-out"]) })).default([]),
  /** Checks passed on the way back. */
  checks: z.array(z.strictObject({ act, words })).default([]),
  /** What was measured, repeated or used at a step. */
  noted: z.array(z.strictObject({ act, words })).default([]),
  tests: z
    .array(
      z.strictObject({
        act,
        id: z.enum(testIds),
        name: words,
        phase: z.enum(["before", "after"]),
        verdict: z.enum(verdicts),
        /** The reading in words; empty where none was taken. */
        reading: words.default(""),
      }),
    )
    .default([]),
  faults: z
    .array(
      z.strictObject({
        act,
        id: z.string(),
        name: words,
        outcome: z.enum(faultOutcomeIds).nullable().default(null),
        /** Why the old piece went back all the same. */
        oldBack: words.nullable().default(null),
        /** Somebody said that it is put right, though no part came off for it. */
        saidPutRight: z.boolean().default(false),
        remedy: words,
        minutes: z.number().min(0).default(0),
        /** Seats its remedy renews, and all it works on. */
        renews: z.array(seat).default([]),
        worksOn: z.array(seat).default([]),
      }),
    )
    .default([]),
  /** Tests that are bad after the work, with the reason why the reel goes so. */
  asItIs: z.array(z.strictObject({ act, name: words, reason: z.enum(asItIsReasonIds) })).default([]),
  ruledOut: z.array(z.strictObject({ act, name: words })).default([]),
  looks: z.array(z.strictObject({ act, name: words, so: z.boolean() })).default([]),
});
export type JobActs = z.output<typeof jobActsSchema>;
