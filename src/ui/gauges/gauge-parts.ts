import type { PartType } from "@/core/anatomy/types";
import type { GaugeJob } from "./gauge-frame";

/** A part of the catalogue as a finder lists it. */
export interface CataloguePart {
  readonly type: Pick<PartType, "number" | "name" | "shape" | "thread">;
  readonly stock: number;
  readonly bin: string;
  readonly models: readonly string[];
}

export interface Opened {
  readonly job: GaugeJob | null;
}
export interface Own {
  readonly name: string;
  readonly values: Readonly<Record<string, string>>;
}

export const shelf = ({ type, stock, bin, models }: CataloguePart): readonly [string, string] => [
  `${type.number} ${type.name}`,
  `${stock ? `${stock} in ${bin}` : "none in a bin"}${models.length ? `; in ${models.slice(0, 3).join(", ")}${models.length > 3 ? ` and ${models.length - 3} more` : ""}` : ""}`,
];

/** Size of a gauge's drawing beside its numbers. */
export const drawnPx = { widthPx: 560, heightPx: 210 };
export const above = (...values: readonly number[]) => values.every((value) => Number.isFinite(value) && value > 0);
/** Numbers of a drawing as they are typed. */
export const texts = (change: Readonly<Record<string, number | undefined>>) =>
  Object.fromEntries(Object.entries(change).map(([key, value]) => [key, String(value)]));
