import type { PartType } from "@/core/anatomy/types";

/** A bush's role and that of the ball bearing that goes in its place. */
const pairs = [
  ["spool-bush", "spool-bearing"],
  ["gear-bush", "gear-bearing"],
  ["knob-bush", "knob-bearing"],
  ["roller-bush", "roller-bearing"],
  ["worm-bush", "worm-bearing"],
] as const;

export type SeatKind = "bearing" | "bush";

/** What stands in a seat as a bearing or a bush can: its kind; null for any other part. */
export function seatKind({ shape, role }: Pick<PartType, "shape" | "role">): SeatKind | null {
  if (shape.kind === "bearing") return "bearing";
  return shape.kind === "sleeve" && pairs.some(([bush]) => bush === role) ? "bush" : null;
}

/**
 * A part of the other kind in its seat, of the same bore, outside and length: a ball bearing for a bush, a bush for a ball bearing. It is called what it
 * is and goes by its own rules from then on. Null where the seat takes no such change. Source: common practice.
 */
export function asKind(type: PartType, kind: SeatKind): PartType | null {
  const { shape } = type;
  const was = seatKind(type);
  if (was === null) return null;
  if (was === kind) return type;
  const pair = pairs.find((roles) => (roles as readonly string[]).includes(type.role));
  if (shape.kind === "sleeve" && kind === "bearing")
    return {
      ...type,
      name: "Ball bearing in place of a bush",
      role: pair?.[1] ?? type.role,
      material: "steel",
      shape: { kind: "bearing", boreMm: shape.boreMm, outsideMm: shape.outsideMm, widthMm: shape.lengthMm, closure: "shielded" },
    };
  if (shape.kind === "bearing" && kind === "bush")
    return {
      ...type,
      name: "Bush in place of a ball bearing",
      role: pair?.[0] ?? type.role,
      material: "bronze",
      shape: { kind: "sleeve", boreMm: shape.boreMm, outsideMm: shape.outsideMm, lengthMm: shape.widthMm },
    };
  return null;
}
