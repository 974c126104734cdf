import type { Operation, PartType } from "@/core/anatomy/types";
import { type ConditionId, type DragWish, dragWishes, type HandleHole, handleHoles } from "@/core/vocabulary/counter-lists";

/** What was said at the counter that a step of the bench answers. */
export interface ToldAtCounter {
  readonly conditions: readonly ConditionId[];
  readonly dragWish: DragWish;
  readonly handleHole: HandleHole;
  /** Brakes as they were set, in the counter's words. */
  readonly brakes?: string;
}

const brakeRoles: ReadonlySet<string> = new Set(["brake-block", "brake-hub", "brake-drum", "magnet-dial", "magnet", "brake-cam"]);

/**
 * What was told at the counter and is answered where this part goes in, or where this check is made; empty where nothing was.
 * @param step the part of a fitting step, or what a check proves.
 */
export function toldAt(
  step: { readonly type: Pick<PartType, "role" | "shape"> | null; readonly proves?: Operation["proves"] },
  told: ToldAtCounter,
): string[] {
  const { type, proves } = step;
  const said: string[] = [];
  if (type?.role === "handle" && told.handleHole !== "as-found") said.push(`Customer's handle hole: ${handleHoles[told.handleHole]}.`);
  if (type && brakeRoles.has(type.role) && told.brakes) said.push(`Brakes as they came: ${told.brakes}.`);
  if ((type?.shape.kind === "friction-washer" || proves === "drag") && told.dragWish !== "shop")
    said.push(`The customer wants the drag ${dragWishes[told.dragWish]}.`);
  return said;
}

/** At Strip, while screws come off and none was found missing: which one it is, is said there. */
export const missingScrewTold = ({ conditions }: Pick<ToldAtCounter, "conditions">): string | null =>
  conditions.includes("missing-screw") ? "Said at the counter: a screw is missing. Say which one is not there." : null;

/** Everything of it in one list, for the sheet on which the reel goes home. */
export function toldInAll(told: ToldAtCounter): string[] {
  return [
    ...(told.handleHole === "as-found" ? [] : [`Handle hole: ${handleHoles[told.handleHole]}.`]),
    ...(told.brakes ? [`Brakes as they came: ${told.brakes}.`] : []),
    ...(told.conditions.includes("missing-screw") ? ["A screw was missing: it is in now, or said why not."] : []),
    ...(told.dragWish === "shop" ? [] : [`Drag: ${dragWishes[told.dragWish]}.`]),
  ];
}
