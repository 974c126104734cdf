import { seatConstraints } from "@/core/anatomy/constraints";
import type { PartKind } from "@/core/anatomy/shapes";
import { isLeftHand, type ThreadHand } from "@/core/anatomy/thread";
import type { Anatomy, PartType, Position } from "@/core/anatomy/types";

export interface StuckHelp {
  /** What may still hold it, by name: still in the reel, and over or through it. */
  readonly freeFirst: readonly string[];
  /** Why it may sit fast, likeliest first. */
  readonly causes: readonly string[];
  /** How to hold against it so that nothing gives but the joint. */
  readonly hold: readonly string[];
}

const threaded: ReadonlySet<PartKind> = new Set(["screw", "nut", "cap"]);

/** Off or on: what to check before using more force (common practice). */
type Way = "off" | "on";

const causesOf: Partial<Record<PartKind, Record<Way, readonly string[]>>> = {
  screw: {
    off: ["salt or old thread-lock in the thread: oil, warmth, time", "the driver does not fill the slot: grind one that does"],
    on: ["crossed: back it out and start it by hand", "grit in the hole: tap it clean", "it is the long one of another hole"],
  },
  nut: {
    off: ["a lock screw still holds it", "left-hand thread", "salt in the thread: oil, warmth, time"],
    on: ["crossed: back it off and start it by hand", "what lies under it is not seated: lift and look"],
  },
  cap: {
    off: ["left-hand thread, or tabs that lift", "an O-ring that has dried: a drop of oil round the rim"],
    on: ["the ring rolled out of its groove", "crossed: back it off and start it by hand"],
  },
  bearing: {
    off: [
      "salt behind it: oil from both sides, warm the seat, draw it straight",
      "a clip or keeper still holds it",
      "a press fit that is meant to stay: serve it in place",
    ],
    on: ["tilted: take it out and start it square", "burr or salt in the seat", "another bearing of nearly this size"],
  },
  sleeve: {
    off: ["pinned: look for the pin", "dried grease: oil, warmth, turn while you draw"],
    on: ["a burr at its edge", "the pin's holes are not in line"],
  },
  handle: {
    off: ["the star still presses on it: back the star off", "a lock screw under a cap"],
    on: ["its flats are not on the flats of the shaft"],
  },
  clip: {
    off: ["start at the end, away from the gap's edge, hand cupped"],
    on: ["its groove is not clear yet: press what lies below it down"],
  },
  plate: {
    off: [
      "a hidden screw under a trim ring, a badge or the foot",
      "a dried gasket or salt round the rim: work round it with a thin wedge of wood",
    ],
    on: ["something stands proud below it: look before you draw it down", "a lever is not in the state it closes in"],
  },
  pinion: { off: ["left-hand thread on some: it loosens clockwise"], on: ["teeth not meshed: turn the gear a little"] },
  spool: {
    off: ["line caught round a shaft end", "the level wind or a pin still engages"],
    on: ["the pinion's slot is not on the spool's flat: turn the handle"],
  },
  rotor: {
    off: ["the nut's set screw is still in", "dried grease on the taper: warm it, tap it evenly"],
    on: ["its key is not in its channel", "the anti-reverse is off"],
  },
};
const anything: Record<Way, readonly string[]> = {
  off: ["dirt, salt or dried grease: oil, warmth, time; come back to it"],
  on: ["a burr or grit in the seat", "turned end for end"],
};
const holdOf = (kind: PartKind, role: string): string[] => {
  if (role === "handle-nut") return ["Hold the handle arm near the hub, not the knob; never the spool."];
  if (role === "rotor-nut") return ["Hold the rotor in the hand or a soft strap, the anti-reverse on; no bar through the rotor."];
  if (kind === "nut") return ["A spanner that fits all its flats; hold what it sits on close to it."];
  if (kind === "screw") return ["Reel flat on a soft pad, driver upright, weight on the driver before the turn."];
  if (kind === "bearing") return ["Press or draw on the ring that is tight, never across the balls."];
  if (kind === "cap") return ["A strap or rubber in the hand; no pliers on a finish."];
  return ["Hold close to the joint; nothing thin, no threads, no teeth in the jaws."];
};

/** A part that does not come off, or does not go in: what to free first, why it may sit fast, how to hold it. @param still seats still in the reel. */
export function stuckHelp(
  anatomy: Pick<Anatomy, "positions">,
  position: Position,
  type: PartType,
  still: ReadonlySet<string>,
  way: Way,
  /** How its thread was found on this reel. */
  found: ThreadHand | null = null,
): StuckHelp {
  const names = new Map(anatomy.positions.map(({ id, name }) => [id, name]));
  const over = seatConstraints(anatomy).flatMap(({ before, after }) => (before === position.id && still.has(after) ? [after] : []));
  const { kind } = type.shape;
  const left = isLeftHand(type, found) && threaded.has(kind);
  return {
    freeFirst: way === "off" ? [...new Set(over)].map((id) => names.get(id) ?? id) : [],
    causes: [...(left ? ["left-hand thread: it loosens clockwise"] : []), ...(causesOf[kind]?.[way] ?? []), ...anything[way]],
    hold: holdOf(kind, type.role),
  };
}
