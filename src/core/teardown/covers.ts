import { seatConstraints } from "@/core/anatomy/constraints";
import type { Anatomy } from "@/core/anatomy/types";

/** One seat that is out before another can be emptied. */
export interface Cover {
  readonly below: string;
  readonly over: string;
}

/** What is out before what: by how the seats are tied, and by what a seat or its assembly says it is behind. */
export function covers(anatomy: Pick<Anatomy, "assemblies" | "positions">): Cover[] {
  const assemblies = new Map(anatomy.assemblies.map((assembly) => [assembly.id, assembly]));
  return [
    ...seatConstraints(anatomy).map(({ before, after }) => ({ below: before, over: after })),
    ...anatomy.positions.flatMap(({ id, assemblyId, shutBy }) => {
      const { carrier, freedBy, shutBy: all = [] } = assemblies.get(assemblyId) ?? {};
      // What frees the carrier is not behind it.
      const frees = freedBy?.includes(id) ? carrier : id;
      return (shutBy ?? all).filter((over) => over !== id && over !== frees).map((over) => ({ below: id, over }));
    }),
  ];
}
