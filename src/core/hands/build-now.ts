import type { Anatomy, Batch, PartType } from "@/core/anatomy/types";
import { carriesLoad } from "@/core/safety/carries-load";
import type { BeforeBuried } from "@/core/teardown/before-buried";
import { buriedByAct } from "@/core/teardown/buried-by";
import { cameWithout } from "@/core/teardown/came-without";
import { shutBy, shutsIn } from "@/core/teardown/oil-window";
import { isSettled, oldPieces } from "@/core/teardown/owed";
import type { Step } from "@/core/teardown/step";
import { waitsForNew } from "@/core/teardown/verdicts";
import { type BuildAct, buildActFrom, nextBuildAct } from "./build-acts";
import { lastDone, upToCheck } from "./up-to-check";

/** A place to oil, as far as the way back has to know it. */
export interface PointAtBuild {
  readonly positionId: string;
  readonly state: "waiting" | "oiled" | "left-out";
  /** Seats it is behind. */
  readonly behind: readonly string[];
}

/** What the hands have before them at Build. */
export interface AtBuild<S extends Step, P extends PointAtBuild> {
  readonly steps: readonly S[];
  readonly points: readonly P[];
  readonly batches: readonly Batch[];
  readonly anatomy: Anatomy;
  readonly types: ReadonlyMap<string, PartType>;
  /** Seats whose parts are not cleaned yet. */
  readonly toClean: readonly string[];
  /** Seats a new part was asked for. */
  readonly foreseen: readonly string[];
}

/** A step picked by hand; alone: by itself, without what else its hand would take. */
export interface PickedStep {
  readonly operationId: string;
  readonly alone: boolean;
}

/** What the main key of Build does now. */
export type BuildKey<S extends Step, P extends PointAtBuild> =
  /** A step the picked one stands on. */
  | { readonly what: "first"; readonly step: S }
  /** One piece of a handful is not here: it is asked about alone. */
  | { readonly what: "not-here"; readonly step: S }
  /** These came without their part and stay so; the rest of the act goes in. */
  | { readonly what: "as-it-came"; readonly left: readonly S[]; readonly rest: readonly string[] }
  | { readonly what: "fit-new" }
  /** Old pieces of which a fault was proved, or of seats that take one only once: new ones first, or a reason. */
  | { readonly what: "renew"; readonly operationIds: readonly string[] }
  | { readonly what: "clean-first" }
  /** These lie open and the act would shut one of them in. */
  | { readonly what: "oil"; readonly points: readonly P[] }
  | { readonly what: "passes"; readonly operationIds: readonly string[] }
  | { readonly what: "done"; readonly operationIds: readonly string[] }
  /** What is done is only looked at. */
  | { readonly what: "looking" }
  /** Nothing is left to fit, and these wait for oil. */
  | { readonly what: "oil-rest"; readonly positionIds: readonly string[] }
  | { readonly what: "to-prove" };

export interface BuildNow<S extends Step, P extends PointAtBuild> {
  readonly act: BuildAct | null;
  /** The steps of the act. */
  readonly acting: readonly S[];
  /** The only step of the act; null where it has several. */
  readonly alone: S | null;
  /** The step drawn over its seat. */
  readonly lead: S | null;
  readonly undone: boolean;
  readonly key: BuildKey<S, P>;
  readonly last: S | null;
  /** Parts of the act of which a fault was proved: somebody is asked. */
  readonly old: readonly S[];
  /** What of bearings and stacks the act would cover. */
  readonly buries: BeforeBuried | null;
  /** Parts of the act the reel came without and for which none was asked. */
  readonly cameWithout: readonly S[];
  /** Parts of the act that nobody cleaned. */
  readonly unclean: readonly S[];
  /** Points still to do that something went in over, with what it was. */
  readonly missed: ReadonlyMap<string, S>;
  /** Everything up to the next check; empty where it is no more than the act, or something has to be said first. */
  readonly toCheck: readonly string[];
}

/** Its new piece is not here, or it was not there when the reel came. */
export const waitsForPiece = ({ well }: Pick<Step, "well">): boolean => well !== null && waitsForNew(well);

const isOpenPlace = ({ operation, position, state }: Step): boolean => operation.kind === "place" && state !== "done" && position !== null;

/** Somebody has let one uncleaned part go back already: the others are not asked about again (common practice: it is said once a job). */
const saidUncleaned = (steps: readonly Step[]): boolean =>
  steps.some(
    ({ operation, state, well }) =>
      operation.kind === "place" && state === "done" && well !== null && well.cleanedAt === null && !well.renewed,
  );

/**
 * What comes next on the way back, all of it by rule: the act of the hands, what has to be said or done before it, and what the main key does.
 * @param picked a step chosen from the list or the drawing; null follows the order.
 * @param asItIs somebody said that what waits for cleaning goes back as it is.
 */
export function buildNow<S extends Step, P extends PointAtBuild>(
  at: AtBuild<S, P>,
  picked: PickedStep | null,
  asItIs: boolean,
): BuildNow<S, P> {
  const { steps, points, batches, anatomy, types } = at;
  const last = lastDone(steps);
  const act = actOf(at, picked, last);
  const ids = new Set(act?.operationIds);
  const byId = new Map(steps.map((one) => [one.operation.id, one]));
  const acting = [...ids].flatMap((id) => byId.get(id) ?? []);
  const alone = acting.length === 1 ? acting[0]! : null;
  const undone = acting.some(({ state }) => state !== "done");
  const waiting = points.filter(({ state }) => state === "waiting");
  const missed = new Map(
    waiting.flatMap((point) => {
      const over = shutBy(point.behind, steps);
      return over ? [[point.positionId, over] as const] : [];
    }),
  );
  // A place that the act would shut is oiled first, and by the same press, the oil in hand, whatever else can be reached now.
  const reached = waiting.filter(({ positionId }) => !missed.has(positionId));
  const oilBefore = (operationIds: readonly string[]) =>
    reached.some(({ behind }) => behind.length > 0 && shutsIn(behind, steps, operationIds)) ? reached : [];
  const without = acting.filter((one) => isOpenPlace(one) && cameWithout(one.well) && !at.foreseen.includes(one.position!.id));
  const unclean = asItIs || saidUncleaned(steps) ? [] : acting.filter((one) => isOpenPlace(one) && at.toClean.includes(one.position!.id));
  const toHere = upToCheck(steps);
  return {
    act,
    acting,
    alone,
    lead: acting.find(({ operation }) => operation.kind === "place") ?? acting[0] ?? null,
    undone,
    last,
    old: oldPieces(acting),
    buries: act && undone ? buriedByAct(steps, anatomy, types, act.operationIds) : null,
    cameWithout: without,
    unclean,
    missed,
    toCheck: act && toHere.length > act.operationIds.length && !oilBefore(toHere).length && !unclean.length ? toHere : [],
    key: keyOf(),
  };

  function keyOf(): BuildKey<S, P> {
    if (!act || !undone) {
      if (act && picked) return { what: "looking" };
      return reached.length ? { what: "oil-rest", positionIds: reached.map(({ positionId }) => positionId) } : { what: "to-prove" };
    }
    const first = standsOn(steps, acting);
    if (first) return { what: "first", step: first };
    // What the reel came without stays off by the same press, unless it carries load or a new one was asked for; a reel that goes back as it came lacks it too.
    const left = without.filter(({ position, well }) => well?.unrepaired || !carriesLoad(types.get(position!.partTypeId)?.role ?? ""));
    const notHere = acting.length > 1 ? acting.find((one) => one.state !== "done" && waitsForPiece(one) && !left.includes(one)) : null;
    if (notHere) return { what: "not-here", step: notHere };
    if (alone && waitsForPiece(alone) && !left.length) return { what: "fit-new" };
    if (oldPieces(acting).length) return { what: "renew", operationIds: act.operationIds };
    if (unclean.length) return { what: "clean-first" };
    const oil = oilBefore(act.operationIds);
    if (oil.length) return { what: "oil", points: oil };
    if (left.length) {
      const off = new Set(left.map(({ operation }) => operation.id));
      return { what: "as-it-came", left, rest: act.operationIds.filter((id) => !off.has(id)) };
    }
    return { what: alone?.operation.kind === "gate" ? "passes" : "done", operationIds: act.operationIds };
  }
}

function actOf<S extends Step>(
  { steps, batches, types }: Pick<AtBuild<S, PointAtBuild>, "steps" | "batches" | "types">,
  picked: PickedStep | null,
  last: S | null,
): BuildAct | null {
  if (!picked) return nextBuildAct(steps, batches, types, last?.position?.assemblyId ?? null);
  return picked.alone ? { operationIds: [picked.operationId], batch: null } : buildActFrom(steps, batches, types, picked.operationId);
}

/** A step that steps picked by hand stand on and that is still to be done; null where there is none. */
function standsOn<S extends Step>(steps: readonly S[], acting: readonly S[]): S | null {
  const settled = new Set([...steps.filter(isSettled), ...acting].map(({ operation }) => operation.id));
  const missing = acting.flatMap(({ needs }) => needs.filter((id) => !settled.has(id)))[0];
  return steps.find(({ operation }) => operation.id === missing) ?? null;
}
