import { kept } from "@/core/kept";
import type { Anatomy } from "./types";
import { withoutSeats } from "./without-seats";

/** The machine as one edition was built: its own seats, parts and acts. Null, or a model without editions, gives the anatomy itself. */
export const anatomyOfEdition: (anatomy: Anatomy, editionId: string | null) => Anatomy = kept(built, (editionId) => editionId ?? "");

function built(anatomy: Anatomy, editionId: string | null): Anatomy {
  if (editionId === null || !anatomy.editions.length) return anatomy;
  const others = (items: readonly { id: string; editions: readonly string[] }[]) =>
    new Set(items.filter((item) => item.editions.length && !item.editions.includes(editionId)).map((item) => item.id));
  const own = anatomy.positions.some(({ partIn }) => partIn?.[editionId] !== undefined)
    ? {
        ...anatomy,
        positions: anatomy.positions.map((position) => {
          const partTypeId = position.partIn?.[editionId];
          return partTypeId === undefined ? position : { ...position, partTypeId };
        }),
      }
    : anatomy;
  return withoutSeats(own, others(anatomy.positions), others(anatomy.operations));
}

/** Every machine a model stands for: one for each edition, or the one there is. */
export const machinesOf = (anatomy: Anatomy): { name: string | null; anatomy: Anatomy }[] =>
  anatomy.editions.length
    ? anatomy.editions.map((edition) => ({ name: edition.name, anatomy: anatomyOfEdition(anatomy, edition.id) }))
    : [{ name: null, anatomy }];
