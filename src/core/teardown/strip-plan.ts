import type { Anatomy, PartType } from "@/core/anatomy/types";
import type { JobKind } from "@/core/vocabulary/job-kinds";
import type { Choice } from "@/core/ways/ways";
import { reachOf } from "./reach";
import { sealUnitOf } from "./seal-unit";

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
