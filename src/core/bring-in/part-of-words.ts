import type { PartKind, PartShape } from "@/core/anatomy/shapes";
import { typicalShapes } from "@/core/anatomy/typical-shape";
import { shapeFromSize } from "./size-in-words";

/** Kinds of part by the word that ends what they are called, as lists write it. Common practice; the longest match counts. */
const endings: Readonly<Partial<Record<PartKind, readonly string[]>>> = {
  "friction-washer": [
    "drag washer",
    "friction washer",
    "carbon washer",
    "felt washer",
    "drag disc",
    "friction disc",
    "fibre washer",
    "fiber washer",
  ],
  "keyed-washer": ["keyed washer", "key washer"],
  "eared-washer": ["eared washer", "ear washer", "tabbed washer", "lugged washer"],
  "cupped-washer": ["tension washer", "cupped washer", "cup washer", "disc spring", "spring washer", "conical washer"],
  "wave-spring": ["wave washer", "wave spring"],
  washer: ["washer", "wshr", "wsh", "shim", "spacer"],
  "roller-clutch": [
    "roller clutch",
    "one way clutch",
    "one-way clutch",
    "clutch bearing",
    "one way bearing",
    "one-way bearing",
    "anti-reverse bearing",
  ],
  bearing: ["bearing", "brg", "bb"],
  sleeve: ["bush", "bushing", "sleeve", "collar", "bshg"],
  "o-ring": ["o-ring", "o ring", "oring"],
  "lip-seal": ["seal", "oil seal", "lip seal"],
  screw: ["screw", "scr", "bolt"],
  nut: ["nut"],
  pin: ["pin"],
  clip: ["clip", "circlip", "retaining ring", "retainer ring", "snap ring", "e-ring", "e ring", "retainer"],
  "wire-spring": ["click spring", "dog spring", "bail spring", "torsion spring", "wire spring"],
  "coil-spring": ["spring", "spr"],
  pinion: ["pinion", "pinion gear"],
  gear: ["gear", "wheel"],
  ratchet: ["ratchet"],
  dog: ["dog", "stopper"],
  pawl: ["pawl"],
  worm: ["worm", "worm shaft"],
  "line-guide": ["line guide", "guide"],
  yoke: ["yoke"],
  spool: ["spool"],
  handle: ["handle", "crank", "handle arm"],
  knob: ["knob", "grip", "handle knob"],
  star: ["star", "star drag", "star wheel"],
  plate: ["side plate", "plate"],
  cover: ["cover", "side cover"],
  frame: ["frame"],
  foot: ["foot", "reel foot", "stand"],
  body: ["body", "housing"],
  rotor: ["rotor"],
  bail: ["bail", "bail wire"],
  roller: ["line roller", "roller"],
  lever: ["lever", "arm"],
  cam: ["cam"],
  shaft: ["shaft", "spindle", "axle", "post"],
  magnet: ["magnet"],
  block: ["brake block", "block", "brake shoe"],
  cap: ["cap"],
  button: ["button"],
  slider: ["slider", "oscillation block"],
  tongue: ["click tongue", "tongue", "clicker"],
  bridge: ["bridge"],
  eccentric: ["eccentric"],
  jack: ["jack"],
  drum: ["drum"],
  cone: ["cone"],
};

/** Words of a part with their kind, the longest first. */
const known = Object.entries(endings)
  .flatMap(([kind, words]) => words.map((of) => [of, kind as PartKind] as const))
  .sort(([a], [b]) => b.length - a.length);

/** One of several, or a word's plural, is called by its singular. */
const singular = (word: string) => (/[^s]s$/.test(word) && word.length > 3 ? word.slice(0, -1) : word);

/** The kind a phrase ends in; null where its last words are none of a part. */
function kindAtEnd(phrase: string): PartKind | null {
  const words = phrase
    .toLowerCase()
    .replace(/[^\p{L}\p{N}\s-]/gu, " ")
    .split(/\s+/)
    .filter((word) => word && !/\d/.test(word))
    .map(singular);
  for (let end = words.length; end > 0; end--) {
    const upTo = ` ${words.slice(0, end).join(" ")}`;
    const found = known.find(([of]) => upTo.endsWith(` ${of}`));
    if (found) return found[1];
  }
  return null;
}

/**
 * What a part is, by what a list calls it: "Screw, handle" and "Handle screw M2.6x6" are screws. Its size is read out of the words too; one that is not
 * there is the usual of its kind. @returns kind "unsorted" where the words say nothing: somebody says it later.
 */
export function partOfWords(words: string): { readonly kind: PartKind; readonly shape: PartShape; readonly sized: boolean } {
  // What it is stands before the first comma or bracket; what follows tells it apart.
  for (const phrase of words.split(/[,;(/]| - /))
    if (phrase.trim()) {
      const kind = kindAtEnd(phrase);
      if (!kind) continue;
      const sized = shapeFromSize(typicalShapes[kind], words);
      return { kind, shape: sized ?? typicalShapes[kind], sized: sized !== null };
    }
  return { kind: "unsorted", shape: { kind: "unsorted" }, sized: false };
}
