import type { Anatomy, PartType, Position } from "@/core/anatomy/types";
import { drawGlyph, type Glyph } from "@/core/glyphs/draw-glyph";
import { movePath } from "@/core/glyphs/move-path";
import { cutaway } from "./cutaway";
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
  /** The assembly's id, with a number when it takes several plates; "overview" for the plate of the whole. */
  readonly id: string;
  readonly name: string;
  readonly assemblyId: string | null;
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
/** More than this on one plate and nobody finds a number. */
export const mostCallouts = 40;
/** Thin washers are drawn at least this thick. */
const leastThicknessMm = 1.3;

/** Like parts next to each other along the axis share one callout, if they lie the same way round. */
function groups(positions: readonly Position[]): Position[][] {
  const found: Position[][] = [];
  for (const position of positions) {
    const last = found.at(-1);
    const first = last?.[0];
    const alike =
      first !== undefined &&
      first.partTypeId === position.partTypeId &&
      first.turned === position.turned &&
      first.ridesOn === undefined &&
      // Seats of different editions are the one or the other, never both.
      first.editions.join() === position.editions.join();
    if (last && alike) last.push(position);
    else found.push([position]);
  }
  return found;
}

interface PlateItem {
  readonly partTypeId: string;
  readonly positionIds: readonly string[];
  readonly glyph: Glyph;
}

/**
 * Spreads items along one axis in their order, base at the left. Labels stand in a row above, in the order of the items: leaders run
 * straight up to the clearance line and then slant, and because both rows have one order no two leaders can cross. The plate grows in
 * drawing units rather than let anything overlap.
 */
function layOut(items: readonly PlateItem[], plate: Pick<Plate, "id" | "name" | "assemblyId">, firstItem: number): Plate {
  let cursor = 0;
  const placed = items.map((item) => {
    const x = cursor - item.glyph.left;
    cursor = x + item.glyph.right + gapMm;
    return { ...item, x };
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
    (item, i): Callout => ({
      ...item,
      item: firstItem + i,
      leader: [
        [rimX[i]!, -item.glyph.up],
        [rimX[i]!, clearanceY],
        [labelX[i]!, labelY],
      ],
      label: [labelX[i]!, labelY],
    }),
  );
  const left = Math.min(0, ...labelX.map((x) => x - labelWidth / 2)) - marginMm;
  const right = Math.max(width, ...labelX.map((x) => x + labelWidth)) + marginMm;
  return {
    ...plate,
    callouts,
    axis: { from: -3, to: width + 3 },
    labelWidth,
    labelHeight,
    viewBox: { x: left, y: labelY - labelHeight - 1, width: right - left, height: down - labelY + labelHeight + 1 + marginMm },
  };
}

/**
 * The exploded plates of one assembly: one, or several when it has more parts than a plate can carry. Each glyph is true to its diameters.
 * @param firstItem the item number of the first callout, so that numbers run on through the model's plates.
 * @throws Error for a part type it was not given: only a programmer can cause that.
 */
export function assemblyPlates(anatomy: Anatomy, partTypes: ReadonlyMap<string, PartType>, assemblyId: string, firstItem = 1): Plate[] {
  const positions = anatomy.positions
    .filter((position) => position.assemblyId === assemblyId)
    .sort((a, b) => a.ordinal - b.ordinal || (a.id < b.id ? -1 : 1));
  const name = anatomy.assemblies.find((assembly) => assembly.id === assemblyId)?.name ?? assemblyId;
  const items = groups(positions).map((group): PlateItem => {
    const type = partTypes.get(group[0]!.partTypeId);
    if (!type) throw new Error(`assemblyPlates: no part type ${group[0]!.partTypeId}`);
    return {
      partTypeId: type.id,
      positionIds: group.map((position) => position.id),
      glyph: drawGlyph(type.shape, { turned: group[0]!.turned, material: type.material, leastThicknessMm }),
    };
  });
  const count = Math.max(1, Math.ceil(items.length / mostCallouts));
  return Array.from({ length: count }, (_, i) =>
    layOut(
      items.slice(i * mostCallouts, (i + 1) * mostCallouts),
      { id: count === 1 ? assemblyId : `${assemblyId}-${i + 1}`, name: count === 1 ? name : `${name}, ${i + 1} of ${count}`, assemblyId },
      firstItem + i * mostCallouts,
    ),
  );
}

/** An assembly put together, as one drawing. */
function assembled(anatomy: Anatomy, partTypes: ReadonlyMap<string, PartType>, assemblyId: string): Glyph {
  const all = new Set(anatomy.positions.map((position) => position.id));
  const { seated } = cutaway(anatomy, partTypes, assemblyId, all, null);
  const paths = seated.flatMap(({ glyph, x, y }) => glyph.paths.map((path) => ({ ...path, d: movePath(path.d, x, y) })));
  const edge = (pick: (item: (typeof seated)[number]) => number, least: number) => Math.max(least, ...seated.map(pick));
  const highest = [...seated].sort((a, b) => b.glyph.up - b.y - (a.glyph.up - a.y))[0];
  return {
    paths,
    ...(highest ? { peak: highest.x + (highest.glyph.peak ?? (highest.glyph.left + highest.glyph.right) / 2) } : {}),
    left: -edge(({ glyph, x }) => -(x + glyph.left), 0),
    right: edge(({ glyph, x }) => x + glyph.right, 1),
    up: edge(({ glyph, y }) => glyph.up - y, 1),
    down: edge(({ glyph, y }) => glyph.down + y, 1),
    length: edge(({ glyph, x }) => x + glyph.length, 1),
  };
}

/** The plate of the whole: one callout for each assembly, each drawn put together, the last to go on at the right. */
export function overviewPlate(anatomy: Anatomy, partTypes: ReadonlyMap<string, PartType>): Plate {
  const items = [...anatomy.assemblies].reverse().map((assembly): PlateItem => {
    const seats = anatomy.positions.filter((position) => position.assemblyId === assembly.id);
    return {
      partTypeId: seats[0]?.partTypeId ?? "",
      positionIds: seats.map((position) => position.id),
      glyph: assembled(anatomy, partTypes, assembly.id),
    };
  });
  return layOut(items, { id: "overview", name: "All assemblies", assemblyId: null }, 1);
}

/** The plates of a whole model without the overview, item numbers running through. */
export function modelPlates(anatomy: Anatomy, partTypes: ReadonlyMap<string, PartType>): Plate[] {
  let item = 1;
  return anatomy.assemblies.flatMap((assembly) => {
    const plates = assemblyPlates(anatomy, partTypes, assembly.id, item);
    item += plates.reduce((sum, plate) => sum + plate.callouts.length, 0);
    return plates;
  });
}
