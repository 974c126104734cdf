import { fitFaults } from "@/core/anatomy/check-fit";
import type { PartKind } from "@/core/anatomy/shapes";
import { type Anatomy, type PartType, type Position, placeOperationId } from "@/core/anatomy/types";
import { dragStackOf, workingGaps } from "@/core/drag/working-gaps";
import { kept } from "@/core/kept";
import { orderReasons } from "./build-order";
import { type WellVerdict, waitsForNew } from "./verdicts";
import { type Found, wayRound } from "./way-round";

/** What is looked at once more before a cover hides it. */
const watched: ReadonlySet<PartKind> = new Set(["bearing", "friction-washer", "keyed-washer", "eared-washer", "cupped-washer"]);

/** How a seat stands in this build. */
export interface SeatState {
  /** In the reel now: never off, or fitted again. */
  readonly seated: boolean;
  readonly verdict: WellVerdict;
  /** A new piece lies there. */
  readonly renewed: boolean;
  readonly declined: boolean;
  readonly unrepaired: boolean;
  /** How it lay when it came off. */
  readonly found: Found;
  readonly foundCount: number;
  /** It stays out on purpose. */
  readonly leftOut?: boolean;
}

export interface BuriedRow {
  readonly positionId: string;
  readonly name: string;
  /** How it has to lie. */
  readonly lies: string;
  readonly seated: boolean;
}

export interface BeforeBuried {
  /** What the next part covers, from the base up. */
  readonly rows: readonly BuriedRow[];
  /** What is wrong with it; the cover does not go on without a reason. */
  readonly faults: readonly string[];
  /** What a bench looks at twice, without being able to say that it is wrong. */
  readonly doubts: readonly string[];
  /** Slipping places of a drag stack that is covered, as it stands and as the model has it; null where no stack is covered. */
  readonly gaps: { readonly now: number; readonly model: number } | null;
}

/**
 * What must be in before each seat is filled, by whatever road: seats, and the acts that stand between them. Once a seat is filled, none of
 * these can be reached any more. What only comes later, rides on it, or is the part in the hand is never among them.
 */
function lieUnder(anatomy: Anatomy): (positionId: string) => ReadonlySet<string> {
  const before = new Map<string, string[]>();
  for (const reason of orderReasons(anatomy)) before.set(reason.after, [...(before.get(reason.after) ?? []), reason.before]);
  const seatOf = new Map(anatomy.positions.map(({ id }) => [placeOperationId(id), id]));
  const found = new Map<string, ReadonlySet<string>>();
  const find = (positionId: string): ReadonlySet<string> => {
    const seen = new Set(before.get(placeOperationId(positionId)) ?? []);
    // A set hands out what is added to it while it is walked.
    for (const id of seen) for (const earlier of before.get(id) ?? []) seen.add(earlier);
    return new Set([...seen].flatMap((id) => seatOf.get(id) ?? []));
  };
  return (positionId) => found.get(positionId) ?? found.set(positionId, find(positionId)).get(positionId)!;
}
const underneath = kept(lieUnder, () => "");

/**
 * The check of bearings, tension washers and drag stack before the next part buries them: count, order, way round, fit by the sizes of the
 * pieces that really lie there, and working gaps. Null when the part buries nothing of the kind, or an earlier cover did already.
 * @param types the pieces in this reel by part type. @param states by seat; a seat without one was never touched.
 */
export function beforeBuried(
  anatomy: Anatomy,
  types: ReadonlyMap<string, PartType>,
  coverId: string,
  states: ReadonlyMap<string, SeatState>,
): BeforeBuried | null {
  const byId = new Map(anatomy.positions.map((position) => [position.id, position]));
  const kindOf = (position: Position) => types.get(position.partTypeId)?.shape.kind;
  const cover = byId.get(coverId);
  if (!cover || watched.has(kindOf(cover) ?? "body")) return null;
  const under = underneath(anatomy);
  const isWatched = (id: string) => watched.has(kindOf(byId.get(id)!) ?? "body");
  // A part that was never off is in, unless what it sits on is out: the knob lies in the tray with its handle.
  const isIn = (id: string): boolean => {
    const seat = byId.get(id);
    return states.get(id)?.seated ?? (seat ? [...seat.restsOn, ...(seat.ridesOn ? [seat.ridesOn] : [])].every(isIn) : true);
  };
  const hidden = new Set(
    anatomy.positions
      .filter((position) => position.id !== coverId && !isWatched(position.id) && isIn(position.id))
      .flatMap(({ id }) => [...under(id)]),
  );
  const covered = [...under(coverId)].filter((id) => isWatched(id) && states.has(id) && !states.get(id)!.leftOut && !hidden.has(id));
  if (!covered.length) return null;
  const seats = anatomy.positions.filter(({ id }) => covered.includes(id)).sort((a, b) => a.ordinal - b.ordinal);

  const faults: string[] = [];
  const doubts: string[] = [];
  for (const seat of seats) {
    const state = states.get(seat.id)!;
    if (!state.seated) faults.push(`${seat.name} is not fitted.`);
    else if (waitsForNew(state)) faults.push(`${seat.name} was to be replaced, but the old part is there.`);
    if (state.foundCount !== 1)
      doubts.push(`${seat.name}: ${state.foundCount} found here when it was opened, the drawing shows 1. Which is right for this reel?`);
    // By a value alone: words that differ may say the same.
    const { goesBack, turnedOver } = wayRound(seat, state.found);
    if (turnedOver)
      doubts.push(`${seat.name} was upside down when it came off. It belongs ${goesBack ? `“${goesBack}”` : "as it is drawn"}: turn it.`);
  }
  const names = new Set(seats.flatMap((seat) => [seat.name, types.get(seat.partTypeId)?.name ?? seat.name]));
  faults.push(...fitFaults(anatomy, types).filter((fault) => [...names].some((name) => fault.includes(name))));

  const stackAssembly = seats.find((seat) => kindOf(seat) === "friction-washer")?.assemblyId;
  const stack = stackAssembly ? dragStackOf(anatomy, types, stackAssembly) : [];
  const gaps = stack.length
    ? {
        model: workingGaps(stack.map(({ turnsWith }) => ({ member: turnsWith }))),
        // What still comes after this part is taken as coming: only what is about to be covered, or was left off, can be missing now.
        now: workingGaps(
          stack
            .filter(({ id }) => !states.get(id)?.leftOut && (!covered.includes(id) || states.get(id)!.seated))
            .map(({ turnsWith }) => ({ member: turnsWith })),
        ),
      }
    : null;
  // A reel that goes back as it came lacks what it lacked: it is told, and nobody is asked why.
  const asItCame = stack.every(({ id }) => {
    const state = states.get(id);
    return !state?.leftOut || state.unrepaired;
  });
  if (gaps && gaps.now !== gaps.model)
    (asItCame && stack.some(({ id }) => states.get(id)?.leftOut) ? doubts : faults).push(
      `The drag would slip in ${gaps.now} place${gaps.now === 1 ? "" : "s"} instead of ${gaps.model}: it pulls that much less.`,
    );
  return {
    rows: seats.map((seat) => ({
      positionId: seat.id,
      name: seat.name,
      lies: wayRound(seat, states.get(seat.id)!.found).goesBack,
      seated: states.get(seat.id)!.seated,
    })),
    faults,
    doubts,
    gaps,
  };
}
