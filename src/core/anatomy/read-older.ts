/**
 * Models written before these were values say them in words. They are read here when such a model is taken up, and nowhere else; what the model
 * says as a value stands.
 */
interface WrittenSeat {
  readonly orientation?: string | undefined;
  readonly asFound?: boolean | undefined;
  readonly twoSided?: boolean | undefined;
}

const asFound = /\bas (found|it came|it sat)\b|the way it sat|the customer had/i;
const twoSided = /\b(side|up|down|cup|face|convex|outward|inward)\b/i;
const provesDrag = /takes the drag|\bthe drag (runs|goes)\b/i;

/** How a seat's way round is meant: left to the reel, and whether its part has two sides at all. */
export const seatFromWords = <S extends WrittenSeat>(seat: S): S => ({
  ...seat,
  ...(seat.asFound === undefined && asFound.test(seat.orientation ?? "") ? { asFound: true } : {}),
  ...(seat.twoSided === undefined && twoSided.test(seat.orientation ?? "") ? { twoSided: true } : {}),
});

/** What a check proves. */
export const actFromWords = <A extends { readonly kind: string; readonly words?: unknown; readonly proves?: unknown }>(act: A): A => ({
  ...act,
  ...(act.kind === "gate" && act.proves === undefined && typeof act.words === "string" && provesDrag.test(act.words)
    ? { proves: "drag" }
    : {}),
});
