import type { Anatomy, PartType, Position } from "@/core/anatomy/types";
import { drawGlyph, type Glyph } from "@/core/glyphs/draw-glyph";
import { spaceOut } from "./isotonic";

export interface Callout {
  /** Item reference (ISO 6433): counted through the whole model, one for like parts. */
  readonly item: number;
  readonly partTypeId: string;
  /** Every seat this callout stands for; more than one prints as ×n. */
  readonly positionIds: readonly string[];
  readonly glyph: Glyph;
  /** Where the glyph's base sits on the axis, mm. */
  readonly x: number;
  /** Leader: from the rim straight up to the clearance line, then slanted to the label. */
  readonly leader: readonly (readonly [x: number, y: number])[];
  /** Middle of the label's lower edge. */
  readonly label: readonly [x: number, y: number];
}

export interface Plate {
  readonly assemblyId: string;
  readonly callouts: readonly Callout[];
  readonly viewBox: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
  readonly axis: { readonly from: number; readonly to: number };
  readonly labelWidth: number;
  readonly labelHeight: number;
}

const gapMm = 5;
const clearanceMm = 4;
const marginMm = 5;
/** A plate is looked at in a window of about this many pixels; a label is a target of about 40 of them there. */
const windowPx = { width: 850, height: 325 };
const labelPx = 40;
/** Thin washers are drawn at least this thick. */
const leastThicknessMm = 1.3;

/** Like parts next to each other along the axis share one callout, if they lie the same way round. */
function groups(positions: readonly Position[]): Position[][] {
  const found: Position[][] = [];
  for (const position of positions) {
    const last = found.at(-1);
    if (last && last[0]!.partTypeId === position.partTypeId && last[0]!.turned === position.turned && last[0]!.ridesOn === undefined)
      last.push(position);
    else found.push([position]);
  }
  return found;
}

/**
 * The exploded plate of one assembly: its parts spread along one axis in their order, base at the left, each glyph true to its diameters.
 * Labels stand in a row above, in the order of the parts: leaders run straight up to the clearance line and then slant, and because both
 * rows have one order no two leaders can cross. The plate grows in drawing units rather than let anything overlap.
 * @param firstItem the item number of the first callout, so that numbers run on through the model's plates.
 */
export function assemblyPlate(anatomy: Anatomy, partTypes: ReadonlyMap<string, PartType>, assemblyId: string, firstItem = 1): Plate {
  const positions = anatomy.positions
    .filter((position) => position.assemblyId === assemblyId)
    .sort((a, b) => a.ordinal - b.ordinal || (a.id < b.id ? -1 : 1));
  let cursor = 0;
  const placed = groups(positions).map((group) => {
    const type = partTypes.get(group[0]!.partTypeId);
    if (!type) throw new Error(`assemblyPlate: no part type ${group[0]!.partTypeId}`);
    const glyph = drawGlyph(type.shape, { turned: group[0]!.turned, material: type.material, leastThicknessMm });
    const x = cursor - glyph.left;
    cursor = x + glyph.right + gapMm;
    return { group, glyph, x };
  });
  const width = Math.max(0, cursor - gapMm);
  const up = Math.max(...placed.map(({ glyph }) => glyph.up), 1);
  const down = Math.max(...placed.map(({ glyph }) => glyph.down), 1);
  const clearanceY = -up - clearanceMm;
  const perPixel = Math.max(width / windowPx.width, (up + down + 30) / windowPx.height);
  const labelWidth = labelPx * perPixel;
  const labelHeight = labelWidth * 0.8;
  const labelY = clearanceY - labelHeight * 0.9;
  // The leader leaves from the rim's highest point of the face that is seen, not from the middle of a long part.
  const rimX = placed.map(({ glyph, x }) => x + (glyph.peak ?? (glyph.left + glyph.right) / 2));
  const labelX = spaceOut(rimX, labelWidth * 1.12);
  const callouts = placed.map(
    ({ group, glyph, x }, i): Callout => ({
      item: firstItem + i,
      partTypeId: group[0]!.partTypeId,
      positionIds: group.map((position) => position.id),
      glyph,
      x,
      leader: [
        [rimX[i]!, -glyph.up],
        [rimX[i]!, clearanceY],
        [labelX[i]!, labelY],
      ],
      label: [labelX[i]!, labelY],
    }),
  );
  const left = Math.min(0, ...labelX.map((x) => x - labelWidth / 2)) - marginMm;
  const right = Math.max(width, ...labelX.map((x) => x + labelWidth)) + marginMm;
  return {
    assemblyId,
    callouts,
    axis: { from: -3, to: width + 3 },
    labelWidth,
    labelHeight,
    viewBox: { x: left, y: labelY - labelHeight - 1, width: right - left, height: down - labelY + labelHeight + 1 + marginMm },
  };
}

/** The plates of a whole model, item numbers running through. */
export function modelPlates(anatomy: Anatomy, partTypes: ReadonlyMap<string, PartType>): Plate[] {
  let item = 1;
  return anatomy.assemblies.map((assembly) => {
    const plate = assemblyPlate(anatomy, partTypes, assembly.id, item);
    item += plate.callouts.length;
    return plate;
  });
}
