import { isMadeOf } from "@/core/anatomy/material";
import { isSealed } from "@/core/anatomy/shapes";
import type { PartType } from "@/core/anatomy/types";
import { opensReel } from "@/core/intake/job-kinds";
import { mayBeAsbestos } from "@/core/safety/linings";
import type { JobPath } from "@/core/vocabulary/job-kinds";
import type { WayId } from "./ways";

type Test = (type: PartType) => boolean;
const role =
  (...roles: string[]): Test =>
  (type) =>
    roles.includes(type.role);
const kind =
  (...kinds: string[]): Test =>
  ({ shape }) =>
    kinds.includes(shape.kind);
/** Friction washers that somebody may choose for: what may hold asbestos stays dry and unwashed whatever is wished. */
const lining: Test = (type) => type.shape.kind === "friction-washer" && !mayBeAsbestos(type);
const soft: Test = (type) => type.shape.kind === "friction-washer" && isMadeOf(type, "supple");

/** What a reel must have for a way to change anything on it; ways without a line are about the work itself. */
const about: Readonly<Partial<Record<WayId, Test>>> = {
  drag: lining,
  leather: soft,
  softDrag: soft,
  frictionWashing: lining,
  worm: role("worm"),
  spoolBearings: role("spool-bearing"),
  bearingSeats: role("gear-bearing", "pinion-bearing", "pressure-plate-bearing"),
  click: role("click-tongue"),
  clutchOil: role("roller-clutch"),
  brakeDrum: role("brake-drum"),
  bridgeSleeve: role("bridge"),
  sealedBearings: ({ shape }) => isSealed(shape),
  fluidSeal: role("seal-magnet"),
  bearings: kind("bearing"),
  seals: kind("o-ring", "lip-seal"),
};
/** Ways that only an opened reel has a use for. */
const opened: ReadonlySet<WayId> = new Set([
  "cleaning",
  "layingOut",
  "benchOrder",
  "frictionWashing",
  "fluidSeal",
  "bearings",
  "softDrag",
  "seals",
]);

/** Whether a way of working can change anything on this reel and at this depth; one that cannot is not offered. */
export function wayApplies(way: WayId, types: Iterable<PartType>, path: JobPath): boolean {
  if (opened.has(way) && !opensReel(path)) return false;
  const test = about[way];
  return !test || [...types].some(test);
}
