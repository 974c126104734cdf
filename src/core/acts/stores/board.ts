import { boardOf, shows } from "@/core/acts/act/board";
import { countBin } from "./count-bin";

export interface CountedBin {
  readonly type: { readonly id: string };
  readonly count: number;
}

/** The bins of a walk as they are counted. */
export const walkBoard = <B extends CountedBin = CountedBin>() =>
  boardOf<readonly B[]>([
    shows(countBin, (bins, { partTypeId, count }) => bins.map((bin) => (bin.type.id === partTypeId ? { ...bin, count } : bin))),
  ]);
