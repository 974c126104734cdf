import type { PartShape } from "./shapes";
import type { Anatomy, Lubricant, PartType, Position } from "./types";

/** One seat with its part, narrowed to the kind a ledger is about. */
export interface LedgerRow<Shape extends PartShape = PartShape> {
  readonly position: Position;
  readonly part: PartType & { readonly shape: Shape };
}

export interface Ledgers {
  readonly screws: readonly LedgerRow<Extract<PartShape, { kind: "screw" | "nut" }>>[];
  readonly bearings: readonly LedgerRow<Extract<PartShape, { kind: "bearing" }>>[];
  readonly seals: readonly LedgerRow<Extract<PartShape, { kind: "o-ring" | "lip-seal" }>>[];
  readonly lubrication: readonly { readonly position: Position; readonly part: PartType; readonly lubricant: Lubricant }[];
}

const isKind = <K extends PartShape["kind"]>(
  part: PartType,
  ...kinds: K[]
): part is PartType & { shape: Extract<PartShape, { kind: K }> } => (kinds as string[]).includes(part.shape.kind);

/** A machine's ledgers by position, each in the order of its assemblies and axes. */
export function ledgersOf(anatomy: Anatomy, types: ReadonlyMap<string, PartType>): Ledgers {
  const order = new Map(anatomy.assemblies.map((assembly, i) => [assembly.id, i]));
  const rows = [...anatomy.positions]
    .sort((a, b) => (order.get(a.assemblyId) ?? 0) - (order.get(b.assemblyId) ?? 0) || a.ordinal - b.ordinal)
    .flatMap((position) => {
      const part = types.get(position.partTypeId);
      return part ? [{ position, part }] : [];
    });
  const of = <K extends PartShape["kind"]>(...kinds: K[]) =>
    rows.flatMap(({ position, part }) => (isKind(part, ...kinds) ? [{ position, part }] : []));
  return {
    screws: of("screw", "nut"),
    bearings: of("bearing"),
    seals: of("o-ring", "lip-seal"),
    lubrication: rows.flatMap(({ position, part }) => (position.lubricant ? [{ position, part, lubricant: position.lubricant }] : [])),
  };
}

/** What one service takes of each product: counted drops, and places where the amount is in words. */
export function lubricantTotals(
  lubrication: Ledgers["lubrication"],
): { product: string; places: number; drops: number; inWords: number }[] {
  const totals = new Map<string, { product: string; places: number; drops: number; inWords: number }>();
  for (const { lubricant } of lubrication) {
    const total = totals.get(lubricant.product) ?? { product: lubricant.product, places: 0, drops: 0, inWords: 0 };
    total.places++;
    if (lubricant.drops === undefined) total.inWords++;
    else total.drops += lubricant.drops;
    totals.set(lubricant.product, total);
  }
  return [...totals.values()].sort((a, b) => b.places - a.places);
}

/** How a screw and its hole stand to each other; null where the hole's depth is not known. Positive spare is metal left under the tip, mm. */
export function holeSpareMm({ position, part }: Ledgers["screws"][number]): number | null {
  return part.shape.kind === "screw" && position.holeDepthMm !== undefined ? position.holeDepthMm - part.shape.lengthMm : null;
}
