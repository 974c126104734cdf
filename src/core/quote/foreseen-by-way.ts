import { isMadeOf } from "@/core/anatomy/material";
import { sizeWords } from "@/core/anatomy/shapes";
import type { PartType, Position } from "@/core/anatomy/types";
import { isSeal } from "@/core/teardown/seal-unit";
import type { Choice } from "@/core/ways/ways";

export interface Foreseen {
  readonly positionId: string;
  readonly words: string;
}

/** Plain bearings, which a ball bearing of their size can stand in for. */
const bushRoles: ReadonlySet<string> = new Set(["gear-bush", "shaft-bush", "worm-bush"]);

const isSoft = (type: PartType) => type.shape.kind === "friction-washer" && isMadeOf(type, "supple");

/**
 * Parts a way foresees before anything is found. Bearings by the upgrade way, a bush of a bearing's size by a bearing; leather and felt
 * to carbon; seals of a sealed reel once a year. @param monthsSince months since this bench last renewed the seals; null when it never did.
 */
export function foreseenByWay(
  positions: readonly Position[],
  types: ReadonlyMap<string, PartType>,
  ways: { readonly bearings: Choice<"bearings">; readonly softDrag: Choice<"softDrag">; readonly seals: Choice<"seals"> },
  monthsSince: number | null,
  bearingOfSize: (size: { boreMm: number; outsideMm: number; widthMm: number }) => boolean,
): Foreseen[] {
  return positions.flatMap((position): Foreseen[] => {
    const type = types.get(position.partTypeId);
    if (!type) return [];
    if (position.onceOnly) return [{ positionId: position.id, words: `${position.name}: never used again once it is out` }];
    const { shape } = type;
    if (ways.bearings === "upgrade") {
      if (shape.kind === "bearing")
        return [
          {
            positionId: position.id,
            words: `${position.name}: a better bearing of ${sizeWords(shape)} (ceramic: louder, needs no oil)`,
          },
        ];
      if (shape.kind === "sleeve" && bushRoles.has(type.role)) {
        const size = { boreMm: shape.boreMm, outsideMm: shape.outsideMm, widthMm: shape.lengthMm };
        if (bearingOfSize(size)) return [{ positionId: position.id, words: `${position.name}: a bearing in place of the bush, same size` }];
      }
    }
    if (ways.softDrag === "carbon" && isSoft(type))
      return [{ positionId: position.id, words: `${position.name}: carbon instead of ${type.material}` }];
    if (ways.seals === "yearly" && isSeal(type) && (monthsSince === null || monthsSince >= 12))
      return [{ positionId: position.id, words: `${position.name}: seals are replaced every year` }];
    return [];
  });
}
