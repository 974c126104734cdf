import { machinesOf } from "./anatomy-of-edition";
import { fitFaults, partFault } from "./check-fit";
import { seatConstraints } from "./constraints";
import { shortestCycle } from "./graph";
import { type Anatomy, type PartType, placeOperationId } from "./types";

export interface AnatomyFault {
  readonly code: "duplicate" | "unknown" | "cycle" | "fit";
  readonly message: string;
}

/** What is wrong with an anatomy by itself: ids filled twice, references to nothing. Names, not ids. */
export function structureFaults(anatomy: Anatomy): AnatomyFault[] {
  const faults: AnatomyFault[] = [];
  const positions = new Map<string, string>();
  for (const position of anatomy.positions) {
    if (positions.has(position.id))
      faults.push({ code: "duplicate", message: `${position.name}: this seat is filled twice (${position.id}).` });
    positions.set(position.id, position.name);
  }
  const assemblies = new Set(anatomy.assemblies.map((assembly) => assembly.id));
  for (const position of anatomy.positions) {
    if (!assemblies.has(position.assemblyId))
      faults.push({
        code: "unknown",
        message: `${position.name} belongs to ${position.assemblyId}, which is not an assembly of this model.`,
      });
    const { ridesOn, insideOf } = position;
    for (const other of [
      ...position.restsOn,
      ...position.passesThrough,
      ...position.heldBy,
      ...(position.shutBy ?? []),
      ...(ridesOn ? [ridesOn] : []),
      ...(insideOf ? [insideOf] : []),
    ])
      if (!positions.has(other))
        faults.push({ code: "unknown", message: `${position.name} refers to ${other}, which is not a seat here.` });
  }
  for (const { name, carrier, freedBy, shutBy } of anatomy.assemblies)
    for (const seat of [...(carrier === undefined ? [] : [carrier]), ...(freedBy ?? []), ...(shutBy ?? [])])
      if (!positions.has(seat)) faults.push({ code: "unknown", message: `${name} rides on ${seat}, which is not a seat here.` });
  const batched = new Map<string, string>();
  for (const { name, positionIds } of anatomy.batches)
    for (const seat of positionIds) {
      if (!positions.has(seat)) faults.push({ code: "unknown", message: `“${name}” takes ${seat} along, which is not a seat here.` });
      const other = batched.get(seat);
      if (other !== undefined)
        faults.push({ code: "duplicate", message: `${positions.get(seat) ?? seat} is taken with “${other}” and with “${name}”.` });
      batched.set(seat, name);
    }
  const known = new Set([...anatomy.operations.map((operation) => operation.id), ...anatomy.positions.map((p) => placeOperationId(p.id))]);
  for (const operation of anatomy.operations)
    for (const other of [...operation.after, ...operation.before])
      if (!known.has(other))
        faults.push({ code: "unknown", message: `"${operation.words}" waits for ${other}, which is not an operation here.` });
  const editions = new Set(anatomy.editions.map((edition) => edition.id));
  if (editions.size < anatomy.editions.length) faults.push({ code: "duplicate", message: "Two editions of this model have one id." });
  for (const item of [
    ...anatomy.positions.map((p) => ({ of: p.name, in: [...p.editions, ...Object.keys(p.partIn ?? {})] })),
    ...anatomy.operations.map((o) => ({ of: `"${o.words}"`, in: o.editions })),
  ])
    for (const edition of item.in)
      if (!editions.has(edition))
        faults.push({ code: "unknown", message: `${item.of} belongs to edition ${edition}, which this model does not have.` });
  for (const pair of anatomy.gearPairs)
    for (const seat of [pair.wheel, pair.pinion])
      if (!positions.has(seat)) faults.push({ code: "unknown", message: `A pair of gears names ${seat}, which is not a seat here.` });
  return faults;
}

/**
 * What is wrong with an anatomy, empty when nothing is. Names, not ids, because a person reads it.
 * Structure first: ids filled twice, references to nothing, an order that bites its own tail; then fit in millimetres (`check-fit`). Every
 * edition is looked at as the machine it is.
 */
export function checkAnatomy(anatomy: Anatomy, partTypes: readonly PartType[]): AnatomyFault[] {
  const faults = structureFaults(anatomy);
  const positions = new Map(anatomy.positions.map(({ id, name }) => [id, name]));
  const types = new Map(partTypes.map((type) => [type.id, type]));
  for (const position of anatomy.positions)
    for (const partTypeId of [position.partTypeId, ...Object.values(position.partIn ?? {})])
      if (!types.has(partTypeId))
        faults.push({ code: "unknown", message: `${position.name} wants part ${partTypeId}, which is not in the catalogue.` });
  for (const type of types.values()) {
    const message = partFault(type);
    if (message) faults.push({ code: "fit", message });
  }
  // What two editions share is said once, without a name.
  const known = new Set<string>();
  for (const machine of machinesOf(anatomy)) {
    const cycle = shortestCycle(
      machine.anatomy.positions.map((position) => position.id),
      seatConstraints(machine.anatomy),
    );
    const found: AnatomyFault[] = fitFaults(machine.anatomy, types).map((message) => ({ code: "fit", message }));
    if (cycle)
      found.unshift({
        code: "cycle",
        message: `These can never go together, each waits for the next: ${cycle.map((id) => positions.get(id) ?? id).join(" → ")} → ${positions.get(cycle[0]!)}.`,
      });
    for (const fault of found)
      if (!known.has(fault.message)) {
        known.add(fault.message);
        faults.push(fault);
      }
  }
  return faults;
}
