import type { Station } from "@/core/vocabulary/job-kinds";
import { type KeepsHere, stationOfBlock } from "./going-home";

/** What the main key of Return does now. */
export type ReturnKey =
  /** What would be refused leads to where it is put right. */
  | { readonly what: "go"; readonly station: Station }
  /** Only a person's word clears it, and this page asks for it. */
  | { readonly what: "say"; readonly about: string; readonly name: string }
  /** What came with it, handed over the counter. */
  | { readonly what: "give"; readonly items: readonly string[] }
  | { readonly what: "ready" }
  | { readonly what: "return" };

/**
 * What comes next for a reel that is to go home.
 * @param blocks what keeps it here, in the order a bench would clear it. @param hangs it hangs ready.
 */
export function returnNow(blocks: readonly KeepsHere[], hangs: boolean): ReturnKey {
  for (const block of blocks) {
    if (block.what === "open-fault") return { what: "say", about: block.faultId, name: block.name };
    if (block.what === "still-bad") return { what: "say", about: block.testId, name: block.name };
    // A reel may hang ready while its owner is asked; it goes home once they said yes.
    if (block.what === "over-limit" && !hangs) continue;
    const station = stationOfBlock(block);
    if (station) return { what: "go", station };
  }
  if (!hangs) return { what: "ready" };
  const items = blocks.flatMap((block) => (block.what === "brought" ? [block.item] : []));
  return items.length ? { what: "give", items } : { what: "return" };
}
