import { findBearing } from "@/core/bearings/find-bearing";
import { seatConstraints } from "./constraints";
import { shortestCycle } from "./graph";
import { type Anatomy, type PartType, placeOperationId } from "./types";

export interface AnatomyFault {
  readonly code: "duplicate" | "unknown" | "cycle" | "fit";
  readonly message: string;
}

/**
 * What is wrong with an anatomy, empty when nothing is. Names, not ids, because a person reads it.
 * Structure first: ids filled twice, references to nothing, an order that bites its own tail. Then fit in millimetres: a washer's hole
 * over the sleeve it rides on, gear and pinion of one module, a screw no longer than it is threaded for.
 */
export function checkAnatomy(anatomy: Anatomy, partTypes: readonly PartType[]): AnatomyFault[] {
  const faults: AnatomyFault[] = [];
  const positions = new Map<string, string>();
  for (const position of anatomy.positions) {
    if (positions.has(position.id))
      faults.push({ code: "duplicate", message: `${position.name}: this seat is filled twice (${position.id}).` });
    positions.set(position.id, position.name);
  }
  const assemblies = new Set(anatomy.assemblies.map((assembly) => assembly.id));
  const types = new Map(partTypes.map((type) => [type.id, type]));
  for (const position of anatomy.positions) {
    if (!assemblies.has(position.assemblyId))
      faults.push({
        code: "unknown",
        message: `${position.name} belongs to ${position.assemblyId}, which is not an assembly of this model.`,
      });
    if (!types.has(position.partTypeId))
      faults.push({ code: "unknown", message: `${position.name} wants part ${position.partTypeId}, which is not in the catalogue.` });
    for (const other of [...position.restsOn, ...position.passesThrough, ...position.heldBy])
      if (!positions.has(other))
        faults.push({ code: "unknown", message: `${position.name} refers to ${other}, which is not a seat here.` });
  }
  const known = new Set([...anatomy.operations.map((operation) => operation.id), ...anatomy.positions.map((p) => placeOperationId(p.id))]);
  for (const operation of anatomy.operations)
    for (const other of [...operation.after, ...operation.before])
      if (!known.has(other))
        faults.push({ code: "unknown", message: `"${operation.words}" waits for ${other}, which is not an operation here.` });
  const cycle = shortestCycle([...positions.keys()], seatConstraints(anatomy));
  if (cycle)
    faults.push({
      code: "cycle",
      message: `These can never go together, each waits for the next: ${cycle.map((id) => positions.get(id) ?? id).join(" → ")} → ${positions.get(cycle[0]!)}.`,
    });
  return [...faults, ...fitFaults(anatomy, types)];
}

/** The hole a part has along its axis, mm; null where the kind has none. */
function holeOf({ shape }: PartType): number | null {
  if (shape.kind === "keyed-washer") return shape.acrossFlatsMm;
  if ("boreMm" in shape) return shape.boreMm;
  return "insideMm" in shape ? shape.insideMm : null;
}

/** What a hole must clear, mm: across the flats where a keyed washer meets a flatted sleeve, else the outside. */
function shankOf({ shape }: PartType, keyed: boolean): number | null {
  switch (shape.kind) {
    case "sleeve":
      return keyed ? (shape.acrossFlatsMm ?? shape.outsideMm) : shape.outsideMm;
    case "pin":
      return shape.diameterMm;
    case "screw":
      return shape.threadMm;
    case "spool":
      return shape.shaftMm;
    case "bridge":
      return shape.postMm;
    default:
      return null;
  }
}

/** Kinds whose hole has flats of its own and is measured across them. */
const flatted: ReadonlySet<PartType["shape"]["kind"]> = new Set(["keyed-washer", "star", "handle"]);

function fitFaults(anatomy: Anatomy, types: ReadonlyMap<string, PartType>): AnatomyFault[] {
  const faults: AnatomyFault[] = [];
  const typeAt = new Map(anatomy.positions.map((position) => [position.id, types.get(position.partTypeId)]));
  for (const type of types.values()) {
    const { shape } = type;
    if ("insideMm" in shape && shape.insideMm >= shape.outsideMm)
      faults.push({
        code: "fit",
        message: `${type.name}: hole ${shape.insideMm} mm is not smaller than its outside ${shape.outsideMm} mm.`,
      });
    if (shape.kind === "bearing" && !shape.ownSize && !findBearing(shape).length)
      faults.push({
        code: "fit",
        message: `${type.name}: no bearing in the table is ${shape.boreMm} × ${shape.outsideMm} × ${shape.widthMm} mm. Measure it again, or mark it as a size of its own.`,
      });
    if (shape.kind === "screw" && shape.threadedMm > shape.lengthMm)
      faults.push({ code: "fit", message: `${type.name}: ${shape.threadedMm} mm of thread on a ${shape.lengthMm} mm screw.` });
  }
  for (const position of anatomy.positions) {
    const type = types.get(position.partTypeId);
    if (
      type?.shape.kind === "screw" &&
      position.holeDepthMm !== undefined &&
      !position.through &&
      type.shape.lengthMm > position.holeDepthMm
    )
      faults.push({
        code: "fit",
        message: `${position.name}: ${type.name} is ${type.shape.lengthMm} mm, its hole ${position.holeDepthMm} mm deep: it comes out ${(type.shape.lengthMm - position.holeDepthMm).toFixed(1)} mm on the other side.`,
      });
    const under = position.ridesOn ? typeAt.get(position.ridesOn) : undefined;
    if (!type || !under) continue;
    const hole = holeOf(type);
    const shank = shankOf(under, flatted.has(type.shape.kind));
    if (hole !== null && shank !== null && hole < shank)
      faults.push({
        code: "fit",
        message: `${type.name}: its hole is ${hole} mm, ${under.name} is ${shank} mm, ${(shank - hole).toFixed(2)} mm too tight.`,
      });
  }
  return faults;
}
