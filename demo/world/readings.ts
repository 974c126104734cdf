import { leverForce, type Star, starForce } from "@/core/drag/adjusters";
import { capacityNmm, type DragElement } from "@/core/drag/capacity";
import { stackOf } from "@/core/drag/disc-springs";
import { pullN } from "@/core/drag/pull";
import { dragStackOf } from "@/core/drag/working-gaps";
import { modelNumbers } from "@/core/gauges/model-numbers";
import type { TestSpec } from "@/core/proving/protocol";
import { stopSeconds } from "@/core/spin/losses";
import type { TestId, Verdict } from "@/core/vocabulary/tests";
import type { ModelVersion } from "@/data/catalogue/models";
import type { HiddenReel } from "./reels";
import type { Seeded } from "./seeded";
import { wornShare } from "./wear";

/** What a model's drag does by its laws; null where it has no stack that could be reckoned. */
export interface ModelPhysics {
  readonly lineRadiusMm: number;
  /** Pull at the line, N, by the washers' coefficient. */
  readonly pull: ((test: "drag-light" | "drag-strike" | "drag-full", mu: number) => number) | null;
}

const settings = { "drag-light": 0.25, "drag-strike": 0.5, "drag-full": 1.1 } as const;
/** The same on a lever: degrees of a usual cam. */
const leverAt = { "drag-light": 40, "drag-strike": 75, "drag-full": 120 } as const;
const cam = [
  { degrees: 0, riseMm: 0 },
  { degrees: 30, riseMm: 0.1 },
  { degrees: 90, riseMm: 0.5 },
  { degrees: 120, riseMm: 0.7 },
];

export function physicsOf({ anatomy, partTypes, lineRadiusMm, model }: ModelVersion): ModelPhysics {
  const seats = anatomy.assemblies.map(({ id }) => dragStackOf(anatomy, partTypes, id)).find((stack) => stack.length > 0) ?? [];
  const shapeOf = (role: string) => [...partTypes.values()].find((type) => type.role === role)?.shape;
  const elements = (mu: number): DragElement[] =>
    seats.flatMap((seat): DragElement[] => {
      const { shape } = partTypes.get(seat.partTypeId)!;
      const loose = shape.kind === "friction-washer";
      if ("outsideMm" in shape && "insideMm" in shape)
        return [{ member: loose ? "none" : seat.turnsWith, outsideMm: shape.outsideMm, insideMm: shape.insideMm, mu: loose ? mu : null }];
      return shape.kind === "gear" && shape.cupMm
        ? [{ member: seat.turnsWith, outsideMm: shape.cupMm, insideMm: shape.boreMm, mu: null }]
        : [];
    });
  const lever = model.family === "lever-drag";
  const [gear, pinion] = [shapeOf("main-gear"), shapeOf("pinion")];
  const onGear = model.family.startsWith("star") || model.family.startsWith("baitcaster");
  const ratio = onGear && gear?.kind === "gear" && pinion?.kind === "pinion" ? gear.teeth / pinion.teeth : 1;
  const star: Star = {
    pitchMm: modelNumbers.pitch.usual,
    springs: stackOf([true, false].map((up) => ({ disc: { outsideMm: 20, insideMm: 10.2, thicknessMm: 0.8, coneHeightMm: 0.55 }, up }))),
    stackStiffnessNPerMm: modelNumbers.stiffness.usual,
    endStopTurns: modelNumbers.stop.usual,
  };
  const of = (test: keyof typeof settings, mu: number) => {
    const force = lever
      ? leverForce({ stiffnessNPerMm: modelNumbers.leverStiffness.usual, cam, knobPitchMm: 0.5, knobTurns: 0.4, gapMm: 0.2 }, leverAt[test])
      : starForce(star, settings[test]).forceN;
    const path = { ratio, efficiency: ratio === 1 ? 1 : modelNumbers.efficiency.usual, lossNmm: modelNumbers.loss.usual };
    return pullN({ stackNmm: capacityNmm(elements(mu), force, "uniform-pressure"), ...path }, lineRadiusMm);
  };
  const stack = elements(0.2);
  const slips = stack.length > 1 && of("drag-strike", 0.2) > 2;
  return { lineRadiusMm, pull: slips ? of : null };
}

export interface WorldReading {
  readonly testId: TestId;
  readonly verdict: Verdict;
  readonly value: number | null;
}

/** Which wear a test feels, the worst of it counting. */
const felt: Partial<Record<TestId, readonly string[]>> = {
  "free-spool": ["spool-bearing"],
  turning: ["grease", "gears", "gear-bearing"],
  "drag-light": ["drag"],
  "drag-strike": ["drag"],
  "drag-full": ["drag"],
  "anti-reverse": ["dog-spring", "clutch"],
  click: ["click"],
  bail: ["bail-spring"],
  roller: ["roller"],
  "level-wind": ["worm"],
};

const round = (value: number, digits = 1) => Math.round(value * 10 ** digits) / 10 ** digits;

/** What the tests of a reel show at so many outings: laws with the scatter of hand and instrument. Without wear, after the work. */
export function readingsOf(
  random: Seeded,
  reel: HiddenReel,
  trips: number,
  physics: ModelPhysics,
  tests: readonly TestSpec[],
): WorldReading[] {
  const worn = (ids: readonly string[]) =>
    Math.max(0, ...reel.components.filter(({ spec }) => ids.includes(spec.id)).map((component) => wornShare(component, trips)));
  return tests.map(({ id, unit }) => {
    const share = worn(felt[id] ?? []);
    const draw = random.uniform();
    const verdict: Verdict = share >= 1 ? (draw < 0.85 ? "bad" : "doubtful") : share >= 0.8 ? (draw < 0.5 ? "doubtful" : "good") : "good";
    const value = ((): number | null => {
      switch (id) {
        case "free-spool":
          return unit === "s"
            ? round(
                stopSeconds(2 * Math.PI * 10, { a: reel.rubbing * (1 + 2 * Math.min(1.4, share) ** 2), b: 0.02, c: 0.0004 }) *
                  random.lognormal(1, 0.06),
              )
            : null;
        case "turning":
          return round(8.5 * (1 + 1.1 * Math.min(1.5, share) ** 2) * random.lognormal(1, 0.06));
        case "drag-light":
        case "drag-strike":
        case "drag-full":
          return physics.pull
            ? round(physics.pull(id, reel.freshMu * (1 - 0.4 * Math.min(1.3, share))) * random.lognormal(1, 0.025))
            : null;
        case "anti-reverse":
          return share >= 1 ? random.whole(2, 6) : 0;
        case "click":
          return round(22 - 9 * Math.min(1.2, share) + random.normal(0, 1));
        case "bail":
          return share >= 1 ? random.whole(4, 8) : 10;
        default:
          return null;
      }
    })();
    return { testId: id, verdict, value: unit === null ? null : value };
  });
}
