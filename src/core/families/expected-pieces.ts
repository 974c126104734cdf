import { anatomyOfEdition } from "@/core/anatomy/anatomy-of-edition";
import type { PartKind } from "@/core/anatomy/shapes";
import { sharedName } from "@/core/anatomy/shared-name";
import type { Assembly } from "@/core/anatomy/types";
import { removalOrder } from "@/core/teardown/removal-order";
import type { FamilyTemplate } from "./template";

/** A piece that a reel of a family usually has, with the seats it sits in. */
export interface ExpectedPiece {
  /** Of the template's part and the assembly it sits in. */
  readonly id: string;
  readonly name: string;
  readonly kind: PartKind;
  readonly side: Assembly["side"];
  /** Seats of the template, in the order they come off. */
  readonly seats: readonly string[];
}

const fasteners: ReadonlySet<PartKind> = new Set(["screw", "nut"]);

/** The name several seats share; where they share none, that of the part in them, without a size that another maker's has of its own. */
function nameOf(names: readonly string[], part: string): string {
  if (names.length === 1) return names[0]!;
  const first = names.map((name) => name.split(/[\s,]+/)[0]);
  return new Set(first).size === 1 ? sharedName(names) : part.replace(/\s+M?\d[\d.,\s×x]*$/u, "").trim();
}

/**
 * What a reel of a family is expected to come apart into, in the order a full strip takes it: for one that no drawing knows. Screws and nuts of one
 * assembly stand together, since hands take them so.
 */
export function expectedPieces(template: FamilyTemplate): ExpectedPiece[] {
  const anatomy = anatomyOfEdition(template.anatomy, template.anatomy.editions[0]?.id ?? null);
  const types = new Map(template.parts.map((part) => [part.id, part]));
  const assemblies = new Map(anatomy.assemblies.map((assembly) => [assembly.id, assembly]));
  const seats = new Map(anatomy.positions.map((position) => [position.id, position]));
  const pieces = new Map<string, ExpectedPiece & { seats: string[] }>();
  for (const id of removalOrder(anatomy)) {
    const seat = seats.get(id)!;
    const type = types.get(seat.partTypeId)!;
    const key = `${type.id} ${seat.assemblyId}`;
    const known = pieces.get(key);
    if (known) known.seats.push(id);
    else
      pieces.set(key, {
        id: key,
        name: "",
        kind: type.shape.kind,
        side: assemblies.get(seat.assemblyId)!.side,
        seats: [id],
      });
  }
  return [...pieces.values()].map((piece) => ({
    ...piece,
    name: nameOf(
      piece.seats.map((id) => seats.get(id)!.name),
      types.get(seats.get(piece.seats[0]!)!.partTypeId)!.name,
    ),
  }));
}

/** How many of a piece one press takes where nobody says: all of a ring of screws, one of anything else. */
export const usualCount = (piece: Pick<ExpectedPiece, "kind">, left: number): number => (fasteners.has(piece.kind) ? Math.max(1, left) : 1);
