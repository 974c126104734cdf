import type { z } from "zod";
import type { PartKind, PartShape } from "@/core/anatomy/shapes";
import { type Anatomy, anatomySchema, type PartType, type positionSchema } from "@/core/anatomy/types";

/** A seat of a machine made by hand; its type is named after the piece alone. */
export interface SmallSeat extends Partial<z.input<typeof positionSchema>> {
  readonly id: string;
  readonly type: string;
}

/** A machine of a few seats, each resting on the one before it where nothing else is said. */
export const smallMachine = (seats: readonly SmallSeat[], rest: Partial<z.input<typeof anatomySchema>> = {}): Anatomy =>
  anatomySchema.parse({
    assemblies: [
      { id: "drag", name: "Drag", side: "handle" },
      { id: "plate", name: "Side plate", side: "tail" },
    ],
    operations: [],
    ...rest,
    positions: seats.map(({ type, ...seat }, i) => ({ assemblyId: "drag", name: seat.id, ordinal: i, partTypeId: type, ...seat })),
  });

/** Types with no more of a shape than what is looked at. */
export const smallTypes = (
  shapes: Readonly<Record<string, { readonly kind: PartKind; readonly threadMm?: number; readonly lengthMm?: number }>>,
) =>
  new Map(
    Object.entries(shapes).map(([id, shape]) => [
      id,
      { id, number: id, name: id, role: id, shape: shape as unknown as PartShape, material: "steel", priceMinor: 100 } satisfies PartType,
    ]),
  );
