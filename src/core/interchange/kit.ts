import { z } from "zod";
import { fitFaults } from "@/core/anatomy/check-fit";
import { identifier } from "@/core/anatomy/identifier";
import type { Anatomy, PartType } from "@/core/anatomy/types";

/** A conversion of one model: parts that come together, each for its seat. Half a kit is worse than none. */
export const kitSchema = z.object({
  id: identifier,
  name: z.string().trim().min(1, "What does it convert to?").max(80),
  modelId: identifier,
  seats: z.array(z.object({ positionId: identifier, partTypeId: identifier })).min(1, "A kit has at least one part."),
  note: z.string().max(300).default(""),
  caution: z.string().max(200).default(""),
});
export type Kit = z.infer<typeof kitSchema>;

/** The machine with a kit's parts in their seats. */
export const withKit = (anatomy: Anatomy, kit: Pick<Kit, "seats">): Anatomy => {
  const parts = new Map(kit.seats.map(({ positionId, partTypeId }) => [positionId, partTypeId]));
  return {
    ...anatomy,
    positions: anatomy.positions.map((position) => ({ ...position, partTypeId: parts.get(position.id) ?? position.partTypeId })),
  };
};

const toothed = (part: PartType | undefined) => part !== undefined && (part.shape.kind === "gear" || part.shape.kind === "pinion");

/** What turns with teeth goes where teeth turned, and nothing else does. */
function teethFault(anatomy: Anatomy, types: ReadonlyMap<string, PartType>, seat: Kit["seats"][number]): string[] {
  const at = anatomy.positions.find(({ id }) => id === seat.positionId);
  const [now, then] = [types.get(at?.partTypeId ?? ""), types.get(seat.partTypeId)];
  if (!at || !now || !then || toothed(now) === toothed(then)) return [];
  return [toothed(then) ? `${at.name}: ${then.name} has teeth, and nothing there does.` : `${at.name}: ${then.name} has no teeth.`];
}

/**
 * What is wrong with a kit for a machine: seats it does not have, a seat twice, teeth where there are none, and what would not fit once all its
 * parts are in, such as a companion that was forgotten. Faults the machine has without the kit are not the kit's.
 */
export function kitFaults(anatomy: Anatomy, types: ReadonlyMap<string, PartType>, kit: Pick<Kit, "seats">): string[] {
  const seats = new Set(anatomy.positions.map((position) => position.id));
  const asked = kit.seats.map(({ positionId }) => positionId);
  const before = new Set(fitFaults(anatomy, types));
  return [
    ...asked.filter((id) => !seats.has(id)).map((id) => `This model has no seat ${id}.`),
    ...asked.filter((id, i) => asked.indexOf(id) < i).map((id) => `Two parts of the kit are for ${id}.`),
    ...kit.seats.filter(({ partTypeId }) => !types.has(partTypeId)).map(({ partTypeId }) => `Part ${partTypeId} is not in the catalogue.`),
    ...kit.seats.flatMap((seat) => teethFault(anatomy, types, seat)),
    ...fitFaults(withKit(anatomy, kit), types).filter((fault) => !before.has(fault)),
  ];
}
