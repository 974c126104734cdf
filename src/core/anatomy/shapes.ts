import { z } from "zod";

/**
 * The shape of a part kind in its own sizes (mm). A glyph is drawn from these and nothing else, so a washer of the wrong size looks
 * wrong. Diameters are across, thickness along the axis.
 */
const mm = z.number().positive().max(400);
const count = z.number().int().min(1).max(120);
const ring = { outsideMm: mm, insideMm: mm, thicknessMm: mm };

export const shapeSchema = z.discriminatedUnion("kind", [
  z.object({ kind: z.literal("washer"), ...ring }),
  z.object({ kind: z.literal("keyed-washer"), ...ring, acrossFlatsMm: mm }),
  z.object({ kind: z.literal("eared-washer"), ...ring, ears: count, earMm: mm }),
  z.object({ kind: z.literal("cupped-washer"), ...ring, coneHeightMm: mm }),
  z.object({ kind: z.literal("friction-washer"), ...ring }),
  z.object({ kind: z.literal("gear"), teeth: count, moduleMm: mm, boreMm: mm, faceMm: mm, cupMm: mm.optional(), floorMm: mm.optional() }),
  z.object({ kind: z.literal("pinion"), teeth: count, moduleMm: mm, boreMm: mm, lengthMm: mm }),
  z.object({
    kind: z.literal("bearing"),
    boreMm: mm,
    outsideMm: mm,
    widthMm: mm,
    closure: z.enum(["open", "shielded", "sealed"]),
    ownSize: z.boolean().optional(),
  }),
  z.object({ kind: z.literal("coil-spring"), wireMm: mm, outsideMm: mm, lengthMm: mm, coils: count }),
  z.object({ kind: z.literal("wire-spring"), wireMm: mm, lengthMm: mm }),
  z.object({
    kind: z.literal("screw"),
    threadMm: mm,
    lengthMm: mm,
    threadedMm: mm,
    headMm: mm,
    headHeightMm: mm,
    drive: z.enum(["slot", "cross", "hex"]),
  }),
  z.object({ kind: z.literal("nut"), acrossFlatsMm: mm, boreMm: mm, heightMm: mm }),
  z.object({ kind: z.literal("sleeve"), outsideMm: mm, boreMm: mm, lengthMm: mm, flangeMm: mm.optional(), acrossFlatsMm: mm.optional() }),
  z.object({ kind: z.literal("pin"), diameterMm: mm, lengthMm: mm }),
  z.object({ kind: z.literal("star"), outsideMm: mm, boreMm: mm, arms: count, hubMm: mm }),
  z.object({ kind: z.literal("handle"), armMm: mm, knobMm: mm, boreMm: mm, thicknessMm: mm }),
  z.object({ kind: z.literal("dog"), lengthMm: mm, widthMm: mm, thicknessMm: mm, boreMm: mm }),
  z.object({ kind: z.literal("ratchet"), teeth: count, outsideMm: mm, boreMm: mm, thicknessMm: mm }),
  z.object({ kind: z.literal("yoke"), widthMm: mm, boreMm: mm, pinionMm: mm, thicknessMm: mm }),
  z.object({ kind: z.literal("jack"), lengthMm: mm, widthMm: mm, thicknessMm: mm }),
  z.object({ kind: z.literal("eccentric"), outsideMm: mm, throwMm: mm, thicknessMm: mm, boreMm: mm }),
  z.object({ kind: z.literal("lever"), lengthMm: mm, boreMm: mm, thicknessMm: mm }),
  z.object({ kind: z.literal("spool"), flangeMm: mm, arborMm: mm, widthMm: mm, shaftMm: mm, shaftLengthMm: mm }),
  // lowMm: the height of a low-profile one, which is longer than high.
  z.object({ kind: z.literal("plate"), outsideMm: mm, thicknessMm: mm, holes: count, lowMm: mm.optional() }),
  z.object({ kind: z.literal("bridge"), lengthMm: mm, widthMm: mm, thicknessMm: mm, postMm: mm, postLengthMm: mm }),
  z.object({ kind: z.literal("frame"), outsideMm: mm, widthMm: mm, posts: count, lowMm: mm.optional() }),
  z.object({ kind: z.literal("foot"), lengthMm: mm, widthMm: mm, thicknessMm: mm }),
  z.object({ kind: z.literal("cap"), outsideMm: mm, heightMm: mm }),
  z.object({ kind: z.literal("tongue"), lengthMm: mm, widthMm: mm, thicknessMm: mm }),
  z.object({ kind: z.literal("button"), outsideMm: mm, stemMm: mm, lengthMm: mm }),
  z.object({ kind: z.literal("o-ring"), outsideMm: mm, sectionMm: mm }),
  z.object({ kind: z.literal("lip-seal"), outsideMm: mm, boreMm: mm, widthMm: mm }),
  z.object({ kind: z.literal("clip"), outsideMm: mm, wireMm: mm, form: z.enum(["E", "C", "wire"]) }),
  z.object({ kind: z.literal("wave-spring"), outsideMm: mm, insideMm: mm, heightMm: mm, waves: count }),
  z.object({ kind: z.literal("cam"), outsideMm: mm, boreMm: mm, thicknessMm: mm, riseMm: mm }),
  z.object({ kind: z.literal("roller-clutch"), outsideMm: mm, boreMm: mm, lengthMm: mm, rollers: count }),
  z.object({ kind: z.literal("rotor"), outsideMm: mm, heightMm: mm, boreMm: mm }),
  z.object({ kind: z.literal("bail"), spanMm: mm, reachMm: mm, wireMm: mm }),
  z.object({ kind: z.literal("roller"), outsideMm: mm, lengthMm: mm, boreMm: mm }),
  z.object({ kind: z.literal("drum"), outsideMm: mm, depthMm: mm, boreMm: mm, arms: count }),
  z.object({ kind: z.literal("cone"), outsideMm: mm, heightMm: mm, boreMm: mm }),
  z.object({ kind: z.literal("cover"), outsideMm: mm, heightMm: mm, boreMm: mm }),
  z.object({ kind: z.literal("worm"), diameterMm: mm, lengthMm: mm, turns: count }),
  z.object({ kind: z.literal("pawl"), diameterMm: mm, lengthMm: mm }),
  z.object({ kind: z.literal("line-guide"), widthMm: mm, heightMm: mm, boreMm: mm }),
  z.object({ kind: z.literal("slider"), lengthMm: mm, widthMm: mm, thicknessMm: mm }),
  z.object({ kind: z.literal("magnet"), lengthMm: mm, widthMm: mm, thicknessMm: mm }),
  z.object({ kind: z.literal("block"), lengthMm: mm, widthMm: mm, thicknessMm: mm }),
  z.object({ kind: z.literal("shaft"), diameterMm: mm, lengthMm: mm, flatMm: mm.optional(), acrossFlatsMm: mm.optional() }),
  z.object({ kind: z.literal("knob"), outsideMm: mm, lengthMm: mm, boreMm: mm }),
  z.object({ kind: z.literal("body"), lengthMm: mm, heightMm: mm, widthMm: mm }),
  /** Nobody has said yet what it is. */
  z.object({ kind: z.literal("unsorted") }),
]);

export type PartShape = z.infer<typeof shapeSchema>;
export type PartKind = PartShape["kind"];

/** The kinds in the bench's words. */
export const kindWords: Record<PartKind, string> = {
  washer: "plain washer",
  "keyed-washer": "keyed washer",
  "eared-washer": "eared washer",
  "cupped-washer": "cupped tension washer",
  "friction-washer": "friction washer",
  gear: "gear",
  pinion: "pinion",
  bearing: "ball bearing",
  "coil-spring": "coil spring",
  "wire-spring": "wire spring",
  screw: "screw",
  nut: "nut",
  sleeve: "sleeve",
  pin: "pin",
  star: "star",
  handle: "handle",
  dog: "dog",
  ratchet: "ratchet",
  yoke: "yoke",
  jack: "jack",
  eccentric: "eccentric",
  lever: "lever",
  spool: "spool",
  plate: "side plate",
  bridge: "bridge",
  frame: "frame",
  foot: "reel foot",
  cap: "cap",
  tongue: "click tongue",
  button: "button",
  "o-ring": "O-ring",
  "lip-seal": "lip seal",
  clip: "clip",
  "wave-spring": "wave spring",
  cam: "cam",
  "roller-clutch": "one-way roller clutch",
  rotor: "rotor",
  bail: "bail wire",
  roller: "line roller",
  drum: "drum",
  cone: "pick-up cone",
  cover: "cover",
  worm: "worm",
  pawl: "pawl",
  "line-guide": "line guide",
  slider: "slider",
  magnet: "magnet",
  block: "brake block",
  shaft: "shaft",
  knob: "knob",
  body: "body",
  unsorted: "part of no kind yet",
};

/** A size's name as a label: "outsideMm" is "outside, mm". */
export function sizeLabel(key: string): string {
  const words = key
    .replace(/Mm$/, "")
    .replace(/([A-Z])/g, " $1")
    .toLowerCase();
  return key.endsWith("Mm") ? `${words}, mm` : words;
}

/** Sizes that are words rather than numbers, with what they may be. */
export const wordSizes: Readonly<Record<string, readonly string[]>> = {
  closure: ["open", "shielded", "sealed"],
  drive: ["slot", "cross", "hex"],
  form: ["E", "C", "wire"],
};

const size = (value: number) => String(Math.round(value * 100) / 100);

/** The sizes one reads off a caliper, in the order a parts list prints them. @example "31 × 8.6 × 0.9" */
export function sizeWords(shape: PartShape): string {
  switch (shape.kind) {
    case "washer":
    case "keyed-washer":
    case "eared-washer":
    case "friction-washer":
      return [shape.outsideMm, shape.insideMm, shape.thicknessMm].map(size).join(" × ");
    case "cupped-washer":
      return `${[shape.outsideMm, shape.insideMm, shape.thicknessMm].map(size).join(" × ")}, cup ${size(shape.coneHeightMm)}`;
    case "gear":
      return `${shape.teeth} teeth, bore ${size(shape.boreMm)}`;
    case "pinion":
      return `${shape.teeth} teeth × ${size(shape.lengthMm)}`;
    case "ratchet":
      return `${shape.teeth} teeth, ${size(shape.outsideMm)}`;
    case "bearing":
      return `${size(shape.boreMm)} × ${size(shape.outsideMm)} × ${size(shape.widthMm)} ${shape.closure}`;
    case "coil-spring":
      return `wire ${size(shape.wireMm)}, ${size(shape.outsideMm)} × ${size(shape.lengthMm)}`;
    case "wire-spring":
      return `wire ${size(shape.wireMm)} × ${size(shape.lengthMm)}`;
    case "screw":
      return `M${size(shape.threadMm)} × ${size(shape.lengthMm)}${shape.threadedMm < shape.lengthMm ? `, ${size(shape.threadedMm)} threaded` : ""}`;
    case "nut":
      return `${size(shape.acrossFlatsMm)} across flats`;
    case "sleeve":
      return [shape.outsideMm, shape.boreMm, shape.lengthMm].map(size).join(" × ");
    case "pin":
      return `${size(shape.diameterMm)} × ${size(shape.lengthMm)}`;
    case "star":
      return `${shape.arms} arms, ${size(shape.outsideMm)}`;
    case "handle":
      return `${size(shape.armMm)} long`;
    case "spool":
      return `${size(shape.flangeMm)} flange × ${size(shape.widthMm)}`;
    case "plate":
      return `${size(shape.outsideMm)} × ${size(shape.thicknessMm)}`;
    case "frame":
      return `${size(shape.outsideMm)} × ${size(shape.widthMm)}, ${shape.posts} posts`;
    case "cap":
      return `${size(shape.outsideMm)} × ${size(shape.heightMm)}`;
    case "eccentric":
      return `${size(shape.outsideMm)}, throw ${size(shape.throwMm)}`;
    case "lever":
      return `${size(shape.lengthMm)} long`;
    case "button":
      return `${size(shape.outsideMm)} × ${size(shape.lengthMm)}`;
    case "o-ring":
      return `${size(shape.outsideMm)} × ${size(shape.sectionMm)}`;
    case "clip":
      return `${shape.form} clip, ${size(shape.outsideMm)}`;
    case "shaft":
      return `${size(shape.diameterMm)} × ${size(shape.lengthMm)}`;
    default:
      // The rest: every size in the order it is kept, which is outside, inside, along.
      return Object.entries(shape)
        .filter((entry): entry is [string, number] => typeof entry[1] === "number" && entry[0].endsWith("Mm"))
        .map(([, value]) => size(value))
        .join(" × ");
  }
}

/** A bearing that nothing can be put into, and nothing washed out of without ruin. */
export const isSealed = (shape: PartShape): boolean => shape.kind === "bearing" && shape.closure === "sealed";
