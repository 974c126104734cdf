import type { MistakeKind } from "@/core/vocabulary/mistakes";
import { olderLooks } from "./older-looks";

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

/** A look that was words alone: with its seats and what it shows where a family said it so, else at no seat. */
export function lookFromWords(words: string): { words: string; seats: string[]; shows: MistakeKind[] } {
  const [seats, ...shows] = Object.hasOwn(olderLooks, words) ? olderLooks[words]! : [[]];
  return { words, seats: [...seats], shows };
}
