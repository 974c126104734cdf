import type { Edition } from "@/core/anatomy/edition";
import type { Anatomy, PartType } from "@/core/anatomy/types";
import type { SheetRow } from "./kept-sheet";

/** What a second sheet of a model says against the model as it is. */
export interface AgainstModel {
  /** Seats that have another part on the sheet: its number now, and the sheet's. */
  readonly changed: readonly {
    readonly positionId: string;
    readonly seat: string;
    readonly was: string;
    readonly is: string;
    readonly row: number;
  }[];
  /** Seats with the part the model has. */
  readonly same: number;
  /** Rows that are no seat of the model. */
  readonly added: readonly { readonly row: number; readonly words: string }[];
  /** Seats of the model that no row is. */
  readonly silent: readonly string[];
}

/**
 * Compares a sheet's rows with a model, seat by seat and by part number. A row without a number tells nothing of its seat's part; a number under which the
 * model's part is sold now is the same part.
 */
export function againstModel(anatomy: Anatomy, partTypes: ReadonlyMap<string, PartType>, rows: readonly SheetRow[]): AgainstModel {
  const seats = new Map(anatomy.positions.map((position) => [position.id, position]));
  const changed: AgainstModel["changed"][number][] = [];
  const told = new Set<string>();
  let same = 0;
  for (const [row, { number, seats: of }] of rows.entries())
    for (const { positionId } of of) {
      const seat = seats.get(positionId);
      const part = seat && partTypes.get(seat.partTypeId);
      if (!part) continue;
      told.add(positionId);
      if (!number || [part.number, part.supersededBy].includes(number)) same++;
      else changed.push({ positionId, seat: seat.name, was: part.number, is: number, row });
    }
  const added = rows.flatMap(({ seats: of, description, number }, row) =>
    of.some(({ positionId }) => seats.has(positionId)) ? [] : [{ row, words: [number, description].filter(Boolean).join(" ") }],
  );
  const silent = anatomy.positions.flatMap(({ id, name }) => (told.has(id) ? [] : [name]));
  return { changed, same, added, silent };
}

/**
 * A machine with one more edition, in which some seats have another part. A model that had none gets two: as it was so far, and the new one.
 * @param parts the other part, by seat. @param before what the model was so far is called, where it has no edition yet.
 */
export function withEdition(anatomy: Anatomy, edition: Edition, before: Edition, parts: ReadonlyMap<string, string>): Anatomy {
  const editions = anatomy.editions.length ? anatomy.editions : [before];
  return {
    ...anatomy,
    editions: [...editions, edition],
    positions: anatomy.positions.map((position) => {
      const part = parts.get(position.id);
      return part === undefined ? position : { ...position, partIn: { ...position.partIn, [edition.id]: part } };
    }),
  };
}
