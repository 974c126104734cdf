import { foreseeKit } from "./foresee-kit";
import { need } from "./need";
import { needSeveral } from "./need-several";
import { overrideSeat } from "./override-seat";
import { unuse } from "./unuse";
import { use } from "./use";
import { useDonorPiece } from "./use-donor-piece";
import { usePiece } from "./use-piece";
import { useSeveral } from "./use-several";
import { wantInstead } from "./want-instead";

/** What hands do here. */
export const partsActs = [
  wantInstead,
  useDonorPiece,
  foreseeKit,
  use,
  unuse,
  need,
  needSeveral,
  overrideSeat,
  usePiece,
  useSeveral,
] as const;
