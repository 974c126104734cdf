import { boardOf, shows } from "@/core/acts/act/board";
import type { Position } from "@/core/anatomy/types";
import type { Well } from "@/core/teardown/well";
import { leaveIn } from "./leave-in";
import { putBack } from "./put-back";
import { serveInPlace } from "./serve-in-place";
import { brokeOpening, freshWells, notThere, takeParts } from "./take-parts";

/** What lies in the tray and what is served where it sits: what the hand changes at Strip. */
export interface StripState {
  readonly wells: readonly Well[];
  readonly inPlace: readonly { readonly positionId: string; readonly reason: string }[];
}

/** A part that has just come off, before anybody looked at it. */
const justOff = {
  instanceId: 0,
  verdict: "ok",
  dressed: "",
  forOwner: false,
  cameApart: false,
  note: "",
  thread: null,
  lies: null,
  foundCount: 1,
  photoHash: null,
  takenAt: "",
  cleanedAt: null,
  cleanAs: null,
  cleanedHow: null,
  soakId: null,
  leftOutReason: null,
  renewed: false,
  refitted: false,
  declined: false,
  unrepaired: false,
  toRenew: [],
  rowVersion: 0,
} as const;

/** @param seats of the model, by id. */
export const stripBoard = (seats: ReadonlyMap<string, Position>) =>
  boardOf<StripState>([
    shows(takeParts, (state, { positionIds, absent, broke = [] }) => {
      const lying = new Set(state.wells.map(({ positionId }) => positionId));
      const fresh = positionIds.filter((id) => !lying.has(id));
      if (!fresh.length) return state;
      const wells = freshWells(state.wells, fresh, seats).map((well): Well => {
        return {
          ...justOff,
          ...well,
          ...(absent.includes(well.positionId) ? notThere : broke.includes(well.positionId) ? brokeOpening : {}),
        };
      });
      // What was to stay came off after all.
      return { wells: [...state.wells, ...wells], inPlace: state.inPlace.filter(({ positionId }) => !fresh.includes(positionId)) };
    }),
    shows(putBack, (state, { positionIds = [] }) => ({
      ...state,
      wells: state.wells.filter(({ positionId }) => !positionIds.includes(positionId)),
    })),
    shows(leaveIn, (state, { positionIds, stays }) => {
      const lying = new Set(state.wells.map(({ positionId }) => positionId));
      const others = state.inPlace.filter(({ positionId }) => !positionIds.includes(positionId));
      const left = positionIds.filter((id) => !lying.has(id)).map((positionId) => ({ positionId, reason: "" }));
      return { ...state, inPlace: stays ? [...others, ...left] : others };
    }),
    shows(serveInPlace, (state, { positionId, reason }) => ({
      ...state,
      inPlace: [...state.inPlace.filter((one) => one.positionId !== positionId), { positionId, reason }],
    })),
  ]);
