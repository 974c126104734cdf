import { z } from "zod";
import { hazardIds } from "@/core/vocabulary/hazards";
import { mistakeKinds } from "@/core/vocabulary/mistakes";
import { editionSchema } from "./edition";
import { identifier as id } from "./identifier";
import { lookFromWords } from "./read-older";
import { shapeSchema } from "./shapes";

/**
 * Four things that never share a row: a **part type** is a catalogue entry, a **position** is a seat in one assembly of a model version,
 * an **instance** is the physical piece in one reel, an **operation** is one act of the hands. Order is kept between operations on
 * positions; a part type used twice is normal, a position filled twice is refused.
 */
export const partTypeSchema = z.object({
  id,
  number: z.string().min(1).max(40),
  name: z.string().min(1).max(80),
  role: id,
  shape: shapeSchema,
  material: z.string().min(1).max(40),
  priceMinor: z.number().int().min(0),
  thread: z.enum(["right", "left"]).optional(),
  /** The number it is sold under now. */
  supersededBy: z.string().min(1).max(40).optional(),
  /** What it can do to whoever handles it: an old lining, a strong magnet. Said at the step. */
  hazard: z.string().min(1).max(200).optional(),
  /** Leaves by itself when its seat opens. */
  flies: z.boolean().optional(),
});

export const members = ["frame", "gear", "sleeve", "spool", "handle", "none"] as const;

export const lubricantSchema = z.object({
  product: z.string().min(1),
  amount: z.string().min(1),
  why: z.string().min(1),
  /** How many drops of an oil, where somebody counts them. */
  drops: z.number().int().min(1).max(40).optional(),
});

/** How hard a fastener is drawn, lightest first: by the fingers, until it stops, with the wrist, with the arm. */
export const tightnessClasses = ["finger", "snug", "firm", "hard"] as const;
/** What of a seat nobody is sure of until a teardown confirms it. */
export const verifiable = ["count", "size", "hole", "drops", "way round"] as const;

export const positionSchema = z.object({
  id,
  assemblyId: id,
  name: z.string().min(1).max(80),
  /** The place along the assembly's axis, counted from the base up. */
  ordinal: z.number().int().min(0),
  partTypeId: id,
  /** Where the seat lies beside the assembly's axis, mm up: a screw in its hole, a tongue under its button. */
  acrossMm: z.number().min(-100).max(100).default(0),
  /** Where the seat lies along the axis, mm from the assembly's base; without it on top of what it rests on. */
  alongMm: z.number().min(-100).max(200).optional(),
  /** Turned end for end against the way the glyph is drawn: a cup that looks the other way. */
  turned: z.boolean().default(false),
  turnsWith: z.enum(members).default("none"),
  /** These must be in before this one can sit. */
  restsOn: z.array(id).default([]),
  /** The shaft, sleeve or post its hole goes over; it must be in first, and the fit check measures the pair. */
  ridesOn: id.optional(),
  /** This one goes through these, so they must be in first. */
  passesThrough: z.array(id).default([]),
  /** These hold this one, so they come after it. */
  heldBy: z.array(id).default([]),
  /** The cup, bore or cover it lies in; the fit check measures the pair. */
  insideOf: id.optional(),
  /** Only in these editions of the model; in all of them when none is named. */
  editions: z.array(id).default([]),
  /** Another part sits here in these editions: its id by the edition's. */
  partIn: z.record(id, id).optional(),
  hole: z.string().max(60).optional(),
  /** Depth of the screw's hole from where its head sits, mm; a longer screw comes out on the other side. */
  holeDepthMm: z.number().positive().max(200).optional(),
  /** The screw is meant to go through. */
  through: z.boolean().optional(),
  tightness: z.enum(tightnessClasses).optional(),
  /** Which is started first, counted from 1: one in each zone, then the rest. */
  startOrder: z.number().int().min(1).max(40).optional(),
  /** Angle from one place where a lock screw catches to the next, degrees. */
  indexDeg: z.number().positive().max(360).optional(),
  stripsEasily: z.boolean().optional(),
  /** It cannot be drawn here: served where it sits, and proved to turn. */
  inPlace: z.boolean().optional(),
  /** Stays in unless it is asked for: pressed in, pinned, or the body the rest is built on. It is no point to oil by itself. */
  stays: z.boolean().optional(),
  /** How oil gets to it without laying it open, such as "at the end of the knob". */
  oilPort: z.string().min(2).max(80).optional(),
  /** Seats that are out when oil gets to it so; reached with the reel whole where there are none. */
  portBehind: z.array(id).optional(),
  /** Lifted in a ten-minute round, with what stands in its way. */
  round: z.literal(true).optional(),
  /** What this seat alone is behind, instead of what its assembly is; empty where it is reached from outside. */
  shutBy: z.array(id).optional(),
  /** Seats that share this name may be filled in any order among themselves. */
  freeOrder: id.optional(),
  /** What is set before it comes off, and the seat of the control that is set, where it has one. */
  setFirst: z
    .array(z.object({ words: z.string().min(2).max(80), control: id.optional() }))
    .max(8)
    .default([]),
  /** How it lies, in words for the hand. */
  orientation: z.string().max(160).optional(),
  /** The reel decides how it lies: it goes back as it was found. */
  asFound: z.boolean().optional(),
  /** Its two sides are not alike, so it can lie turned over. */
  twoSided: z.boolean().optional(),
  lubricant: lubricantSchema.optional(),
  /** Said before the hand moves: a flying spring, a left-hand thread. */
  caution: z.string().max(200).optional(),
  /** The hazard that this caution says in its own words, so that it is not said twice. */
  cautionSays: z.enum(hazardIds).optional(),
  /** What goes wrong here when it goes back. */
  trap: z.string().max(200).optional(),
  /** Nobody has confirmed this seat: drawn dashed until then. */
  guessed: z.boolean().default(false),
  /** What somebody has still to look at; the seat itself is known. */
  verify: z.array(z.enum(verifiable)).default([]),
  /** A piece that came out of it never goes back: a new one each time. */
  onceOnly: z.literal(true).optional(),
  /** Clings or hides; stays on the expected list though nobody sees it. */
  hides: z.boolean().default(false),
});

export const assemblySchema = z.object({
  id,
  name: z.string().min(1).max(60),
  side: z.enum(["handle", "tail", "frame"]),
  /** Put together in the hand and fitted as one: its parts stay together in the order. */
  beside: z.literal(true).optional(),
  /** The part its others ride on: while the assembly itself is not serviced they stay on it and come off with it. */
  carrier: id.optional(),
  /** What has to come off before the carrier lifts, itself no rider: its screws, its knob. */
  freedBy: z.array(id).optional(),
  /** What has to be out before any of its seats is reached, however it is tied to them: the plate it lies behind, the spool it is mounted in. */
  shutBy: z.array(id).optional(),
  /** Stays together unless it is asked for: frame and foot. */
  stays: z.literal(true).optional(),
  /** A quick service opens it. */
  quick: z.literal(true).optional(),
});

/** Seats that hands take off and fit as one act: a ring of screws, a stack on its sleeve, a handful. */
export const batchSchema = z.object({ id, name: z.string().min(1).max(60), positionIds: z.array(id).min(2) });

export const operationKinds = ["place", "start", "turn-home", "tighten", "press", "set-state", "lubricate", "gate", "release"] as const;

/** One thing to look at when a check fails. */
export const lookSchema = z.object({
  words: z.string().min(1).max(160),
  /** Where it is; none where it is at no part. */
  seats: z.array(id).max(20).default([]),
  /** The mistakes at these seats that fail the check. */
  shows: z.array(z.enum(mistakeKinds)).default([]),
});

export const operationSchema = z.object({
  id,
  kind: z.enum(operationKinds),
  positionId: id.optional(),
  words: z.string().min(1).max(200),
  /** Operations that must be done before this one. */
  after: z.array(id).default([]),
  /** Operations that must wait for this one: a gate before the cover that would bury what it tests. */
  before: z.array(id).default([]),
  editions: z.array(id).default([]),
  tool: z.string().max(60).optional(),
  /** Said before the act. */
  caution: z.string().max(200).optional(),
  /** What this check proves, where something told at the counter is answered by it. */
  proves: z.enum(["drag"]).optional(),
  /** A line is drawn under load in this act. */
  pullsLine: z.literal(true).optional(),
  /** Minutes it takes here, once somebody knows. */
  minutes: z.number().positive().max(240).optional(),
  /** For a gate: pieces that are counted in it. */
  counts: z.array(id).max(80).optional(),
  /** For a gate: where to look when it fails, likeliest first. */
  lookAt: z.array(z.union([z.string().min(1).max(160).transform(lookFromWords), lookSchema])).default([]),
});

/** Two toothed parts that mesh on parallel axes, and how far apart those axes are in this frame. */
export const gearPairSchema = z.object({ wheel: id, pinion: id, centreMm: z.number().positive().max(200) });

export const anatomySchema = z.object({
  assemblies: z.array(assemblySchema).min(1),
  positions: z.array(positionSchema).min(1),
  operations: z.array(operationSchema),
  /** Ways this model was built over the years, the likeliest first. */
  editions: z.array(editionSchema).default([]),
  gearPairs: z.array(gearPairSchema).default([]),
  batches: z.array(batchSchema).default([]),
});

export type PartType = z.infer<typeof partTypeSchema> & {
  /** In this reel: a friction lining of an age and with no evidence of its material. Never stored; see core/safety/linings. */
  readonly liningUnproven?: true;
};
export type Member = (typeof members)[number];
export type Lubricant = z.infer<typeof lubricantSchema>;
export type GearPair = z.infer<typeof gearPairSchema>;
export type Tightness = (typeof tightnessClasses)[number];
export type Verifiable = (typeof verifiable)[number];
export type Position = z.infer<typeof positionSchema>;
export type Assembly = z.infer<typeof assemblySchema>;
export type Look = z.infer<typeof lookSchema>;
export type Operation = z.infer<typeof operationSchema>;
export type OperationKind = (typeof operationKinds)[number];
export type Batch = z.infer<typeof batchSchema>;

/** Every part of a machine, in any of its editions. */
export const partTypeIdsOf = ({ positions }: Pick<z.infer<typeof anatomySchema>, "positions">): string[] => [
  ...new Set(positions.flatMap(({ partTypeId, partIn = {} }) => [partTypeId, ...Object.values(partIn)])),
];
export type Anatomy = z.infer<typeof anatomySchema>;

const placing = "place-";
/** The id of the operation that puts a position's part into its seat; every position has exactly one. */
export const placeOperationId = (positionId: string): string => `${placing}${positionId}`;

/** The seat that an operation of this id fills; null for any other act. */
export const seatOfPlacing = (operationId: string): string | null =>
  operationId.startsWith(placing) ? operationId.slice(placing.length) : null;
