import type { Anatomy, PartType } from "@/core/anatomy/types";
import type { ReelSection } from "@/core/diagnosis/isolation";
import type { ComplaintId } from "@/core/vocabulary/counter-lists";
import type { FamilyId } from "@/core/vocabulary/families";

/** What hands work on as one for a complaint or a fault, smaller than an assembly or across several. */
export type PlaceId =
  | "gears"
  | "spool-ends"
  | "spool"
  | "drag"
  | "anti-reverse"
  | "click"
  | "roller"
  | "bail"
  | "pick-up"
  | "rise"
  | "level-wind"
  | "controls"
  | "handle";

/** A place by the roles of its parts. */
interface Place {
  /** An assembly with one of these is serviced whole. */
  readonly whole?: readonly string[];
  /** Of other assemblies these come out and the rest rides along. */
  readonly parts?: readonly string[];
  /** Where the reel has one of these, they are tried before the rest. */
  readonly first?: readonly string[];
  /** In these families other parts. */
  readonly inFamily?: Partial<Readonly<Record<FamilyId, Omit<Place, "inFamily">>>>;
}

const bails: Place = { parts: ["bail-arm", "bail-spring", "trip-lever", "bail-trigger", "trigger-spring"] };
// The pinion is looked at from the body: rotor and clutch stay on.
const gearsOfSpinning: Place = { whole: ["main-gear", "oscillation-block"], parts: ["gear-bearing", "gear-bush"] };

/** Common practice: the shortest way to where each complaint lives. */
const places: Readonly<Record<PlaceId, Place>> = {
  gears: {
    whole: ["main-gear", "gear-sleeve", "oscillation-block"],
    parts: ["pinion", "pinion-bearing", "gear-bearing", "gear-bush", "yoke"],
    inFamily: {
      spinning: gearsOfSpinning,
      "spinning-fluid-sealed": gearsOfSpinning,
      "spinning-sealed-bail-less": { whole: ["main-gear", "oscillation-block"] },
      centrepin: { whole: ["hub-sleeve"], parts: ["spool-bearing"] },
      fly: { parts: ["spool-bearing"] },
    },
  },
  "spool-ends": { whole: ["hub-sleeve"], parts: ["spool-bearing", "spool-bush", "bearing-cap", "spool-support-bearing"] },
  spool: { parts: ["spool"] },
  drag: {
    parts: [
      "friction-washer",
      "friction-washer-low",
      "friction-washer-under",
      "keyed-washer",
      "eared-washer",
      "copper-washer",
      "drag-nut",
      "pressure-plate",
      "pressure-plate-bearing",
      "preload-spring",
      "drag-cap",
      "drag-unit",
      "tension-washer",
      "star",
      "knob-o-ring",
    ],
  },
  // The clutch first; what stands behind it only when the clutch is good.
  "anti-reverse": {
    first: ["roller-clutch", "clutch-sleeve", "clutch-pin"],
    parts: ["dog", "dog-spring", "dog-coil", "anti-reverse-spring", "friction-spring", "ratchet", "anti-reverse-hub"],
    // Its sleeve lies open once the spool is off, and is wiped where it sits.
    inFamily: { fly: { parts: ["roller-clutch"] } },
  },
  click: { parts: ["click-tongue", "click-spring", "click-button", "click-washer"] },
  roller: { whole: ["line-roller"] },
  bail: bails,
  // A closed face drops its line at the pin, an open one at the arm that should have shut.
  "pick-up": { ...bails, inFamily: { spincast: { whole: ["pick-up-cone"] }, "spinning-sealed-bail-less": { whole: ["line-roller"] } } },
  rise: { parts: ["oscillation-block", "block-screw", "main-shaft", "oscillation-gear"] },
  "level-wind": { whole: ["worm"] },
  controls: {
    parts: [
      "yoke",
      "yoke-spring",
      "jack",
      "eccentric",
      "eccentric-spring",
      "clutch-cam",
      "kick-lever",
      "kick-spring",
      "thumb-bar",
      "thumb-bar-spring",
      "drag-lever",
      "lever-washer",
      "cam",
      "preset-spring",
      "push-button",
    ],
  },
  handle: { parts: ["handle", "handle-spacer", "handle-washer"] },
};

/** Where each complaint is looked for when the tests point nowhere: nothing of a reel that came for a service alone. */
export const placesOfComplaint: Readonly<Record<ComplaintId, readonly PlaceId[]>> = {
  stiff: ["gears", "spool-ends"],
  gritty: ["gears", "spool-ends"],
  "short-spin": ["spool-ends"],
  whirrs: ["spool-ends"],
  "drag-jerky": ["drag"],
  "drag-weak": ["drag"],
  "slips-back": ["anti-reverse"],
  "click-weak": ["click"],
  "no-gear": ["controls"],
  wobbles: ["handle"],
  "line-twists": ["roller"],
  "no-rise": ["rise"],
  "bail-hangs": ["bail"],
  "drops-line": ["pick-up"],
  service: [],
};

/** The places of several complaints, each once. */
export const placesOfComplaints = (complaints: readonly ComplaintId[]): PlaceId[] => [
  ...new Set(complaints.flatMap((id) => placesOfComplaint[id])),
];

/** Where a hand goes for what the tests point to; null for the whole reel. */
export const placesOfSection: Readonly<Record<ReelSection, readonly PlaceId[] | null>> = {
  "gear-side": ["gears"],
  "spool-side": ["spool-ends"],
  // Whatever stands askew may be at either end.
  "shaft-line": null,
  drag: ["drag"],
  "anti-reverse": ["anti-reverse"],
  click: ["click"],
  bail: ["bail", "roller"],
  "level-wind": ["level-wind"],
  controls: ["controls"],
  outside: [],
};

/** What of an assembly a place takes: all that is serviced, or some seats; seats that stay in are laid open and left where they are. */
export type Taken = "whole" | ReadonlySet<string>;

/** What a place takes on this reel, by assembly; nothing where the reel has no such place. @returns assembly ids. */
export function takenBy(
  id: PlaceId,
  family: FamilyId,
  { positions }: Pick<Anatomy, "positions">,
  types: ReadonlyMap<string, Pick<PartType, "role">>,
): ReadonlyMap<string, Taken> {
  const { inFamily, ...usual } = places[id];
  const { whole = [], parts = [], first = [] } = inFamily?.[family] ?? usual;
  const roleOf = (partTypeId: string) => types.get(partTypeId)?.role ?? "";
  const roles = new Set(positions.map(({ partTypeId }) => roleOf(partTypeId)));
  const out = new Set(first.some((role) => roles.has(role)) ? first : parts);
  const taken = new Map<string, "whole" | Set<string>>();
  for (const { id: seat, assemblyId, partTypeId } of positions) {
    const role = roleOf(partTypeId);
    const so = taken.get(assemblyId);
    if (whole.includes(role)) taken.set(assemblyId, "whole");
    else if (out.has(role) && so !== "whole") taken.set(assemblyId, new Set([...(so ?? []), seat]));
  }
  return taken;
}
