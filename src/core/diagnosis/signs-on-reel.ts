import type { Fault } from "./fault";
import type { FindingId } from "./finding-table";
import type { Knowledge } from "./knowledge";
import type { Look, Opening } from "./look-table";

/** What decides which signs a reel can show, and in which words one asks for them: told by the part roles it has. Source: common practice. */
const traits = {
  gears: (has: Has) => has("main-gear"),
  /** Its spool turns by itself when it is let go: let out of gear, or wound directly and without a drag. */
  runsFree: (has: Has) =>
    has("eccentric", "free-spool-lever", "clutch-cam", "thumb-bar", "cam") ||
    !has("main-gear", "friction-washer", "roller-clutch", "drag-unit"),
  /** It is put in and out of gear, be it by a lever that also sets the drag. */
  engages: (has: Has) => has("eccentric", "clutch-cam", "yoke", "cam"),
  /** Something slides along its pinion. */
  clutch: (has: Has) => has("eccentric", "clutch-cam", "yoke"),
  freeSpoolLever: (has: Has) => has("free-spool-lever", "thumb-bar", "eccentric"),
  gearShaft: (has: Has) => has("gear-sleeve"),
  star: (has: Has) => has("star"),
  rotor: (has: Has) => has("rotor"),
  plateScrews: (has: Has) => has("plate-screw"),
  clickButton: (has: Has) => has("click-button"),
  tailPlate: (has: Has) => has("tail-plate"),
} as const satisfies Record<string, (has: Has) => boolean>;
type Has = (...anyOf: readonly string[]) => boolean;
type Trait = keyof typeof traits;
type Reel = Readonly<Record<Trait, boolean>>;

/** What a reel without the trait shows in a sign's stead. */
type Instead =
  /** It cannot show the sign: nobody is sent to look for it. */
  | null
  /** What is felt there is that other sign. */
  | { readonly as: FindingId }
  /** The same sign, named and looked for otherwise. */
  | { readonly name?: string; readonly how?: string };

/** [sign, what the reel must have for it, what a reel without that shows instead]; the first row that speaks is taken. */
type SignRow = readonly [sign: FindingId, needs: Trait, instead: Instead];

const rows: readonly SignRow[] = [
  ["stiff-in-gear", "gears", { as: "stiff-free-spool" }],
  ["stiff-in-gear", "engages", { name: "Hard to turn", how: "Turn the handle slowly three times" }],
  ["gritty-in-gear", "gears", { as: "gritty-free-spool" }],
  ["gritty-in-gear", "engages", { name: "Gritty or grinding as it turns" }],
  ["short-spin", "runsFree", null],
  ["short-spin", "gears", { how: "Click off: spin it and count" }],
  ["whizz-on-cast", "runsFree", null],
  ["louder-since-bearings", "runsFree", null],
  ["stiff-free-spool", "gears", { name: "Spool hard to turn by its rim", how: "Drag and click off: turn the spool by its rim" }],
  ["stiff-free-spool", "runsFree", null],
  ["gritty-free-spool", "gears", { name: "Grinds as the spool turns", how: "Turn the spool slowly by its rim, fingertips on the frame" }],
  ["gritty-free-spool", "runsFree", null],
  ["hums-after-closing", "runsFree", { how: "Turn it closed, and remember how it ran open" }],
  ["engages-late", "clutch", null],
  ["will-not-engage", "clutch", null],
  ["lever-stiff", "freeSpoolLever", null],
  ["lever-spongy", "freeSpoolLever", null],
  ["shaft-alone-stiff", "gearShaft", { name: "Main gear turns hard by itself", how: "Turn the main gear alone with two fingers" }],
  [
    "eases-with-plate",
    "plateScrews",
    { name: "Frees when the cover screws are eased", how: "Ease the cover screws an eighth and turn again" },
  ],
  ["star-silent", "star", { name: "Drag knob turns without its click", how: "Turn the drag knob and listen" }],
  ["click-weak", "clickButton", { how: "Draw line and listen to the click" }],
  ["click-one-sided", "gears", { how: "Draw line, then wind, and listen" }],
  ["click-one-sided", "clickButton", { name: "Click uneven, or silent", how: "Draw line over a whole turn of the spool and listen" }],
  ["button-spongy", "clickButton", null],
  ["wobbles", "gears", { name: "Spool wobbles", how: "Rock the spool by its rim with two fingers" }],
  ["wobbles", "rotor", { name: "Handle wobbles", how: "Rock the handle with two fingers" }],
  ["slips-back", "gears", { name: "Drag takes hold late as line runs out", how: "Draw line in twenty short pulls: does it hold at once?" }],
  [
    "fixed-slip",
    "gears",
    { name: "Spool gives a small angle before the drag holds", how: "Turn the spool back slowly and measure the angle before it holds" },
  ],
  ["turns-backwards", "gears", { name: "Line runs out without the drag", how: "Drag half on: draw line. Does it brake at all?" }],
];

/** What a fault feels like where the reel shows it otherwise than the table says; of two rows of a fault the later speaks. */
const feltRows: readonly (readonly [fault: string, needs: Trait, felt: string])[] = [
  ["spool-bearing-rough", "gears", "Grinds as it turns"],
  ["water-in-bearings", "gears", "Grinds and is stiff as it turns"],
  ["spool-bearing-dirty", "runsFree", "Winds rough or unevenly"],
  ["spool-bearing-rough", "runsFree", "Grinds as it winds"],
  ["spool-bearing-dry", "runsFree", "A dry whisper as it winds"],
  ["spool-bearing-drowned", "runsFree", "Winds heavily, smooth and silent"],
  ["water-in-bearings", "runsFree", "Grinds and is stiff as it winds"],
  ["spool-bent", "runsFree", "Hums, a tight spot at each turn"],
  ["gear-shaft-frozen", "engages", "Hard to turn"],
  ["hardened-grease", "engages", "Stiff, even all round"],
  ["gears-dry", "engages", "A dry whisper as it turns"],
  ["gears-worn", "engages", "Gritty or skipping, still so when clean"],
  ["gear-bearing-rough", "engages", "Gritty, still so with clean teeth"],
  ["clutch-greased", "gears", "The drag takes hold late"],
  ["clutch-sleeve-pitted", "gears", "The drag takes hold late, more so when cold or loaded"],
];

/** Faults that need more than their one part. */
const faultRows: readonly (readonly [fault: string, needs: Trait])[] = [
  // Where nothing slides along the pinion its bore and its slot carry no cast and no gear.
  ["pinion-bore-dirty", "clutch"],
  ["pinion-slot-worn", "clutch"],
  // The nut of the handle presses on a stack only where a star stands between.
  ["spacer-missing", "star"],
  ["stack-not-pressed", "star"],
];

/** What is open before one can look, where a reel has not what the common name of it says. */
const openingRows: readonly (readonly [Opening, Trait, string])[] = [
  ["handle", "star", "drag open"],
  ["tail", "tailPlate", "click open"],
  ["gears", "gears", "drum off"],
];

const reelOf = (roles: ReadonlySet<string>): Reel => {
  const has: Has = (...anyOf) => anyOf.some((role) => roles.has(role));
  return Object.fromEntries(Object.entries(traits).map(([id, test]) => [id, test(has)])) as Reel;
};

/** Whether a reel of these part roles can have a fault at all. */
export const mayHave = ({ id, needs }: Pick<Fault, "id" | "needs">, roles: ReadonlySet<string>): boolean =>
  (needs === undefined || roles.has(needs)) && faultRows.every(([fault, trait]) => fault !== id || reelOf(roles)[trait]);

const insteadOf = (sign: FindingId, reel: Reel) => rows.find(([id, needs]) => id === sign && !reel[needs])?.[2];

/** The sign that is felt on a reel of these part roles where a test or a customer tells of one: most often that sign itself. */
export function signOn(sign: FindingId, roles: ReadonlySet<string>): FindingId {
  const instead = insteadOf(sign, reelOf(roles));
  return instead && "as" in instead ? instead.as : sign;
}

const made = new WeakMap<Knowledge, Map<string, Knowledge>>();

/**
 * The knowledge as it speaks of one reel: signs in words that name only what the reel has, and no look at what it cannot show. What was told
 * or looked at all the same is still heard.
 * @param roles part roles the reel has
 */
export function knowledgeOn(knowledge: Knowledge, roles: ReadonlySet<string>): Knowledge {
  const reel = reelOf(roles);
  const key = Object.values(reel).join();
  const before = made.get(knowledge)?.get(key);
  if (before) return before;
  const openNames = new Map(openingRows.flatMap(([open, needs, name]) => (reel[needs] ? [] : [[open, name] as const])));
  const felt = new Map(feltRows.flatMap(([fault, needs, words]) => (reel[needs] ? [] : [[fault, words] as const])));
  const words = (sign: FindingId) => {
    const instead = insteadOf(sign, reel);
    return instead && !("as" in instead) ? instead : {};
  };
  const on: Knowledge = {
    ...knowledge,
    findings: knowledge.findings.map((finding) => ({ ...finding, name: words(finding.id).name ?? finding.name })),
    looks: new Map(
      [...knowledge.looks.values()].flatMap((look): [FindingId, Look][] => {
        const instead = insteadOf(look.finding, reel);
        if (instead === null || (instead && "as" in instead)) return [];
        const openName = openNames.get(look.open);
        return [[look.finding, { ...look, how: instead?.how ?? look.how, ...(openName ? { openName } : {}) }]];
      }),
    ),
    faults: knowledge.faults.map((fault) => ({ ...fault, feltAs: felt.get(fault.id) ?? fault.feltAs })),
  };
  made.set(knowledge, (made.get(knowledge) ?? new Map<string, Knowledge>()).set(key, on));
  // Spoken of the same reel again it stays as it is.
  made.set(on, new Map([[key, on]]));
  return on;
}
