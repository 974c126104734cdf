import type { Anatomy, PartType, Position } from "@/core/anatomy/types";
import type { Well } from "./well";

/** Seats that carry the whole fluid seal: they come out as one unit. */
const sealUnit: ReadonlySet<string> = new Set(["pack-washer", "roller-clutch", "clutch-sleeve", "seal-magnet", "clutch-cap"]);

/**
 * The seats of a clutch sealed with magnetic fluid, with what lies between them: they come out as one. Empty where there is no such seal.
 */
export function sealUnitOf(anatomy: Pick<Anatomy, "positions">, types: ReadonlyMap<string, PartType>): Set<string> {
  const roleOf = (position: Position) => types.get(position.partTypeId)?.role ?? "";
  if (!anatomy.positions.some((position) => roleOf(position) === "seal-magnet")) return new Set();
  const core = new Set(anatomy.positions.filter((position) => sealUnit.has(roleOf(position))).map(({ id }) => id));
  const byId = new Map(anatomy.positions.map((position) => [position.id, position]));
  /** Everything below a seat that it rests on, as long as that is above something of the unit. */
  const restsOnUnit = (id: string, seen = new Set<string>()): boolean =>
    (byId.get(id)?.restsOn ?? []).some((below) => core.has(below) || (!seen.has(below) && restsOnUnit(below, seen.add(below))));
  const unit = new Set(core);
  for (const id of core) {
    const queue = [...(byId.get(id)?.restsOn ?? [])];
    for (let below = queue.pop(); below !== undefined; below = queue.pop())
      if (!unit.has(below) && restsOnUnit(below)) {
        unit.add(below);
        queue.push(...(byId.get(below)?.restsOn ?? []));
      }
  }
  return unit;
}

/** A seal that a hand renews: a ring or a lip of rubber. */
export const isSeal = (type: Pick<PartType, "shape"> | undefined): boolean =>
  type?.shape.kind === "o-ring" || type?.shape.kind === "lip-seal";

/** Why an old seal wants a new one though no fault was proved: they are new every year here. */
export const sealOfTheYear = "seal-of-the-year";
/** Why a piece that came out of a seat for one piece alone wants a new one. */
export const onceOnly = "once-only";
const renewalWords: Readonly<Record<string, string>> = {
  [sealOfTheYear]: "Seals are replaced every year here",
  [onceOnly]: "Never used again once it is out",
};

/**
 * Why a part that came off wants a new one though no fault was proved: nothing, where the new one is here, the customer said no, or the reel goes back as it came.
 * @param takesOne its seat takes a piece only once. @param sealDue it is a seal, and seals are due on this job.
 */
export const renewalsByRule = (
  { renewed, declined, unrepaired, verdict }: Pick<Well, "renewed" | "declined" | "unrepaired" | "verdict">,
  takesOne: boolean,
  sealDue: boolean,
): string[] => {
  if (renewed || declined || unrepaired) return [];
  if (takesOne) return [onceOnly];
  // Somebody looked at it, and lets it go back.
  return sealDue && verdict !== "watch" && verdict !== "dressed" ? [sealOfTheYear] : [];
};

/** Why an old piece is to be renewed, where a rule says so and no proved fault. */
export const renewalByRule = (id: string): string | null => renewalWords[id] ?? null;
