import type { PartType } from "@/core/anatomy/types";
import { isReelProduct, readProductClass } from "./products";

const casting: ReadonlySet<string> = new Set(["spool-bearing", "spool-bush"]);
const brakes: ReadonlySet<string> = new Set(["brake-drum", "brake-block", "brake-hub"]);
const thick: ReadonlySet<string> = new Set(["medium oil", "viscous reel oil"]);

/**
 * What speaks against a product on a part, in a sentence; null where nothing does. Judged where somebody writes it down or takes it instead of what the
 * rule says: it is kept only on purpose. @param product as written, in any words. Source: common practice.
 */
export function judgeProduct(type: Pick<PartType, "shape" | "role" | "material">, product: string): string | null {
  const words = product.trim().toLowerCase();
  const kind = readProductClass(words);
  if (!words || kind === "nothing") return null;
  if (type.role === "clutch-sleeve") return "The needles grip it: anything on it and the clutch slips.";
  if (type.role === "roller-clutch" && kind === "grease") return "Grease clogs the needles: the clutch slips.";
  if (brakes.has(type.role)) return kind === "grease" ? "Grease on a brake: it fades." : null;
  if (type.shape.kind === "friction-washer" && kind !== "grease") return "Oil on a drag: it slips.";
  if (type.shape.kind === "friction-washer" && isReelProduct(words) && words !== "drag grease")
    return "Only drag grease stands the heat of a drag.";
  if (casting.has(type.role) && kind === "grease" && type.shape.kind === "bearing")
    return "Grease in a casting bearing: much shorter casts.";
  if (casting.has(type.role) && thick.has(words)) return "Thick oil in a casting bearing: shorter casts.";
  if (type.material === "rubber" && !isReelProduct(words)) return "It swells rubber: use only products made for seals.";
  return isReelProduct(words) ? null : "Use only products made for reels.";
}
