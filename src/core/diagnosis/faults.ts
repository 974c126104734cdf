import type { Fault } from "./fault";
import { faults } from "./fault-table";

export type { Fault, Remedy } from "./fault";
export { faults } from "./fault-table";

/** The faults a reel with these part roles can have. */
export const faultsFor = (roles: ReadonlySet<string>): Fault[] =>
  faults.filter((fault) => fault.needs === undefined || roles.has(fault.needs));

const byId = new Map(faults.map((fault) => [fault.id, fault]));

/** The fault of an id, or null when the catalogue no longer holds it (an old job may name one that was withdrawn). */
export const findFault = (id: string): Fault | null => byId.get(id) ?? null;
