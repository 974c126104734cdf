import type { Anatomy, PartType, Position } from "@/core/anatomy/types";
import { cautionsAt } from "@/core/safety/cautions";
import type { WaysInForce } from "@/core/ways/ways";
import { type LubricantAdvice, lubricantFor } from "./lubricant-for";
import { classOfProduct } from "./products";

/** A place that gets its oil or grease with the part left where it is. */
export interface OilPoint {
  readonly positionId: string;
  readonly name: string;
  readonly advice: LubricantAdvice;
  /** How one gets to it. */
  readonly way: string;
  readonly cautions: readonly string[];
}

/** What became of a point: oiled, left out on purpose, or still to do. */
export type OilPointState = "waiting" | "oiled" | "left-out";
export interface JobOilState {
  readonly positionId: string;
  readonly name: string;
  readonly state: OilPointState;
}

/** What of a reel stays in on a job, and what was laid open round it. */
export interface LaidOpen {
  /** Seats that come off: they get theirs as they are fitted. */
  readonly off: ReadonlySet<string>;
  /** Seats that leave the reel on a part that comes off, by seat. */
  readonly ridesOn: ReadonlyMap<string, string>;
  /** Assemblies that are serviced. */
  readonly open: ReadonlySet<string>;
  /** Seats served where they sit because somebody said so. */
  readonly inPlace: ReadonlySet<string>;
}

/** What runs is given its drop whenever it can be reached. */
const isOil = ({ product }: LubricantAdvice): boolean => ["oil", "fluid"].includes(classOfProduct(product));

/** How one gets to a part that stays in; null where nothing lays it open. */
function wayTo(position: Position, advice: LubricantAdvice, names: ReadonlyMap<string, string>, laid: LaidOpen): string | null {
  if (position.oilPort && (position.portBehind ?? []).every((id) => laid.off.has(id))) return position.oilPort;
  if (laid.inPlace.has(position.id)) return "served where it sits";
  // Pressed in, pinned, or the body: it stays in and is no point of its own.
  if (position.stays) return null;
  const carrier = laid.ridesOn.get(position.id);
  // What is greased once stays greased; what is oiled is given its drop whenever it can be reached.
  if (!isOil(advice)) return null;
  if (carrier !== undefined) return `on the ${(names.get(carrier) ?? carrier).toLowerCase()}, while it is off`;
  if (position.inPlace && laid.open.has(position.assemblyId)) return "where it sits: it is not drawn here";
  return null;
}

/**
 * The oil points of a job: every part that stays in, has something to get, and can be reached. The same rules as at Build say what it gets; what
 * must stay dry is no point. In the order of the model's seats. Source: common practice.
 */
export function oilPointsOf(
  { positions }: Pick<Anatomy, "positions">,
  types: ReadonlyMap<string, PartType>,
  ways: WaysInForce,
  laid: LaidOpen,
): OilPoint[] {
  const names = new Map(positions.map(({ id, name }) => [id, name]));
  return positions.flatMap((position): OilPoint[] => {
    const type = types.get(position.partTypeId);
    if (!type || laid.off.has(position.id)) return [];
    const advice = lubricantFor(position, type, ways);
    if (!advice || advice.product === "nothing") return [];
    const way = wayTo(position, advice, names, laid);
    if (way === null) return [];
    return [{ positionId: position.id, name: position.name, advice, way, cautions: cautionsAt({ at: "oil", position, type }) }];
  });
}

/** The points of a whole reel with nothing opened: what an outside service oils. */
export const outsidePoints = (anatomy: Pick<Anatomy, "positions">, types: ReadonlyMap<string, PartType>, ways: WaysInForce): OilPoint[] =>
  oilPointsOf(anatomy, types, ways, { off: new Set(), ridesOn: new Map(), open: new Set(), inPlace: new Set() });
