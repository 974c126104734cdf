/**
 * What lists call the same thing: each word or phrase with the word it stands for. Common practice of the trade's lists; whole words, the longest phrase
 * first. A phrase may stand for several words; a word that says nothing stands for none.
 */
const meant: Readonly<Record<string, readonly string[]>> = {
  // What it is.
  bearing: ["brg", "bb", "ball bearing", "ball brg", "b bearing", "bearings", "race bearing", "ballrace", "ball race"],
  washer: ["wshr", "wsh", "washr", "disc washer", "washers"],
  screw: ["scr", "bolt", "screws", "machine screw", "set screw", "grub screw"],
  spring: ["spr", "springs", "coil spring", "compression spring", "torsion spring", "hair spring"],
  "o-ring": ["o ring", "oring", "o rings"],
  bush: ["bushing", "bshg", "bushings", "bearing bush", "sleeve bearing"],
  sleeve: ["tube", "collar", "race", "inner ring", "distance piece", "ferrule", "spacer sleeve"],
  spacer: ["distance", "spacing"],
  shim: ["adjusting washer", "adj washer", "adj. washer", "adjustment washer", "shim washer"],
  clip: ["e-clip", "e clip", "circlip", "snap ring", "retaining ring", "e-ring", "e ring", "retainer clip", "spring clip"],
  retainer: [
    "set plate",
    "retaining spring",
    "locking washer",
    "lock washer",
    "keeper",
    "retaining plate",
    "retaining",
    "locking plate",
    "lock plate",
    "holder",
    "retaining clip",
    "guard",
  ],
  nut: ["acorn nut", "cap nut", "nuts"],
  knob: ["handle paddle", "grip", "handle grip", "handle knob", "paddle", "crank knob"],
  handle: ["crank", "handle arm", "arm handle", "crank handle", "crank arm"],
  gear: ["wheel", "cog", "gears"],
  "main gear": ["crown gear", "face gear", "bevel gear", "drive gear", "master gear", "drive wheel"],
  pinion: ["drive pinion", "pinion gear"],
  shaft: ["stud", "stem", "axle", "spindle", "post", "axis", "centre shaft", "center shaft"],
  seal: ["gasket", "packing", "oil seal"],
  cap: ["cover cap", "end cap"],
  cover: ["housing", "shroud", "lid"],
  button: ["slide button", "push button", "thumb button"],
  switch: ["selector", "switch lever", "on off", "on/off slide"],
  foot: ["rod foot", "reel stand plate", "stand", "reel foot", "reel seat", "reel stand", "saddle"],
  frame: ["frame body", "main frame"],
  "side plate": ["sideplate", "side cover"],
  "back plate": ["backplate"],
  dog: ["stopper pawl", "a/r pawl", "anti-reverse pawl", "anti reverse pawl", "stopper dog", "stop dog", "a/r dog", "anti-reverse dog"],
  ratchet: ["anti-reverse wheel", "stop wheel", "ratchet wheel", "stopper ratchet", "ratchet gear"],
  tongue: ["clicker", "click pawl", "clicker pawl", "click tongue", "clicker tongue"],
  "click gear": ["clicker gear", "click wheel", "clicker ratchet", "click ratchet", "spool click gear"],
  click: ["clicker", "clicking"],
  "friction washer": [
    "drag washer",
    "drag disc",
    "brake disc",
    "friction disc",
    "drag washer fibre",
    "fibre washer",
    "fiber washer",
    "drag felt",
  ],
  "keyed washer": ["key washer", "keyed drag washer", "metal drag washer", "drag key washer"],
  "eared washer": ["ear washer", "tabbed washer", "lugged washer", "eared drag washer"],
  "tension washer": [
    "cupped washer",
    "cup washer",
    "disc spring",
    "belleville",
    "belleville washer",
    "drag spring washer",
    "conical washer",
    "spring washer",
  ],
  "wave spring": ["wave washer", "crinkle washer", "waved washer"],
  star: ["star drag wheel", "star drag knob", "star drag", "star wheel", "drag star"],
  "one-way clutch": [
    "roller clutch",
    "one way clutch",
    "clutch bearing",
    "one way bearing",
    "anti-reverse bearing",
    "infinite bearing",
    "one way clutch bearing",
    "one-way roller clutch",
  ],
  // Where it is.
  "anti-reverse": ["a/r", "anti reverse", "antireverse", "stopper"],
  "line roller": ["bail roller", "arm roller", "lineroller"],
  "level wind": ["levelwind", "level winder", "line guide", "linewind"],
  pawl: ["pawl pin"],
  guide: ["line guide", "guide assembly"],
  worm: ["worm shaft", "cross gear", "spiral shaft"],
  "tension knob": [
    "adjusting cap",
    "bearing cap",
    "tension adjuster",
    "spool tension cap",
    "spool tension adjuster",
    "tension cap",
    "cast cap",
    "cast control",
    "cast control cap",
    "spool tension knob",
    "mechanical brake knob",
    "bearing adj cap",
    "side adjuster cap",
    "spool adjuster",
  ],
  tension: ["mechanical brake"],
  "thumb bar": ["thumb rest", "clutch bar", "spool release", "release bar"],
  // Of a baitcaster the bar under the thumb, of a conventional reel the lever at its side.
  "thumb bar lever": ["clutch lever"],
  "head plate": ["right side cover", "right side plate", "right plate", "right cover", "handle side plate", "handle side cover"],
  "tail plate": ["left side cover", "left side plate", "left plate", "left cover", "palm side plate", "palm side cover"],
  "nut retainer": ["nut cover", "nut plate", "nut lock", "nut cap plate"],
  "free-spool lever": ["throw lever", "eccentric lever", "clutch throw lever", "free spool lever", "cast lever"],
  eccentric: ["eccentric cam", "cam eccentric"],
  "gear sleeve": ["gear stud", "gear post", "drive tube", "bridge post", "gear tube"],
  "frame bar": ["pillar", "cross bar", "stay bar", "frame post"],
  yoke: ["clutch yoke", "pinion yoke", "clutch fork"],
  magnet: ["magnetic", "mag"],
  block: ["brake weight", "centrifugal weight", "brake shoe", "centrifugal brake weight", "brake collar"],
  oscillation: ["oscillating", "osc", "oscillator", "crosswind"],
  slider: ["worm nut", "crosswind block", "slide block", "traverse block", "oscillation block", "oscillating block", "oscillating slider"],
  "trip lever": [
    "bail trip",
    "trip cam",
    "inner lever",
    "bail release lever",
    "bail trip lever",
    "kick lever trip",
    "bail kick lever",
    "trip arm",
  ],
  "bail arm": ["arm cam", "bail arm cam", "arm lever", "bail lever", "line arm"],
  "bail wire": ["bail assy", "bail assembly", "bail"],
  counterweight: ["rotor weight", "balance", "balance weight", "counter weight"],
  "pick-up pin": ["pickup pin", "pick up pin", "pinhead"],
  "pick-up cone": ["spinner head", "rotor head", "winding cup"],
  "cam ring": ["pickup cam", "pick up cam"],
  "front cover": ["cone cover", "front cap", "nose cone", "front housing", "front cone"],
  "lever cam": ["drag cam"],
  "drag lever": ["strike lever", "drag control lever", "drag arm", "lever drag arm"],
  "preset knob": ["preset dial", "drag preset knob", "preset"],
  quadrant: ["quadrant ring", "drag quadrant"],
  detent: ["lever click"],
  "pressure plate": ["brake pressure plate", "drag plate"],
  preload: ["spool return"],
  cross: ["axle pin", "cross pin"],
  check: ["check mechanism"],
  drum: ["drum spool"],
  // What it is of, and which.
  head: ["right", "rh", "r h", "right hand", "right side", "handle side", "gear side"],
  tail: ["left", "lh", "l h", "left hand", "left side", "palm side", "brake side"],
  lock: ["locking"],
  front: ["forward", "fore"],
  rear: ["back", "aft"],
  outer: ["outside", "outward"],
  inner: ["inside", "inward"],
  carbon: ["carbon fibre", "carbon fiber"],
  fibre: ["fiber"],
  "": [
    ...[
      "assy",
      "assembly",
      "complete",
      "comp",
      "ass'y",
      "unit",
      "set",
      "kit",
      "for",
      "f",
      "of",
      "the",
      "with",
      "w",
      "and",
      "a",
      "b",
      "c",
      "no",
      "type",
    ],
    ...[
      "aluminium",
      "aluminum",
      "brass",
      "steel",
      "stainless",
      "ss",
      "metal",
      "piece",
      "one piece",
      "one-piece",
      "std",
      "lh thread",
      "rh thread",
    ],
  ],
};

/** Phrases with what they stand for, the longest first. */
const phrases: readonly (readonly [words: readonly string[], stands: readonly string[]])[] = Object.entries(meant)
  .flatMap(([stands, written]) => [
    ...written.map((one) => [one.split(" "), stands.split(" ").filter(Boolean)] as const),
    // A phrase that stands for itself is one thing, whatever its words mean apart.
    ...(stands.includes(" ") ? [[stands.split(" "), stands.split(" ")] as const] : []),
  ])
  .sort(([a], [b]) => b.length - a.length || b.join(" ").length - a.join(" ").length);

/** Words that lists do not keep apart, and that are not the same all the same. */
export const near: readonly (readonly string[])[] = [
  ["retainer", "clip", "plate"],
  ["cover", "cap", "plate", "body"],
  ["washer", "shim", "spacer", "sleeve", "bush"],
  ["lever", "arm", "switch", "button"],
  ["shaft", "pin", "bar"],
  ["gear", "ratchet"],
  ["dog", "pawl", "tongue"],
  ["body", "frame"],
  ["block", "weight", "shoe", "counterweight"],
  ["knob", "cap", "dial", "star"],
  ["spring", "click"],
  ["main", "drive"],
  ["handle", "knob"],
  ["bearing", "bush"],
];

const singular = (word: string) => (/[^s]s$/.test(word) && word.length > 4 && !/(ness|lens|axis)$/.test(word) ? word.slice(0, -1) : word);

/** Sizes, counts of teeth, threads and marks: they tell like parts apart and say nothing of what they are. */
const figures = /\b[mø]?\d+(?:[.,]\d+)?(?:\s*[x×*]\s*\d+(?:[.,]\d+)?)*(?:\s*(?:mm|cm|in|t|th|teeth|mm²))?\b|["″]|\bø/gi;

/** The words a description means, each once: synonyms are one, what says nothing is left out. The first of the list is what it is, as far as its order tells. */
export function meaningOf(description: string): { readonly words: readonly string[]; readonly head: string | null } {
  const parts = description
    .toLowerCase()
    .replace(figures, " ")
    .split(/[;()]| - |:/)
    .map((one) =>
      one
        .split(",")
        .map((phrase) => phrase.trim())
        .filter(Boolean),
    )
    .filter((one) => one.length);
  // "Cap, bearing adj." is the "bearing adj. cap": the same words, what it is first.
  const phrasesOf = parts
    .map(([first = "", ...rest]) => [...rest, first].join(" "))
    .map((one) =>
      one
        .replace(/[^\p{L}/' -]/gu, " ")
        .split(/\s+/)
        .flatMap((word) => (word.includes("-") && !/^(o|e|anti|one|free|pick)-/.test(word) ? word.split("-") : [word]))
        .filter((word) => word && word !== "-" && word !== "'"),
    )
    .filter((words) => words.length);
  const read = phrasesOf.map((words) => {
    const out: string[] = [];
    for (let at = 0; at < words.length; ) {
      const found = phrases.find(([of]) => of.every((word, i) => singular(words[at + i] ?? "") === singular(word)));
      if (found) {
        out.push(...found[1]);
        at += found[0].length;
      } else {
        out.push(singular(words[at]!));
        at++;
      }
    }
    return out;
  });
  const words = [...new Set(read.flat())];
  // "Screw, handle lock" is a screw by its first phrase, "Handle lock screw" by its last word.
  const first = read.find((one) => one.length) ?? [];
  return { words, head: first.at(-1) ?? null };
}
