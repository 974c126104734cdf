import { fitFaults } from "@/core/anatomy/check-fit";
import { kindWords, sizeWords } from "@/core/anatomy/shapes";
import type { Anatomy, PartType } from "@/core/anatomy/types";

export interface PieceJudgement {
  /** Whether it may go in: the same part, or one nothing tells apart. */
  readonly fits: boolean;
  readonly words: string;
}

const same = (a: number, b: number) => Math.abs(a - b) < 0.05;
const mm = (value: number) => `${Number(value.toFixed(1))} mm`;

/**
 * Whether the piece of another well may go into a seat: keyed for eared, a long screw for a short hole, a washer of another size.
 * @param pieceTypeId the part that is in the hand. @throws RangeError for a seat or part the model does not know.
 */
export function judgePiece(anatomy: Anatomy, types: ReadonlyMap<string, PartType>, seatId: string, pieceTypeId: string): PieceJudgement {
  const seat = anatomy.positions.find(({ id }) => id === seatId);
  const [own, piece] = [seat && types.get(seat.partTypeId), types.get(pieceTypeId)];
  if (!seat || !own || !piece) throw new RangeError("judgePiece: no such seat or part");
  if (own.id === piece.id) return { fits: true, words: `Same part: either can go into ${seat.name}.` };
  const [wants, is] = [own.shape, piece.shape];
  if (wants.kind !== is.kind)
    return { fits: false, words: `That is a ${kindWords[is.kind]} (${piece.name}); ${seat.name} takes a ${kindWords[wants.kind]}.` };
  if (wants.kind === "screw" && is.kind === "screw") {
    if (!same(wants.threadMm, is.threadMm))
      return { fits: false, words: `Its thread is M${is.threadMm}, this hole is M${wants.threadMm}.` };
    const hole = seat.hole ? ` (${seat.hole})` : "";
    if (!seat.through && seat.holeDepthMm !== undefined && is.lengthMm > seat.holeDepthMm)
      return {
        fits: false,
        words: `It is ${mm(is.lengthMm)} long, the hole${hole} ${mm(seat.holeDepthMm)} deep: it sticks out ${mm(is.lengthMm - seat.holeDepthMm)} on the other side.`,
      };
    if (is.lengthMm > wants.lengthMm + 0.4)
      return {
        fits: false,
        words: `It is ${mm(is.lengthMm - wants.lengthMm)} longer than what belongs here${hole}: it presses on the part behind.`,
      };
    if (is.lengthMm < wants.lengthMm - 0.4)
      return {
        fits: false,
        words: `It is ${mm(wants.lengthMm - is.lengthMm)} shorter than what belongs here${hole}: it holds by fewer turns.`,
      };
    // What matters is the smooth part: a spring rides on it, a plate turns on it.
    if (Math.abs(wants.lengthMm - wants.threadedMm - (is.lengthMm - is.threadedMm)) > 0.4)
      return {
        fits: false,
        words: `It is threaded over ${mm(is.threadedMm)}; here ${mm(wants.threadedMm)} of thread belong, the rest smooth.`,
      };
  }
  const seated: Anatomy = {
    ...anatomy,
    positions: anatomy.positions.map((one) => (one === seat ? { ...seat, partTypeId: piece.id } : one)),
  };
  const before = new Set(fitFaults(anatomy, types));
  const [fault] = fitFaults(seated, types).filter((words) => !before.has(words));
  if (fault) return { fits: false, words: fault };
  if (wants.kind !== "screw" && sizeWords(wants) !== sizeWords(is))
    return { fits: false, words: `${piece.name} is ${sizeWords(is)}; ${seat.name} takes ${own.name}, ${sizeWords(wants)}.` };
  return { fits: true, words: `${piece.name} has the sizes of ${own.name}: it fits.` };
}

/** Seats whose pieces could be taken for this one's: the same kind, another part. */
export function confusable(anatomy: Anatomy, types: ReadonlyMap<string, PartType>, seatId: string): string[] {
  const kindAt = (partTypeId: string) => types.get(partTypeId)?.shape.kind;
  const seat = anatomy.positions.find(({ id }) => id === seatId);
  const near = new Set(["keyed-washer", "eared-washer", "washer", "cupped-washer", "friction-washer"]);
  const kind = seat && kindAt(seat.partTypeId);
  if (!kind) return [];
  return anatomy.positions
    .filter((other) => {
      const otherKind = kindAt(other.partTypeId);
      return (
        other.partTypeId !== seat.partTypeId && (otherKind === kind || (near.has(kind) && otherKind !== undefined && near.has(otherKind)))
      );
    })
    .map(({ id }) => id);
}
