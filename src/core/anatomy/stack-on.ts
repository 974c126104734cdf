import type { PartShape } from "./shapes";
import type { Anatomy, PartType } from "./types";

/** Thickness along the axis with the drag closed, mm; null for kinds that clamp or cap a stack rather than stand in it. */
export function closedThicknessMm(shape: PartShape): number | null {
  switch (shape.kind) {
    case "washer":
    case "keyed-washer":
    case "eared-washer":
    case "friction-washer":
    case "cupped-washer": // closed, its cone is flat
    case "ratchet":
      return shape.thicknessMm;
    case "gear":
      // The stack lies in the cup, on its floor.
      return shape.cupMm === undefined ? shape.faceMm : (shape.floorMm ?? shape.faceMm / 3);
    case "bearing":
    case "lip-seal":
      return shape.widthMm;
    case "sleeve":
    case "roller-clutch":
      return shape.lengthMm;
    default:
      return null;
  }
}

/** How far along a part others can ride, mm; null for kinds that carry nothing. A bridge's post is a stub: the sleeve on it stands out. */
function carriesMm(shape: PartShape): number | null {
  switch (shape.kind) {
    case "sleeve":
    case "shaft":
    case "pin":
      return shape.lengthMm;
    case "spool":
      return shape.shaftLengthMm;
    default:
      return null;
  }
}

/**
 * How high the parts stand that ride on one seat's sleeve, shaft or post, drag closed, mm from its base, and which is the topmost.
 * A part stands where its seat says, else on the highest of what it rests on along the same sleeve, else at the base.
 * @returns null when nothing with a thickness rides there.
 */
export function stackOn(
  anatomy: Anatomy,
  types: ReadonlyMap<string, PartType>,
  seatId: string,
): { topMm: number; topSeat: string; lengthMm: number } | null {
  const carrier = types.get(anatomy.positions.find((position) => position.id === seatId)?.partTypeId ?? "");
  const lengthMm = carrier ? carriesMm(carrier.shape) : null;
  if (lengthMm === null) return null;
  const riding = new Map(anatomy.positions.filter((position) => position.ridesOn === seatId).map((position) => [position.id, position]));
  const tops = new Map<string, number>();
  const topOf = (id: string, above: ReadonlySet<string>): number => {
    const known = tops.get(id);
    if (known !== undefined) return known;
    const position = riding.get(id);
    if (!position || above.has(id)) return 0;
    const path = new Set(above).add(id);
    const base = position.alongMm ?? Math.max(0, ...position.restsOn.map((below) => topOf(below, path)));
    const shape = types.get(position.partTypeId)?.shape;
    const top = base + (shape ? (closedThicknessMm(shape) ?? 0) : 0);
    tops.set(id, top);
    return top;
  };
  let best: { topMm: number; topSeat: string } | null = null;
  for (const [id, position] of riding) {
    const shape = types.get(position.partTypeId)?.shape;
    if (!shape || closedThicknessMm(shape) === null) continue;
    const topMm = topOf(id, new Set());
    if (!best || topMm > best.topMm) best = { topMm, topSeat: id };
  }
  return best && { ...best, lengthMm };
}
