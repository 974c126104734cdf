import { sizeWords } from "@/core/anatomy/shapes";
import type { Anatomy, PartType, Position } from "@/core/anatomy/types";
import type { JobKind } from "@/core/intake/job-kinds";
import { reachOf } from "@/core/teardown/reach";
import type { Choice } from "./schools";

/** Everything a school other than oil and grease changes at the bench; each is asked where the act is. Source: common practice. */

/** Seats that carry the whole fluid seal: they come out as one unit. */
const sealUnit: ReadonlySet<string> = new Set(["roller-clutch", "clutch-sleeve", "seal-magnet", "clutch-cap"]);

/**
 * The seats of a clutch sealed with magnetic fluid, with what lies between them: they come out as one. Empty where there is no such seal.
 */
export function sealUnitOf(anatomy: Pick<Anatomy, "positions">, types: ReadonlyMap<string, PartType>): Set<string> {
  const roleOf = (position: Position) => types.get(position.partTypeId)?.role ?? "";
  if (!anatomy.positions.some((position) => roleOf(position) === "seal-magnet")) return new Set();
  const core = new Set(anatomy.positions.filter((position) => sealUnit.has(roleOf(position))).map(({ id }) => id));
  const byId = new Map(anatomy.positions.map((position) => [position.id, position]));
  /** Everything below a seat that it rests on, as long as that is above something of the unit. */
  const restsOnUnit = (id: string, seen = new Set<string>()): boolean =>
    (byId.get(id)?.restsOn ?? []).some((below) => core.has(below) || (!seen.has(below) && restsOnUnit(below, seen.add(below))));
  const unit = new Set(core);
  for (const id of core) {
    const queue = [...(byId.get(id)?.restsOn ?? [])];
    for (let below = queue.pop(); below !== undefined; below = queue.pop())
      if (!unit.has(below) && restsOnUnit(below)) {
        unit.add(below);
        queue.push(...(byId.get(below)?.restsOn ?? []));
      }
  }
  return unit;
}

export interface StripPlan {
  /** Seats expected to come off. */
  readonly off: ReadonlySet<string>;
  /** Why the others stay; empty when nothing stays. */
  readonly because: string;
}

/**
 * Which seats are expected to come off. To the last screw: all. Only what the complaint needs: the assemblies of the named sides, and
 * those of the frame that must be off to reach them. Outside only: none; the reel is oiled at its outer points.
 * A fluid-sealed clutch that is sent or lifted comes out as one (sealUnitOf) and is not taken apart.
 */
export function stripPlan(
  anatomy: Pick<Anatomy, "assemblies" | "positions">,
  types: ReadonlyMap<string, PartType>,
  ways: { readonly depth: Choice<"depth">; readonly fluidSeal: Choice<"fluidSeal"> },
  need: { readonly kind: JobKind; readonly sides: ReadonlySet<"handle" | "tail" | "frame"> },
): StripPlan {
  const all = new Set(anatomy.positions.map(({ id }) => id));
  const depth = need.kind === "full-service" ? "full" : need.kind === "light-service" ? "light" : ways.depth;
  if (depth === "light") return { off: new Set(), because: "outside only: a few points, nothing is opened" };
  let off = all;
  const reasons: string[] = [];
  if (depth === "complaint" && need.sides.size) {
    const wanted = anatomy.assemblies.filter(({ side }) => need.sides.has(side)).map(({ id }) => id);
    off = reachOf(
      anatomy,
      anatomy.positions.filter(({ assemblyId }) => wanted.includes(assemblyId)).map(({ id }) => id),
    );
    if (off.size < all.size) reasons.push("the complaint needs no more");
  }
  if (ways.fluidSeal !== "here" && [...sealUnitOf(anatomy, types)].some((id) => off.has(id)))
    reasons.push(
      ways.fluidSeal === "sent"
        ? "the sealed clutch is lifted as one and goes to its maker as it is"
        : "the sealed clutch is lifted as one, its seal unbroken",
    );
  return { off, because: reasons.join("; ") };
}

/**
 * The order in which parts are expected off, by bench order: everything in the model's own sequence, or one half (side) after the other.
 * @param expected seats in the model's order. The result keeps it within each half.
 */
export function byBenchOrder(
  anatomy: Pick<Anatomy, "assemblies" | "positions">,
  expected: readonly string[],
  way: Choice<"benchOrder">,
  mayGo: (id: string, off: ReadonlySet<string>) => boolean,
): string[] {
  if (way === "whole") return [...expected];
  const sideOf = new Map(anatomy.assemblies.map(({ id, side }) => [id, side]));
  const side = (id: string) => sideOf.get(anatomy.positions.find((position) => position.id === id)!.assemblyId)!;
  const left = [...expected];
  const order: string[] = [];
  const off = new Set(anatomy.positions.map(({ id }) => id).filter((id) => !expected.includes(id)));
  let here = left[0] ? side(left[0]) : null;
  while (left.length) {
    // Stay on this half as long as anything of it can come off; only then turn the reel over.
    const next = left.find((id) => side(id) === here && mayGo(id, off)) ?? left.find((id) => mayGo(id, off)) ?? left[0]!;
    here = side(next);
    order.push(next);
    off.add(next);
    left.splice(left.indexOf(next), 1);
  }
  return order;
}

/** Wells as they lie on the bench: rows of seats, each in its order. */
export function layOut<W extends { readonly assemblyId: string }>(wells: readonly W[], way: Choice<"layingOut">): W[][] {
  if (way === "left") return [[...wells]];
  if (way === "right") return [[...wells].reverse()];
  const trays = new Map<string, W[]>();
  for (const well of wells) trays.set(well.assemblyId, [...(trays.get(well.assemblyId) ?? []), well]);
  return [...trays.values()];
}

export interface Foreseen {
  readonly positionId: string;
  readonly words: string;
}

const isSeal = ({ shape }: PartType) => shape.kind === "o-ring" || shape.kind === "lip-seal";
const isSoft = ({ shape, material }: PartType) => shape.kind === "friction-washer" && (material === "leather" || material === "felt");

/**
 * Parts a school foresees before anything is found. Bearings by the upgrade school, a bush of a bearing's size by a bearing; leather and felt
 * to carbon; seals of a sealed reel once a year. @param monthsSince months since this bench last renewed the seals; null when it never did.
 */
export function foreseenBySchool(
  positions: readonly Position[],
  types: ReadonlyMap<string, PartType>,
  ways: { readonly bearings: Choice<"bearings">; readonly softDrag: Choice<"softDrag">; readonly seals: Choice<"seals"> },
  monthsSince: number | null,
  bearingOfSize: (size: { boreMm: number; outsideMm: number; widthMm: number }) => boolean,
): Foreseen[] {
  return positions.flatMap((position): Foreseen[] => {
    const type = types.get(position.partTypeId);
    if (!type) return [];
    const { shape } = type;
    if (ways.bearings === "upgrade") {
      if (shape.kind === "bearing")
        return [
          {
            positionId: position.id,
            words: `${position.name}: a better bearing of ${sizeWords(shape)} (ceramic is louder and needs no oil)`,
          },
        ];
      if (shape.kind === "sleeve" && /bush/.test(type.role)) {
        const size = { boreMm: shape.boreMm, outsideMm: shape.outsideMm, widthMm: shape.lengthMm };
        if (bearingOfSize(size)) return [{ positionId: position.id, words: `${position.name}: a bearing in place of the bush, same size` }];
      }
    }
    if (ways.softDrag === "carbon" && isSoft(type))
      return [{ positionId: position.id, words: `${position.name}: carbon instead of ${type.material}` }];
    if (ways.seals === "yearly" && isSeal(type) && (monthsSince === null || monthsSince >= 12))
      return [{ positionId: position.id, words: `${position.name}: seals are new every year` }];
    return [];
  });
}

/** What a bearing's feel and sound mean, by school: replace it, watch it, or leave it. */
export function bearingVerdict(
  way: Choice<"bearings">,
  found: { readonly rough: boolean; readonly talks: boolean },
): "replace" | "watch" | "ok" {
  if (way === "talk") return found.talks ? "replace" : found.rough ? "watch" : "ok";
  return found.rough || found.talks ? "replace" : "ok";
}
