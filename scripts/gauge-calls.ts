import { z } from "zod";
import { members } from "@/core/anatomy/types";
import { answerBearing, bearingFault } from "@/core/bearings/bearing-answer";
import { camRise, hasFreeSpool, leverForce, starForce } from "@/core/drag/adjusters";
import { capacityNmm, type DragElement, gapsOf, pressureModels, stackFault } from "@/core/drag/capacity";
import {
  discFault,
  discStress,
  isPastFlat,
  moduli,
  platedModulus,
  type SpringMaterial,
  snapDeflection,
  stackCurve,
  stackForce,
  stackHeight,
  stackNotes,
  stackOf,
  stackStroke,
} from "@/core/drag/disc-springs";
import { fishRun, runFault } from "@/core/drag/fish-run";
import { fitDrag } from "@/core/drag/fit-drag";
import { pullN, spoolTorqueNmm } from "@/core/drag/pull";
import { ratioOfCounts, retrievePerTurn, simplestFraction, toothPairs } from "@/core/gearing/gearing";
import { backingM, capacityM, lineFault } from "@/core/line/line";
import { fitPulses, noRunDown } from "@/core/spin/fit-run";
import { findThread, type ThreadMeasure, threadFault } from "@/core/threads/find-thread";
import { call } from "./call-of";

const refuse = (ctx: z.RefinementCtx, fault: { field: string; message: string } | null) => {
  if (fault) ctx.addIssue({ code: "custom", path: [fault.field], message: fault.message });
};

const row = z
  .array(
    z.strictObject({
      outsideMm: z.number(),
      insideMm: z.number(),
      thicknessMm: z.number(),
      coneHeightMm: z.number(),
      material: z.enum(Object.keys(moduli) as [SpringMaterial, ...SpringMaterial[]]).default("spring steel"),
      up: z.boolean(),
    }),
  )
  .min(1)
  .max(40)
  .superRefine((discs, ctx) => {
    discs.forEach((disc, i) => {
      const fault = discFault(disc);
      if (fault) ctx.addIssue({ code: "custom", path: [i, fault.field], message: fault.message });
    });
  })
  .transform((discs) => discs.map(({ up, material, ...disc }) => ({ up, disc: { ...disc, platedModulusMpa: platedModulus(material) } })));

const stack = z
  .array(
    z.strictObject({
      member: z.enum(members),
      outsideMm: z.number(),
      insideMm: z.number(),
      mu: z.number().nullable().default(null),
      known: z.boolean().optional(),
    }),
  )
  .min(2)
  .max(60)
  .superRefine((elements, ctx) => {
    const fault = stackFault(elements as DragElement[]);
    if (fault) ctx.addIssue({ code: "custom", path: [fault.at, fault.field], message: fault.message });
  });

const star = z.strictObject({
  pitchMm: z.number().positive().max(5),
  springs: row,
  stackStiffnessNPerMm: z.number().positive().default(4000),
  endStopTurns: z.number().positive().max(20).default(3),
  turns: z.array(z.number().min(0).max(20)).min(1).max(100),
});
const lever = z.strictObject({
  stiffnessNPerMm: z.number().positive(),
  cam: z
    .array(z.strictObject({ degrees: z.number(), riseMm: z.number() }))
    .min(1)
    .refine(
      (points) => points.every(({ degrees }, i) => i === 0 || degrees > points[i - 1]!.degrees),
      "The cam's degrees rise from point to point.",
    ),
  knobPitchMm: z.number().positive(),
  knobTurns: z.number().min(0),
  gapMm: z.number().min(0),
  camReversed: z.boolean().default(false),
  degrees: z.array(z.number()).min(1).max(100),
});

/** The gauges as calls: JSON in, JSON out, the same input always the same answer. */
export const gaugeCalls = {
  discs: call(z.strictObject({ row, atMm: z.array(z.number().min(0)).default([]) }), ({ row: discs, atMm }) => {
    const springs = stackOf(discs);
    return {
      groups: springs.groups.map(({ disc, nested }) => ({
        nested,
        snapsAtMm: snapDeflection(disc),
        stressAtThreeQuartersMpa: disc.coneHeightMm > 0 ? discStress(disc, 0.75 * disc.coneHeightMm) : null,
      })),
      freeHeightMm: stackHeight(springs),
      strokeMm: stackStroke(springs),
      at: atMm.map((strokeMm) => ({
        strokeMm,
        forceN: stackForce(springs, strokeMm),
        ...(isPastFlat(springs, strokeMm) ? { pastFlat: "flat before: rigid there, the force is this or anything above" } : {}),
      })),
      notes: stackNotes(springs),
      curve: stackCurve(springs, 20),
    };
  }),
  drag: call(
    z.strictObject({
      stack,
      pressure: z.enum(pressureModels).default("uniform-pressure"),
      /** One of a force, a star or a lever squeezes the stack. */
      forceN: z.number().min(0).optional(),
      star: star.optional(),
      lever: lever.optional(),
      ratio: z.number().positive().default(1),
      efficiency: z.number().positive().max(1).default(1),
      lossNmm: z.number().min(0).default(0),
      lineRadiusMm: z.number().positive(),
      /** Pulls taken, to say what the coefficient is. */
      pulls: z
        .array(
          z.strictObject({
            /** Of the star from the first contact. */
            turns: z.number().min(0).optional(),
            /** Of the lever. */
            degrees: z.number().optional(),
            pullN: z.number().min(0),
            lineRadiusMm: z.number().positive(),
          }),
        )
        .default([]),
    }),
    (input) => {
      const { stack: elements, pressure, ratio, efficiency, lossNmm, lineRadiusMm } = input;
      const at = (forceN: number) => {
        const path = { stackNmm: capacityNmm(elements, forceN, pressure), ratio, efficiency, lossNmm };
        return { forceN, stackNmm: path.stackNmm, spoolNmm: spoolTorqueNmm(path), pullN: pullN(path, lineRadiusMm) };
      };
      const asStar = input.star && { ...input.star, springs: stackOf(input.star.springs) };
      return {
        gaps: gapsOf(elements, pressure),
        ...(input.forceN === undefined ? {} : { atForce: at(input.forceN) }),
        ...(asStar
          ? {
              atTurns: asStar.turns.map((turns) => {
                const { forceN, springsFlat } = starForce(asStar, turns);
                return { turns, springsFlat, ...at(forceN) };
              }),
            }
          : {}),
        ...(input.lever
          ? {
              freeSpool: hasFreeSpool(input.lever),
              atDegrees: input.lever.degrees.map((degrees) => ({
                degrees,
                riseMm: camRise(input.lever!.cam, degrees),
                ...at(leverForce(input.lever!, degrees)),
              })),
            }
          : {}),
        ...(input.pulls.length
          ? {
              fit: fitDrag(
                input.pulls.map(({ turns, degrees, ...pull }) => {
                  const setting = input.lever ? degrees : turns;
                  if (setting === undefined)
                    throw new RangeError(`drag: every pull says ${input.lever ? "the degrees of the lever" : "the turns of the star"}`);
                  return { ...pull, setting };
                }),
                elements,
                input.lever ? { known: true, lever: input.lever } : asStar ? { ...asStar, known: true } : { known: false, pitchMm: 1 },
                { ratio, efficiency, lossNmm },
                pressure,
              ),
            }
          : {}),
      };
    },
  ),
  "fish-run": call(
    z
      .strictObject({
        pieces: z.array(z.strictObject({ seconds: z.number(), metresPerSecond: z.number() })).max(200),
        spoolTorqueNmm: z.number(),
        arborRadiusMm: z.number(),
        fullRadiusMm: z.number(),
        capacityM: z.number(),
        outM: z.number().default(0),
        heatCapacityJPerK: z.number(),
        lossWPerK: z.number(),
        ambientC: z.number().default(20),
      })
      .superRefine((run, ctx) => {
        refuse(ctx, runFault(run));
      }),
    (run) => {
      const { points, ...rest } = fishRun(run);
      return { ...rest, last: points.at(-1) };
    },
  ),
  bearing: call(
    z
      .strictObject({ boreMm: z.number(), outsideMm: z.number(), widthMm: z.number(), offMm: z.number().default(0.1) })
      .superRefine((measure, ctx) => refuse(ctx, bearingFault(measure))),
    ({ offMm, ...measure }) => answerBearing(measure, offMm),
  ),
  thread: call(
    z
      .strictObject({
        of: z.enum(["screw", "hole"]),
        diameterMm: z.number(),
        offMm: z.number().default(0.03),
        pitch: z.strictObject({ mm: z.number(), offMm: z.number().default(0.02) }).optional(),
      })
      .superRefine((measure, ctx) => refuse(ctx, threadFault(measure as ThreadMeasure))),
    (measure) => findThread(measure as ThreadMeasure),
  ),
  spin: call(
    z.strictObject({ times: z.array(z.number()).min(8).max(20_000), pulsesPerTurn: z.number().int().min(1).max(100).default(1) }),
    ({ times, pulsesPerTurn }) => {
      const { fit, missed, others } = fitPulses(times, pulsesPerTurn);
      const none = noRunDown(fit);
      if (none) throw new RangeError(none);
      return { ...fit, missed, others };
    },
  ),
  gearing: call(
    z.strictObject({
      handleTurns: z.number().positive(),
      spoolTurns: z.number().positive(),
      offTurns: z.number().min(0).default(0.5),
      lineDiameterMm: z.number().positive().optional(),
    }),
    ({ handleTurns, spoolTurns, offTurns, lineDiameterMm }) => {
      const interval = ratioOfCounts(handleTurns, spoolTurns, offTurns);
      return {
        ...interval,
        ...(interval.high > interval.low ? { simplest: simplestFraction(interval.low, interval.high) } : {}),
        pairs: toothPairs(interval),
        ...(lineDiameterMm ? { retrieveMm: retrievePerTurn(interval.ratio, lineDiameterMm) } : {}),
      };
    },
  ),
  line: call(
    z
      .strictObject({
        arborMm: z.number(),
        fullMm: z.number(),
        widthMm: z.number(),
        lineMm: z.number(),
        backing: z.strictObject({ mm: z.number().positive(), mainMetres: z.number().min(0) }).optional(),
      })
      .superRefine(({ lineMm, ...ring }, ctx) => refuse(ctx, lineFault(ring, lineMm))),
    ({ lineMm, backing, ...ring }) => ({
      squareM: capacityM(ring, lineMm, "square"),
      hexagonalM: capacityM(ring, lineMm, "hexagonal"),
      ...(backing ? { backingM: backingM(ring, { mm: lineMm, metres: backing.mainMetres }, backing.mm, "square") } : {}),
    }),
  ),
};
