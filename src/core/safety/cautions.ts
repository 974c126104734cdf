import { isMadeOf } from "@/core/anatomy/material";
import type { PartType, Position } from "@/core/anatomy/types";
import { dragLimit } from "@/core/drag/drag-limit";
import type { CleanMethod } from "@/core/vocabulary/clean-methods";
import type { HazardId } from "@/core/vocabulary/hazards";
import { mayBeAsbestos } from "./linings";

/** What can hurt somebody at a reel bench, and the words at the step. Source: common practice; makers, local codes and licensed practice stand above. */
export const hazards = {
  lining:
    "This old friction lining may contain asbestos: do not sand, brush, blow or wash it. Wet wipe, bag it, leave it in place if sound; local rules for hazardous material hold, licensed handling for more.",
  spring: "It flies when freed: eye protection on, cup the hand over it.",
  solvent: "Solvent: air the room, gloves on, no flame or hot surface near; oily rags into a closed metal bin; waste by local rules.",
  "warm-oil": "Oil warmed in: below its flash point, a small heat source, never over open solvent.",
  air: "Compressed air: glasses on, and never spin a bearing with it.",
  compatibility: "Strong solvent attacks plastic, paint and line, and carries magnetic fluid away: keep it off them.",
  dust: "Dust of old chrome and paint: glasses and mask on; wet, not dry.",
  drilling: "Drilling a seized screw: glasses and mask on, the work clamped, drill slowly; first oil, warmth and time.",
  pull: `The line is loaded: secure the rod, stand aside of the line, glove on. Pull at most ${dragLimit.words}: a parting line or weight flies.`,
  electric:
    "Electric reel: disconnect it from boat and battery before anything is tested or opened; keep solvent and water from its motor.",
  magnet: "Strong magnet: it pulls small screws and springs; keep it from medical implants as their makers say.",
} as const satisfies Record<HazardId, string>;

/** The line under every caution. */
export const standsAbove = "Makers' instructions, local codes and licensed practice come first.";

/** One act of the hands at a station, as far as it can hurt. */
export type BenchAct =
  | { readonly at: "test"; readonly pullsLine: boolean; readonly electric: boolean }
  | {
      readonly at: "strip";
      readonly position: Pick<Position, "caution" | "cautionSays">;
      readonly type: PartType;
      readonly electric: boolean;
    }
  /** A part that will not come. */
  | { readonly at: "stuck"; readonly type: PartType }
  | { readonly at: "clean"; readonly method: CleanMethod; readonly types: readonly PartType[]; readonly electric: boolean }
  | {
      readonly at: "build";
      readonly position: Pick<Position, "caution" | "cautionSays">;
      readonly type: PartType;
      readonly warmed: boolean;
    }
  /** Oiled where it sits, the spray or the drop beside parts that are not looked at. */
  | { readonly at: "oil"; readonly position: Pick<Position, "caution" | "cautionSays">; readonly type: PartType }
  /** A gate or state without a part of its own. */
  | { readonly at: "gate"; readonly pullsLine: boolean }
  | { readonly at: "report"; readonly types: readonly PartType[] };

const isLining = mayBeAsbestos;
const isMagnet = ({ shape, material }: PartType) => shape.kind === "magnet" || material === "magnet";
const springKinds: ReadonlySet<PartType["shape"]["kind"]> = new Set(["coil-spring", "wire-spring", "wave-spring", "clip"]);
const flies = (type: PartType) => type.flies === true || springKinds.has(type.shape.kind);
const solvents: ReadonlySet<CleanMethod> = new Set(["degreaser", "bearings", "friction-bath", "brush", "flush"]);

/** Roles that make a reel electric. */
const driven: ReadonlySet<string> = new Set(["motor", "battery", "motor-board"]);
export const isElectric = (types: Iterable<Pick<PartType, "role">>): boolean => [...types].some(({ role }) => driven.has(role));

/** Which hazards an act has, the gravest first. */
export function hazardsOf(act: BenchAct): HazardId[] {
  const found: HazardId[] = [];
  const when = (so: boolean, hazard: HazardId) => {
    if (so) found.push(hazard);
  };
  switch (act.at) {
    case "test":
      when(act.electric, "electric");
      when(act.pullsLine, "pull");
      break;
    case "strip":
      when(act.electric, "electric");
      when(isLining(act.type), "lining");
      when(flies(act.type), "spring");
      when(isMagnet(act.type), "magnet");
      break;
    case "stuck":
      when(isLining(act.type), "lining");
      when(act.type.shape.kind === "screw", "drilling");
      when(isMadeOf(act.type, "plated") || act.type.shape.kind === "screw", "dust");
      when(flies(act.type), "spring");
      break;
    case "clean":
      when(act.electric, "electric");
      when(act.types.some(isLining), "lining");
      when(solvents.has(act.method), "solvent");
      when(solvents.has(act.method) || act.method === "magnet" || act.method === "soap" || act.method === "damp", "compatibility");
      when(act.method === "bearings" || act.method === "flush" || act.method === "soap", "air");
      when(act.types.some(isMagnet), "magnet");
      when(
        (act.method === "polish" || act.method === "soap" || act.method === "damp" || act.method === "brush") &&
          act.types.some((type) => isMadeOf(type, "plated")),
        "dust",
      );
      break;
    case "build":
      when(isLining(act.type), "lining");
      when(flies(act.type), "spring");
      when(act.warmed, "warm-oil");
      when(isMagnet(act.type), "magnet");
      break;
    case "oil":
      when(isLining(act.type), "lining");
      break;
    case "gate":
      when(act.pullsLine, "pull");
      break;
    case "report":
      when(act.types.some(isLining), "lining");
      break;
  }
  return found;
}

/**
 * What is said before the hand moves, each once: the hazard's own words, then what the seat and the part say of themselves unless that is
 * the same danger in other words. Empty when there is nothing to beware of.
 */
export function cautionsAt(act: BenchAct): string[] {
  const ids = hazardsOf(act);
  const position = "position" in act ? act.position : null;
  const own = position && "type" in act ? [position.caution, act.type.hazard] : [];
  const said = own.filter((words): words is string => Boolean(words));
  // A seat that says how its spring flies says it better than the rule does.
  const general = ids.filter((id) => !(position?.caution && position.cautionSays === id)).map((id) => hazards[id]);
  return [...new Set([...said, ...general])];
}
