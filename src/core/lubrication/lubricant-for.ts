import type { Lubricant, PartType, Position } from "@/core/anatomy/types";
import type { DragWish } from "@/core/intake/lists";

export interface LubricantAdvice extends Lubricant {
  /** Whose rule it is, nearest first: the part's own nature, this customer's wish, the shop's way, the model. */
  readonly ruledBy: "part" | "customer" | "shop" | "model";
}

/** Materials that are ruined by any lubricant: an old dry lining slips for good once it is greased (common practice). */
const alwaysDry: ReadonlySet<string> = new Set(["old dry lining"]);

/**
 * What goes on a part as it is fitted, or null when nothing does.
 * Precedence: the part's nature, then the customer's wish for the drag, then the shop's way, then what the model says (common practice:
 * greased starts smooth and stands salt, dry pulls most).
 */
export function lubricantFor(
  position: Position,
  type: PartType,
  wishes: { drag: DragWish; shopDrag: "greased" | "dry" },
): LubricantAdvice | null {
  if (alwaysDry.has(type.material))
    return {
      product: "nothing",
      amount: "leave it dry",
      why: "an old dry lining slips for good once it is greased; do not sand, brush or blow it",
      ruledBy: "part",
    };
  if (type.shape.kind === "bearing" && type.shape.closure === "sealed")
    return {
      product: "nothing inside",
      amount: "wipe the seals",
      why: "a sealed bearing cannot be oiled; replace it when it is rough",
      ruledBy: "part",
    };
  if (type.shape.kind === "friction-washer") {
    const wish = wishes.drag === "shop" ? wishes.shopDrag : wishes.drag;
    const ruledBy = wishes.drag === "shop" ? "shop" : "customer";
    if (wish === "dry")
      return {
        product: "nothing",
        amount: "clean and dry",
        why: ruledBy === "customer" ? "the customer wants the most pull" : "this shop's way",
        ruledBy,
      };
    return { product: "drag grease", amount: "a film, wiped till the weave shows", why: "smooth start, stands salt", ruledBy };
  }
  return position.lubricant ? { ...position.lubricant, ruledBy: "model" } : null;
}
