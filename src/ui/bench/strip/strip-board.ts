import type { Position } from "@/core/anatomy/types";
import type { Well } from "@/core/teardown/well";
import type { QueuedPress } from "@/ui/act/press-queue";

/** What lies in the tray and what is served where it sits: what the hand changes at Strip. */
export interface StripState {
  readonly wells: readonly Well[];
  readonly inPlace: readonly { readonly positionId: string; readonly reason: string }[];
}

interface Input {
  readonly positionIds?: readonly string[];
  readonly absent?: readonly string[];
  readonly positionId?: string;
  readonly reason?: string;
}

/** Takes one press as the server will: a press that the state has already changes nothing. @param seats of the model, by id. */
export const stripPress =
  (seats: ReadonlyMap<string, Position>) =>
  (state: StripState, { act, input }: QueuedPress): StripState => {
    const { positionIds = [], absent = [], positionId, reason = "" } = input as Input;
    if (act === "take-parts") {
      const lying = new Set(state.wells.map((well) => well.positionId));
      const fresh = positionIds.filter((id) => !lying.has(id));
      if (!fresh.length) return state;
      const number = (state.wells.at(-1)?.well ?? 0) + 1;
      const wells = fresh.map((id, i): Well => {
        const seat = seats.get(id);
        const gone = absent.includes(id);
        return {
          well: number,
          place: i + 1,
          positionId: id,
          instanceId: 0,
          verdict: gone ? "missing" : "ok",
          dressed: "",
          orientation: gone ? "" : (seat?.orientation ?? ""),
          note: "",
          hole: seat?.hole ?? "",
          thread: null,
          foundCount: gone ? 0 : 1,
          photoHash: null,
          takenAt: "",
          cleanedAt: null,
          cleanAs: null,
          cleanedHow: null,
          soakId: null,
          leftOutReason: null,
          renewed: false,
          refitted: false,
          toRenew: [],
          rowVersion: 0,
        };
      });
      return { ...state, wells: [...state.wells, ...wells], inPlace: state.inPlace.filter((one) => !fresh.includes(one.positionId)) };
    }
    if (act === "put-back") return { ...state, wells: state.wells.filter((well) => !positionIds.includes(well.positionId)) };
    if (act === "serve-in-place" && positionId && !state.inPlace.some((one) => one.positionId === positionId))
      return { ...state, inPlace: [...state.inPlace, { positionId, reason }] };
    return state;
  };
