import { waitsForNew } from "@/core/teardown/verdicts";
import type { Well } from "@/core/teardown/well";

/**
 * Where the hands go from a clean tray: to Parts as long as a new piece is wanted, else straight to Build.
 * @param wells with every reason for a new piece. @param quoted seats for which the quote names one.
 */
export function afterClean(
  wells: readonly Pick<Well, "positionId" | "verdict" | "renewed" | "declined" | "unrepaired" | "toRenew">[],
  quoted: readonly string[],
): "parts" | "build" {
  if (wells.some(({ unrepaired }) => unrepaired)) return "build";
  const here = new Set(wells.flatMap(({ positionId, renewed }) => (renewed ? [positionId] : [])));
  const wanted =
    wells.some((well) => waitsForNew(well) || (well.toRenew.length > 0 && !well.renewed)) || quoted.some((id) => !here.has(id));
  return wanted ? "parts" : "build";
}
