import type { Anatomy } from "@/core/anatomy/types";
import { covers } from "./covers";

/**
 * What cannot come off while some seats are left in: whatever they hold, cover or stand on. What a left piece rides on leaves with it: a spool with
 * its bearing, an arm with its roller. @returns by seat the left piece that keeps it in; the left ones themselves are not among them.
 */
export function heldIn(anatomy: Pick<Anatomy, "assemblies" | "positions">, leftIn: ReadonlySet<string>): ReadonlyMap<string, string> {
  const byId = new Map(anatomy.positions.map((position) => [position.id, position]));
  const assemblies = new Map(anatomy.assemblies.map((assembly) => [assembly.id, assembly]));
  const under = new Map<string, string[]>();
  for (const { below, over } of covers(anatomy)) under.set(over, [...(under.get(over) ?? []), below]);
  const rides = (id: string, on: string) => {
    const seat = byId.get(id)!;
    const { carrier, freedBy } = assemblies.get(seat.assemblyId) ?? {};
    return seat.ridesOn === on || seat.insideOf === on || (carrier === on && !freedBy?.includes(id));
  };
  const held = new Map<string, string>();
  const walk = [...leftIn].filter((id) => byId.has(id)).map((id) => [id, id] as const);
  for (const [id, by] of walk)
    for (const below of under.get(id) ?? []) {
      if (leftIn.has(below) || held.has(below) || rides(id, below)) continue;
      held.set(below, by);
      walk.push([below, by]);
    }
  return held;
}
