import { isMadeOf } from "@/core/anatomy/material";
import { isSealed, type PartKind } from "@/core/anatomy/shapes";
import type { PartType } from "@/core/anatomy/types";
import { isUnknownMaterial, mayBeAsbestos } from "@/core/safety/linings";
import { type CleanMethod, cleanMethodIds } from "@/core/vocabulary/clean-methods";
import type { Choice } from "@/core/ways/ways";

export interface CleanMethodSpec {
  readonly name: string;
  /** How it reads once it was done, in a report. */
  readonly done: string;
  readonly how: string;
  readonly not: string;
  readonly soakMinutes: number;
  readonly handMinutes: number;
  readonly dryMinutes: number;
}

/** What each way of cleaning is. Source: common practice. */
export const cleanMethods: Readonly<Record<CleanMethod, CleanMethodSpec>> = {
  degreaser: {
    name: "Degreaser bath, then brush",
    done: "degreaser bath and brush",
    how: "Soak, then a brass or toothbrush along each valley of the teeth; a swab thinned till it just passes through each bore.",
    not: "No steel brush, no coarse abrasive; leave no fibres.",
    soakMinutes: 20,
    handMinutes: 1,
    dryMinutes: 10,
  },
  bearings: {
    name: "Bearings: separate bath",
    done: "bearing bath",
    how: "Soak, swirl, drain. Hold the outer ring, press, turn the inner slowly: it must feel smooth.",
    not: "Never spin a bearing dry with compressed air.",
    soakMinutes: 15,
    handMinutes: 1,
    dryMinutes: 20,
  },
  soap: {
    name: "Mild soapy water",
    done: "mild soapy water",
    how: "Soft brush, rinse; sand and mud out with hot water; warm air until completely dry.",
    not: "No strong solvent on plastic, carbon, paint or anodising; never closed damp.",
    soakMinutes: 5,
    handMinutes: 1,
    dryMinutes: 30,
  },
  "friction-bath": {
    name: "Friction washers, washed",
    done: "washed and dried flat",
    how: "Short degreaser bath on their own, dried flat, greased again at Build.",
    not: "Do not bend them: carbon breaks.",
    soakMinutes: 5,
    handMinutes: 0.5,
    dryMinutes: 20,
  },
  brush: {
    name: "Swab and brush",
    done: "swab and brush",
    how: "A toothbrush with a few drops of degreaser along the teeth and into the corners, a swab through each bore; wipe dry. Screws together, a swirl in a cup.",
    not: "No steel brush, no coarse abrasive; leave no fibres.",
    soakMinutes: 0,
    handMinutes: 0.4,
    dryMinutes: 5,
  },
  flush: {
    name: "Bearings, flushed one by one",
    done: "flushed one by one",
    how: "A few drops of cleaner over a cup, turned slowly till it runs clear; let it dry. Hold the outer ring, press, turn the inner: it must feel smooth.",
    not: "Never spin a bearing dry with compressed air.",
    soakMinutes: 0,
    handMinutes: 0.5,
    dryMinutes: 10,
  },
  damp: {
    name: "Damp cloth, a drop of soap",
    done: "damp cloth",
    how: "Soft brush and a damp cloth; swabs in the corners; rub dry.",
    not: "No strong solvent on plastic, carbon, paint or anodising; never closed damp.",
    soakMinutes: 0,
    handMinutes: 0.4,
    dryMinutes: 5,
  },
  wipe: {
    name: "Wiped by hand",
    done: "wiped",
    how: "Flat on a towel, in circles; seals and sealed bearings with a cloth only.",
    not: "No bath: it swells rubber, washes out sealed bearings and dries leather.",
    soakMinutes: 0,
    handMinutes: 0.5,
    dryMinutes: 0,
  },
  swab: {
    name: "Swabbed, then wiped dry",
    done: "swabbed dry",
    how: "Swab with a trace of oil to clean, then dry swabs until they stay clean; clean fingers afterwards.",
    not: "Leave it dry: with oil left here the brakes fade.",
    soakMinutes: 0,
    handMinutes: 1,
    dryMinutes: 0,
  },
  polish: {
    name: "Steel wool, oiled",
    done: "polished",
    how: "Shafts and sleeves with the finest wool and oil: polish, not scour; a fused plate till a fingernail runs smooth.",
    not: "Where bronze shows through thin chrome it will stay: promise nothing.",
    soakMinutes: 0,
    handMinutes: 2,
    dryMinutes: 0,
  },
  magnet: {
    name: "Magnets and their fluid",
    done: "swabbed, magnets",
    how: "Lint-free swab; alcohol only if the fluid is to be replaced, then a drop of its own fluid at Build and no more wiping.",
    not: "No degreaser near magnetic fluid; away from screws and springs.",
    soakMinutes: 0,
    handMinutes: 1,
    dryMinutes: 5,
  },
  "leave-dry": {
    name: "Old dry lining: left alone",
    done: "left alone, old lining",
    how: "Leave it in place if it is sound. If it must be moved: wet wipe, bag the wipe.",
    not: "Do not sand, brush, blow or wash it off.",
    soakMinutes: 0,
    handMinutes: 1,
    dryMinutes: 0,
  },
};

/** Methods that put parts into a vessel; what goes in is counted when it comes out. */
export const isBath = (method: CleanMethod): boolean => cleanMethods[method].soakMinutes > 0;

const brakes: ReadonlySet<string> = new Set(["brake-drum", "brake-block", "brake-hub"]);
const polished: ReadonlySet<string> = new Set(["shaft", "sleeve"]);

/** A bath's way by hand, for the same kind of part. */
const byHand: Readonly<Partial<Record<CleanMethod, CleanMethod>>> = {
  degreaser: "brush",
  bearings: "flush",
  soap: "damp",
  "friction-bath": "wipe",
};
/** What a cloth and a swab alone are enough for where there is hardly any dirt. */
const wiped: ReadonlySet<CleanMethod> = new Set(["degreaser", "soap", "polish", "friction-bath"]);

/** How a kind of part is cleaned where everything goes through its bath. @param friction the way of friction washers. */
function thoroughMethodOf(type: PartType, friction: Choice<"frictionWashing">): CleanMethod {
  const { shape, material, role } = type;
  if (mayBeAsbestos(type)) return "leave-dry";
  if (shape.kind === "magnet" || material === "magnet") return "magnet";
  if (isSealed(shape)) return "wipe";
  if (shape.kind === "bearing") return "bearings";
  if (shape.kind === "friction-washer")
    return friction === "washed" && !isMadeOf(type, "soft") && material !== "rubber" ? "friction-bath" : "wipe";
  if (brakes.has(role)) return "swab";
  if (material === "rubber" || isMadeOf(type, "soft")) return "wipe";
  // The needles of a one-way clutch are rinsed like a bearing; its sleeve must end clean and dry.
  if (role === "roller-clutch") return "bearings";
  // What it is made of nobody knows: taken for plastic, which solvent crazes.
  if (isMadeOf(type, "tender") || isUnknownMaterial(material)) return "soap";
  if (polished.has(shape.kind) && isMadeOf(type, "steel")) return "polish";
  return "degreaser";
}

/**
 * How one part is cleaned by how dirty the reel is. Friction washers that are to be washed are, by whatever way the rest goes.
 * @param friction the way of friction washers, which some wash and some only wipe. @param dirt how the reel is cleaned: baths, hands, a cloth.
 */
export function cleanMethodOf(
  type: PartType,
  friction: Choice<"frictionWashing">,
  dirt: Choice<"cleaning">,
  /** It still carries what a bath would spoil. */
  carrying = false,
): CleanMethod {
  const method = thoroughMethodOf(type, friction);
  if (carrying && (isBath(method) || method === "polish")) return "damp";
  if (dirt === "bath" || method === "friction-bath") return method;
  if (dirt === "wipe") return method === "bearings" ? "flush" : wiped.has(method) ? "wipe" : method;
  // What is polished in a bath's round is brushed with the rest; rust and pits are looked at part by part.
  return method === "polish" ? "brush" : handMethodOf(method);
}

/** The way by hand that stands for a bath; other ways are by hand already. */
export const handMethodOf = (method: CleanMethod): CleanMethod => byHand[method] ?? method;

/** Ways a part may be cleaned, whatever the reel's dirt: what would spoil it is not among them. */
export function cleanMethodsFor(type: PartType, carrying = false): CleanMethod[] {
  const ways = new Set<CleanMethod>();
  if (carrying) {
    const own = thoroughMethodOf(type, "wiped");
    return cleanMethodIds.filter(
      (method) => method === "damp" || method === "wipe" || (method === own && !isBath(own) && own !== "polish"),
    );
  }
  for (const dirt of ["brush", "bath", "wipe"] as const)
    for (const friction of ["wiped", "washed"] as const) ways.add(cleanMethodOf(type, friction, dirt));
  // A bearing that is hardly dirty is wiped where it is not opened.
  if (ways.has("bearings") || ways.has("flush")) ways.add("wipe");
  const { shape } = type;
  if (polished.has(shape.kind) && isMadeOf(type, "steel")) ways.add("polish");
  return cleanMethodIds.filter((method) => ways.has(method));
}

/** Small fasteners, shims, brake blocks, springs and pins are cleaned together, as one: a swirl in a cup. */
const smallThings: ReadonlySet<PartKind> = new Set(["screw", "nut", "clip", "washer", "block", "pin", "coil-spring", "wire-spring"]);
export const cleanedTogether = ({ shape }: PartType): boolean => smallThings.has(shape.kind);

/** What must not come together, and why; each is said where both lie in one job's plan. Source: common practice. */
const apart: readonly (readonly [CleanMethod, CleanMethod, string])[] = [
  ["degreaser", "bearings", "grit from the gear bath gets into bearings"],
  ["degreaser", "soap", "strong solvent crazes plastic and lifts paint"],
  ["degreaser", "magnet", "solvent washes magnetic fluid away; the magnet pulls screws and springs out of order"],
  ["degreaser", "wipe", "solvent swells rubber and dries leather"],
  ["friction-bath", "degreaser", "friction washers soak up grease from the gears"],
  ["swab", "degreaser", "the brakes must be dry"],
  ["leave-dry", "degreaser", "an old lining's dust must not be washed off"],
  ["leave-dry", "soap", "an old lining's dust must not be washed off"],
];

/** The pairs of methods in a plan that must stay apart, with the reason. */
export function keepApart(methods: ReadonlySet<CleanMethod>): { readonly a: CleanMethod; readonly b: CleanMethod; readonly why: string }[] {
  return apart.flatMap(([a, b, why]) => (methods.has(a) && methods.has(b) ? [{ a, b, why }] : []));
}
