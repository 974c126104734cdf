import { findBearing } from "@/core/bearings/find-bearing";
import type { PartShape } from "./shapes";
import { stackOn } from "./stack-on";
import type { Anatomy, PartType } from "./types";

/**
 * Teeth mesh at the sum of their pitch radii, m·(z1 + z2)/2 (ISO 21771); frames are bored a little wide for backlash. How far from that a
 * centre distance may lie, in modules: common practice for small gears.
 */
const centreAllowed = { tooClose: 0.05, tooFar: 0.35 };

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
    case "shaft":
      return keyed ? (shape.acrossFlatsMm ?? shape.diameterMm) : shape.diameterMm;
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

/** The room inside a cup, bore or cover, mm across. */
function roomOf(shape: PartShape): number | null {
  switch (shape.kind) {
    case "gear":
      return shape.cupMm ?? null;
    case "sleeve":
    case "roller-clutch":
      return shape.boreMm;
    case "cap":
    case "cover":
    case "drum":
    case "rotor":
      return shape.outsideMm;
    case "spool":
      return shape.flangeMm;
    default:
      return null;
  }
}

/** Kinds whose hole has flats of its own and is measured across them. */
const flatted: ReadonlySet<PartShape["kind"]> = new Set(["keyed-washer", "star", "handle"]);

const fixed = (mm: number) => mm.toFixed(2);

/** What is wrong with one part by itself. */
export function partFault(part: PartType): string | null {
  const { shape, name } = part;
  if ("insideMm" in shape && shape.insideMm >= shape.outsideMm)
    return `${name}: hole ${shape.insideMm} mm is not smaller than its outside ${shape.outsideMm} mm.`;
  if (shape.kind === "bearing" && !shape.ownSize && !findBearing(shape).length)
    return `${name}: no bearing in the table is ${shape.boreMm} × ${shape.outsideMm} × ${shape.widthMm} mm. Measure it again, or mark it as a size of its own.`;
  if (shape.kind === "screw" && shape.threadedMm > shape.lengthMm)
    return `${name}: ${shape.threadedMm} mm of thread on a ${shape.lengthMm} mm screw.`;
  return null;
}

/**
 * What of one machine does not go together, in parts and millimetres: a hole over what it sits on, a part inside its cup, a screw against its
 * hole, gears on their centres, a stack on its sleeve. Empty when everything does, or where nobody gave the measure.
 */
export function fitFaults(anatomy: Anatomy, types: ReadonlyMap<string, PartType>): string[] {
  const faults: string[] = [];
  const typeAt = new Map(anatomy.positions.map((position) => [position.id, types.get(position.partTypeId)]));
  for (const position of anatomy.positions) {
    const type = typeAt.get(position.id);
    if (!type) continue;
    const { shape } = type;
    const depth = position.holeDepthMm;
    if (shape.kind === "screw" && depth !== undefined && !position.through && shape.lengthMm > depth)
      faults.push(
        `${position.name}: ${type.name} is ${shape.lengthMm} mm, its hole ${depth} mm deep: it comes out ${(shape.lengthMm - depth).toFixed(1)} mm on the other side.`,
      );
    const under = position.ridesOn ? typeAt.get(position.ridesOn) : undefined;
    const [hole, shank] = [holeOf(type), under ? shankOf(under, flatted.has(shape.kind)) : null];
    if (under && hole !== null && shank !== null && hole < shank)
      faults.push(`${type.name}: its hole is ${hole} mm, ${under.name} is ${shank} mm, ${fixed(shank - hole)} mm too tight.`);
    const around = position.insideOf ? typeAt.get(position.insideOf) : undefined;
    const room = around ? roomOf(around.shape) : null;
    if (around && room !== null && "outsideMm" in shape && shape.outsideMm > room)
      faults.push(
        `${type.name}: it is ${shape.outsideMm} mm across, ${around.name} has ${room} mm inside, ${fixed(shape.outsideMm - room)} mm too wide.`,
      );
  }
  for (const pair of anatomy.gearPairs) {
    const [wheel, pinion] = [typeAt.get(pair.wheel), typeAt.get(pair.pinion)];
    if (!wheel || !pinion || !("moduleMm" in wheel.shape) || !("moduleMm" in pinion.shape)) continue;
    const [a, b] = [wheel.shape, pinion.shape];
    if (Math.abs(a.moduleMm - b.moduleMm) > 1e-9) {
      faults.push(`${wheel.name} has module ${a.moduleMm} mm, ${pinion.name} ${b.moduleMm} mm: their teeth do not mesh.`);
      continue;
    }
    const nominal = (a.moduleMm * (a.teeth + b.teeth)) / 2;
    const off = pair.centreMm - nominal;
    if (off < -centreAllowed.tooClose * a.moduleMm)
      faults.push(
        `${wheel.name} and ${pinion.name}: ${a.teeth} and ${b.teeth} teeth want ${fixed(nominal)} mm between their axes, here are ${pair.centreMm} mm, ${fixed(-off)} mm too close.`,
      );
    else if (off > centreAllowed.tooFar * a.moduleMm)
      faults.push(
        `${wheel.name} and ${pinion.name}: ${a.teeth} and ${b.teeth} teeth want ${fixed(nominal)} mm between their axes, here are ${pair.centreMm} mm, ${fixed(off)} mm too far.`,
      );
  }
  for (const position of anatomy.positions) {
    const stack = stackOn(anatomy, types, position.id);
    if (stack && stack.topMm > stack.lengthMm)
      faults.push(
        `${typeAt.get(position.id)!.name} is ${stack.lengthMm} mm long; what rides on it ends at ${fixed(stack.topMm)} mm with ${typeAt.get(stack.topSeat)!.name}, ${fixed(stack.topMm - stack.lengthMm)} mm beyond it.`,
      );
  }
  return faults;
}
