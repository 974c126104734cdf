import type { Anatomy, PartType } from "@/core/anatomy/types";
import { modelPlates, overviewPlate, type Plate } from "@/core/schematic/assembly-plate";

const known = new Map<string, readonly Plate[]>();
/** Machines whose plates are kept; when there are more it begins anew. */
const mostKept = 40;

/**
 * The overview of a machine and then its plates, laid out once for the same seats and parts: a page is drawn over and over, and a machine seldom
 * changes. What is given must be left as it is.
 */
export function keptPlates(anatomy: Anatomy, partTypes: ReadonlyMap<string, PartType>): readonly Plate[] {
  const used = new Set(anatomy.positions.map(({ partTypeId }) => partTypeId));
  const key = JSON.stringify([anatomy.assemblies, anatomy.positions, [...used].map((id) => partTypes.get(id))]);
  const kept = known.get(key);
  if (kept) return kept;
  if (known.size >= mostKept) known.clear();
  const plates = [overviewPlate(anatomy, partTypes), ...modelPlates(anatomy, partTypes)];
  known.set(key, plates);
  return plates;
}
