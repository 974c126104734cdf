import type { Operation, PartType, Position } from "@/core/anatomy/types";
import { type ConditionId, conditionMarks, type DragWish, dragWishes, type HandleHole, handleHoles } from "@/core/vocabulary/counter-lists";

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
  if (type && brakeRoles.has(type.role) && told.brakes) said.push(`Brakes as received: ${told.brakes}.`);
  if ((type?.shape.kind === "friction-washer" || proves === "drag") && told.dragWish !== "shop")
    said.push(`The customer wants the drag ${dragWishes[told.dragWish]}.`);
  return said;
}

/** What the counter saw was not there, by the roles of the parts it may be. */
const missingRoles = {
  "missing-screw": [],
  "missing-nut": ["handle-nut"],
  "missing-knob": ["handle-knob"],
  "missing-cap": ["handle-cap", "knob-cap", "bearing-cap", "keeper"],
} as const satisfies Partial<Record<ConditionId, readonly string[]>>;
type Missing = keyof typeof missingRoles;
const isMissing = (id: ConditionId): id is Missing => id in missingRoles;

/**
 * Seats that are empty by what the counter saw: surely where a reel has one such part, perhaps where it has several: which one it is the hands say.
 */
export function seatsMissing(
  positions: readonly Pick<Position, "id" | "partTypeId">[],
  typeOf: (partTypeId: string) => Pick<PartType, "role" | "shape"> | undefined,
  { conditions }: Pick<ToldAtCounter, "conditions">,
): { readonly sure: readonly string[]; readonly perhaps: readonly string[] } {
  const each = conditions.filter(isMissing).map((id) => {
    const roles: readonly string[] = missingRoles[id];
    return positions.flatMap((seat) => {
      const type = typeOf(seat.partTypeId);
      return type && (id === "missing-screw" ? type.shape.kind === "screw" : roles.includes(type.role)) ? [seat.id] : [];
    });
  });
  return {
    sure: each.flatMap((seats) => (seats.length === 1 ? seats : [])),
    perhaps: each.flatMap((seats) => (seats.length > 1 ? seats : [])),
  };
}

/** What the counter saw was missing and which no one seat goes by: said at Strip while nobody has said which it is. */
export const missingTold = ({ conditions }: Pick<ToldAtCounter, "conditions">): string | null => {
  const names = conditions.filter(isMissing).map((id) => conditionMarks[id]);
  return names.length ? `Said at the counter: ${names.join(", ")}. Mark which one is missing.` : null;
};

/** Everything of it in one list, for the sheet on which the reel goes home. */
export function toldInAll(told: ToldAtCounter): string[] {
  return [
    ...(told.handleHole === "as-found" ? [] : [`Handle hole: ${handleHoles[told.handleHole]}.`]),
    ...(told.brakes ? [`Brakes as received: ${told.brakes}.`] : []),
    ...told.conditions
      .filter(isMissing)
      .map(
        (id) => `${conditionMarks[id].charAt(0).toUpperCase()}${conditionMarks[id].slice(1)} when it came: fitted now, or a reason given.`,
      ),
    ...(told.dragWish === "shop" ? [] : [`Drag: ${dragWishes[told.dragWish]}.`]),
  ];
}
