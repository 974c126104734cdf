import type { PartType, Position, Tightness } from "@/core/anatomy/types";

/**
 * How hard a fastener of a size is drawn, where a model says nothing else. Rule of thumb (common practice): up to 2 mm by the fingers, small
 * machine screws until they stop, nuts with the wrist. Some are drawn by what they hold: a rotor nut too tight cracks what is below it, and a
 * handle's screw has nothing else to keep it.
 */
const byWhatItHolds: Readonly<Record<string, Tightness>> = { "rotor-nut": "snug", "handle-screw": "firm" };
const tightnessOf = ({ shape, role }: PartType): Tightness | undefined => {
  if (byWhatItHolds[role]) return byWhatItHolds[role];
  if (shape.kind === "nut") return "firm";
  if (shape.kind !== "screw") return undefined;
  return shape.threadMm <= 2 ? "finger" : "snug";
};

/** Nuts with six flats: a lock catches at each. */
const hexagonal: ReadonlySet<string> = new Set(["handle-nut", "rotor-nut"]);

/** The order in which screws of one plate are started: outermost, the one farthest from it, then what lies between. */
function startOrders(seats: readonly Position[]): Map<string, number> {
  const left = [...seats].sort((a, b) => b.acrossMm - a.acrossMm);
  const order: Position[] = [];
  while (left.length) {
    const last = order.at(-1);
    const at = last
      ? left.reduce((best, s, i) => (Math.abs(s.acrossMm - last.acrossMm) > Math.abs(left[best]!.acrossMm - last.acrossMm) ? i : best), 0)
      : 0;
    order.push(...left.splice(at, 1));
  }
  return new Map(order.map((seat, i) => [seat.id, i + 1]));
}

/**
 * Fills a template's ledgers with what follows from its own sizes, never over what a row says: how hard a screw is drawn and in which order
 * it is started, the drops of an oil, the angle of a hexagonal nut. A screw whose hole nobody gave is marked to be verified.
 */
export function withLedgerDefaults(positions: readonly Position[], parts: ReadonlyMap<string, PartType>): Position[] {
  const groups = new Map<string, Position[]>();
  for (const seat of positions) {
    if (parts.get(seat.partTypeId)?.shape.kind !== "screw") continue;
    const plate = `${seat.assemblyId} ${seat.passesThrough[0] ?? seat.restsOn[0] ?? ""}`;
    groups.set(plate, [...(groups.get(plate) ?? []), seat]);
  }
  const starts = new Map([...groups.values()].filter((group) => group.length > 1).flatMap((group) => [...startOrders(group)]));
  return positions.map((seat) => {
    const part = parts.get(seat.partTypeId);
    if (!part) return seat;
    const drops = /^(?:\d+–)?(\d+) (?:small )?drops?\b/.exec(seat.lubricant?.amount ?? "")?.[1];
    const tightness = seat.tightness ?? tightnessOf(part);
    const startOrder = seat.startOrder ?? starts.get(seat.id);
    return {
      ...seat,
      ...(tightness ? { tightness } : {}),
      ...(startOrder ? { startOrder } : {}),
      ...(seat.lubricant && drops ? { lubricant: { ...seat.lubricant, drops: seat.lubricant.drops ?? Number(drops) } } : {}),
      ...(part.shape.kind === "nut" && hexagonal.has(part.role) && seat.indexDeg === undefined ? { indexDeg: 60 } : {}),
      ...(part.shape.kind === "screw" && seat.holeDepthMm === undefined && !seat.through && !seat.verify.includes("hole")
        ? { verify: [...seat.verify, "hole" as const] }
        : {}),
    };
  });
}
