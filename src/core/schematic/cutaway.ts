import type { Anatomy, PartType, Position } from "@/core/anatomy/types";
import { drawGlyph, type Glyph } from "@/core/glyphs/draw-glyph";

export interface PlacedGlyph {
  readonly positionId: string;
  readonly name: string;
  readonly glyph: Glyph;
  readonly x: number;
  /** Page y of its own axis. */
  readonly y: number;
}

export interface Cutaway {
  /** What is in its seat now, in the order it is painted. */
  readonly seated: readonly PlacedGlyph[];
  /** The next part, hovering over its seat on its own axis. */
  readonly next: PlacedGlyph | null;
  /** Where the next part will sit, for the leader from part to seat. */
  readonly seatX: number;
  readonly viewBox: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
}

const hoverMm = 16;
const marginMm = 5;

/**
 * The assembly as it should look now: the parts that are in, packed along their axis, and the next part over its seat, the right way round.
 * A part stands on the highest of what it rests on; what it only rides on passes through it.
 * @param seatedIds positions that are in; @param nextId the position whose part comes now, or null.
 */
export function cutaway(
  anatomy: Anatomy,
  partTypes: ReadonlyMap<string, PartType>,
  assemblyId: string,
  seatedIds: ReadonlySet<string>,
  nextId: string | null,
): Cutaway {
  const positions = anatomy.positions.filter((position) => position.assemblyId === assemblyId).sort((a, b) => a.ordinal - b.ordinal);
  const glyphOf = (position: Position): Glyph => {
    const type = partTypes.get(position.partTypeId);
    if (!type) throw new Error(`cutaway: no part type ${position.partTypeId}`);
    return drawGlyph(type.shape, { turned: position.turned, material: type.material, leastThicknessMm: 1.1 });
  };
  const top = new Map<string, number>();
  const placed = new Map<string, PlacedGlyph>();
  let nextGlyph: Glyph | null = null;
  for (const position of positions) {
    const glyph = glyphOf(position);
    const under = [...position.restsOn, ...position.passesThrough].map((id) => top.get(id)).filter((x) => x !== undefined);
    const rides = position.ridesOn !== undefined && placed.has(position.ridesOn) ? placed.get(position.ridesOn)!.x + 2.5 : 0;
    const base = position.alongMm ?? (under.length ? Math.max(...under) : rides);
    // A screw that is home shows its head only: the shank is in what it holds.
    const { shape } = partTypes.get(position.partTypeId)!;
    const home = shape.kind === "screw" ? drawGlyph({ ...shape, lengthMm: 0.1, threadedMm: 0.1 }) : glyph;
    top.set(position.id, base + home.length);
    placed.set(position.id, { positionId: position.id, name: position.name, glyph: home, x: base, y: -position.acrossMm });
    if (position.id === nextId) nextGlyph = glyph;
  }
  const seated = [...placed.values()]
    // What hovers over its seat does not lie in it as well.
    .filter((item) => seatedIds.has(item.positionId) && item.positionId !== nextId)
    .sort((a, b) => a.x - b.x || a.glyph.length - b.glyph.length);
  const home = nextId ? (placed.get(nextId) ?? null) : null;
  const edge = Math.max(0, ...seated.map((item) => item.x + item.glyph.right));
  const next = home && nextGlyph ? { ...home, glyph: nextGlyph, x: Math.max(edge, home.x) + hoverMm - (nextGlyph as Glyph).left } : null;
  const all = next ? [...seated, next] : seated;
  const left = Math.min(0, ...all.map((item) => item.x + item.glyph.left)) - marginMm;
  const right = Math.max(30, ...all.map((item) => item.x + item.glyph.right)) + marginMm;
  const topY = Math.min(-10, ...all.map((item) => item.y - item.glyph.up)) - marginMm;
  const bottom = Math.max(10, ...all.map((item) => item.y + item.glyph.down)) + marginMm;
  return {
    seated,
    next,
    seatX: home ? home.x + home.glyph.length : 0,
    viewBox: { x: left, y: topY, width: right - left, height: bottom - topY },
  };
}
