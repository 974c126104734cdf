import { isSealed } from "@/core/anatomy/shapes";
import type { Anatomy, PartType } from "@/core/anatomy/types";

/** What a bath spoils while it sits in another part: what is oiled or greased inside, rubber, friction, magnetic fluid. */
const isDelicate = ({ shape, material, role }: PartType): boolean =>
  shape.kind === "bearing" ||
  shape.kind === "friction-washer" ||
  shape.kind === "magnet" ||
  material === "rubber" ||
  material === "magnet" ||
  role === "roller-clutch" ||
  isSealed(shape);

/**
 * Parts in the tray that still carry something a bath would spoil: a drum with its bearings, a plate with its clutch. Those are cleaned by cloth.
 * @param out seats that lie in the tray by themselves.
 */
export function carriesDelicate(
  { assemblies, positions }: Pick<Anatomy, "assemblies" | "positions">,
  types: ReadonlyMap<string, PartType>,
  out: ReadonlySet<string>,
): ReadonlySet<string> {
  const carrierOf = new Map(assemblies.map(({ id, carrier }) => [id, carrier]));
  const byId = new Map(positions.map((position) => [position.id, position]));
  /** Down to the first part that lies in the tray: what sits on a part that is not out sits on what carries that. */
  const hosts = (id: string, seen: readonly string[] = []): string[] => {
    const seat = byId.get(id);
    if (!seat || seen.includes(id)) return [];
    return [carrierOf.get(seat.assemblyId), seat.ridesOn, seat.insideOf, ...seat.restsOn].flatMap((host) =>
      host === undefined || host === id ? [] : out.has(host) ? [host] : hosts(host, [...seen, id]),
    );
  };
  return new Set(
    positions.flatMap(({ id, partTypeId }) => {
      const type = types.get(partTypeId);
      return out.has(id) || !type || !isDelicate(type) ? [] : hosts(id);
    }),
  );
}
