import { isMadeOf } from "@/core/anatomy/material";
import { isSealed } from "@/core/anatomy/shapes";
import type { Lubricant, PartType, Position } from "@/core/anatomy/types";
import { mayBeAsbestos } from "@/core/safety/linings";
import { type Choice, type WayId, type WaysInForce, wayInForce } from "@/core/ways/ways";
import { classOfProduct, isReelProduct, type ReelProduct, readProductClass, reelProducts } from "./products";

export interface LubricantAdvice extends Omit<Lubricant, "product"> {
  readonly product: ReelProduct;
  /** Whose rule it is, strongest first: safety, the part's own nature, this job, the customer's wish, the shop's way, the model. */
  readonly ruledBy: "safety" | "part" | "job" | "customer" | "shop" | "model";
  /** What was wished or written and is not followed here, and why; empty when nothing was. */
  readonly overruled: string;
}

type Rule = Pick<LubricantAdvice, "product" | "amount" | "why"> & { readonly drops?: number };
type WayRule = { readonly [S in WayId]?: Readonly<Record<Choice<S>, Rule>> };
const rule = (product: ReelProduct, amount: string, why: string, drops?: number): Rule => ({
  product,
  amount,
  why,
  ...(drops ? { drops } : {}),
});

/** What each way puts where it differs. Source: common practice. */
const byWay = {
  drag: {
    greased: rule("drag grease", "a film, wiped till the weave shows", "smooth start, resists salt"),
    dry: rule("nothing", "clean and dry", "the most pull"),
  },
  leather: {
    greased: rule("drag grease", "worked in, wiped off", "keeps it supple"),
    bare: rule("nothing", "kept free of grease", "grease only on the gear's teeth"),
  },
  worm: {
    oil: rule("viscous reel oil", "1 to 2 drops", "grease holds grit", 2),
    grease: rule("reel grease", "a drop each side", "stays where it is put", 2),
  },
  spoolBearings: {
    drop: rule("light oil", "1 small drop", "more only slows it", 1),
    dry: rule("nothing", "dry after cleaning", "for speed; a dry-running one gets a drop after all"),
    warm: rule("light oil", "1 drop, warmed in", "it creeps in: a small heat source, never over open solvent", 1),
  },
  bearingSeats: {
    oiled: rule("medium oil", "1 to 2 drops", "light load, slow turning", 2),
    packed: rule("reel grease", "seat packed, bearing oiled first", "keeps salt out"),
  },
  click: {
    greased: rule("reel grease", "a dab", "keeps salt off; more quietens it"),
    dry: rule("nothing", "dry", "louder"),
  },
  clutchOil: {
    trace: rule("light oil", "a trace", "never grease: it clogs the needles and takes the grip", 1),
    generous: rule("light oil", "2 to 3 drops", "never grease: it clogs the needles and takes the grip", 3),
  },
  brakeDrum: {
    dry: rule("nothing", "bone dry", "with oil here the brakes fade"),
    wiped: rule("light oil", "a drop on the cloth, wiped", "no squeal; any more and the brakes fade", 1),
  },
  bridgeSleeve: {
    grease: rule("reel grease", "a film on the post", "the sleeve turns on it under load"),
    oil: rule("light oil", "1 drop", "freer, needs doing more often", 1),
  },
} as const satisfies WayRule;

/** The ways that say what goes on a part. */
export type LubricantWay = keyof typeof byWay;

const wayOfRole: Readonly<Record<string, LubricantWay>> = {
  worm: "worm",
  "spool-bearing": "spoolBearings",
  "gear-bearing": "bearingSeats",
  "pinion-bearing": "bearingSeats",
  "pressure-plate-bearing": "bearingSeats",
  "click-tongue": "click",
  "roller-clutch": "clutchOil",
  "brake-drum": "brakeDrum",
  // The sleeve turns on the bridge's post.
  bridge: "bridgeSleeve",
};

const isCeramicBearing = (type: PartType): boolean => type.shape.kind === "bearing" && isMadeOf(type, "ceramic");
const ceramic = rule("nothing", "dry", "ceramic balls need no oil; a drop makes them quieter if wanted");

/** The way that has a say on a part; null where practitioners agree. */
export function wayFor(type: PartType): LubricantWay | null {
  if (type.shape.kind === "friction-washer") return isMadeOf(type, "supple") ? "leather" : "drag";
  return wayOfRole[type.role] ?? null;
}

/** What nobody's wish may change; null where a wish may. */
function never(type: PartType): (Rule & { ruledBy: "safety" | "part" }) | null {
  if (mayBeAsbestos(type))
    return {
      ...rule("nothing", "leave it dry", "an old dry lining slips for good once it is greased; do not sand, brush or blow it"),
      ruledBy: "safety",
    };
  if (isSealed(type.shape))
    return {
      ...rule("nothing", "nothing inside; wipe the seals", "a sealed bearing cannot be oiled; replace it when it is rough"),
      ruledBy: "part",
    };
  if (type.role === "clutch-sleeve")
    return { ...rule("nothing", "clean and dry", "the needles grip it: anything on it and the clutch slips"), ruledBy: "part" };
  return null;
}

/**
 * What goes on a part as it is fitted, or null when nothing does. Precedence: safety, the part's nature, this job, the customer, the shop, the
 * model. What a wish or the model asked for and does not get is said in `overruled`. Source: common practice.
 */
export function lubricantFor(position: Position, type: PartType, ways: WaysInForce): LubricantAdvice | null {
  const way = wayFor(type);
  const wish = way ? wayInForce(way, ways) : null;
  const wished = way && wish ? (byWay[way] as Record<string, Rule>)[wish.choice]! : null;
  const model = position.lubricant;
  const fixed = never(type);
  if (fixed) {
    const asked = wished && wish!.by !== "shop" ? wished.product : (model?.product ?? wished?.product);
    const { ruledBy, ...what } = fixed;
    // Some pick the seals out and oil it; it is told why that is not done here, not done in silence.
    if (isSealed(type.shape) && wayInForce("sealedBearings", ways).choice === "oil")
      return {
        ...what,
        ruledBy,
        overruled: "not advised: the seals seldom seal again, the grease inside is lost and water gets in; replace it when it is rough",
      };
    return { ...what, ruledBy, overruled: asked && readProductClass(asked) !== "nothing" ? `${asked}: ${fixed.why}` : "" };
  }
  // Ceramic balls run dry unless this job or its customer wants a drop.
  if (isCeramicBearing(type) && (!wish || wish.by === "shop")) return { ...ceramic, ruledBy: "part", overruled: "" };
  if (wished && wish) {
    // The shop's way says no more than the model where the model knows its own reel; a wish does.
    if (
      wish.by === "shop" &&
      model &&
      isReelProduct(model.product) &&
      way !== "drag" &&
      way !== "leather" &&
      (way === "click" ? isDry(model.product) === isDry(wished.product) : agrees(model.product, wished.product))
    )
      return { ...model, product: model.product, ruledBy: "model", overruled: "" };
    const overruled = model && !agrees(model.product, wished.product) ? `${model.product}, as the model says` : "";
    // Only woven carbon has a weave to show.
    if (way === "drag" && wished.product !== "nothing" && !isMadeOf(type, "carbon"))
      return { ...wished, amount: "a thin film, wiped off", ruledBy: wish.by, overruled };
    return { ...wished, ruledBy: wish.by, overruled };
  }
  if (!model) return null;
  if (isCeramicBearing(type)) return { ...ceramic, ruledBy: "part", overruled: "" };
  if (!isReelProduct(model.product)) {
    const instead = insteadOf[readProductClass(model.product)];
    return { ...model, product: instead, ruledBy: "safety", overruled: `${model.product}: only products made for reels` };
  }
  return { ...model, product: model.product, ruledBy: "model", overruled: "" };
}

/** What stands in for a product that is not made for reels. */
const insteadOf = { nothing: "nothing", oil: "light oil", grease: "reel grease", fluid: "nothing", lock: "nothing" } as const;

/** Dry or not is all that the click's way asks. */
const isDry = (product: string): boolean => readProductClass(product) === "nothing";

/** Two products of one kind: both greases, both nothing, or both something that runs. */
const agrees = (a: string, b: string): boolean => {
  const kind = (product: string) => {
    const of = readProductClass(product);
    return of === "nothing" || of === "grease" ? of : "runs";
  };
  return kind(a) === kind(b);
};

export interface LubricantUse {
  readonly product: ReelProduct;
  readonly drops: number;
  /** Films, dabs and beads of a grease. */
  readonly dabs: number;
}

/** What a build uses, by product: drops of oils, dabs of greases. */
export function lubricantUse(advices: readonly ({ readonly product: string; readonly drops?: number } | null)[]): LubricantUse[] {
  const use = new Map<ReelProduct, { drops: number; dabs: number }>();
  for (const advice of advices) {
    // Thread-lock goes only where it was: that a screw went in does not say so. What is not made for reels is no tin of the shop's.
    if (!advice || !isReelProduct(advice.product) || advice.product === "nothing" || classOfProduct(advice.product) === "lock") continue;
    const used = use.get(advice.product) ?? { drops: 0, dabs: 0 };
    if (classOfProduct(advice.product) === "grease") used.dabs++;
    else used.drops += advice.drops ?? 1;
    use.set(advice.product, used);
  }
  return reelProducts.flatMap((product) => (use.has(product) ? [{ product, ...use.get(product)! }] : []));
}
