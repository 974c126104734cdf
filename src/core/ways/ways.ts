import { z } from "zod";
import { depths } from "@/core/vocabulary/job-kinds";

/** Where practitioners differ (common practice). Each has its choices with the words of a bench; the first is the usual one. */
export const benchWays = {
  drag: { name: "Drag", choices: { greased: "greased: smooth start, salt proof", dry: "dry: most pull" } },
  leather: { name: "Leather and felt washers", choices: { greased: "kept supple with grease", bare: "kept free of grease" } },
  worm: { name: "Worm of a level wind", choices: { oil: "oil: grease holds grit", grease: "grease, a drop each side" } },
  spoolBearings: {
    name: "Spool bearings",
    choices: { drop: "a drop of light oil", dry: "dry after cleaning, for speed", warm: "oil warmed in" },
  },
  bearingSeats: { name: "Seats of the other bearings", choices: { oiled: "clean and oiled", packed: "packed in grease against salt" } },
  click: { name: "Click", choices: { greased: "a dab of grease", dry: "dry: louder" } },
  clutchOil: { name: "One-way clutch", choices: { trace: "a trace of light oil", generous: "oiled generously" } },
  brakeDrum: { name: "Brake track", choices: { dry: "bone dry", wiped: "wiped with a drop" } },
  bridgeSleeve: { name: "Gear sleeve on its post", choices: { grease: "a film of grease", oil: "light oil" } },
  sealedBearings: {
    name: "Sealed bearings",
    choices: { leave: "left as they are", oil: "seals picked out and oiled (not advised)" },
  },
  depth: {
    name: "Level of service",
    choices: depths,
  },
  fluidSeal: {
    name: "Fluid-sealed clutch",
    choices: { lifted: "lifted as one, the seal unbroken", here: "taken apart and refilled here", sent: "sent to its maker" },
  },
  bearings: {
    name: "When to replace bearings",
    choices: {
      feel: "when rough by feel",
      talk: "only when they are noisy",
      upgrade: "with upgrades: stainless or ceramic, bearing for bush",
    },
  },
  softDrag: { name: "Old leather or felt drag", choices: { keep: "kept while supple", carbon: "changed to carbon" } },
  layingOut: {
    name: "Laying out parts",
    choices: { left: "left to right", right: "right to left", assembly: "a tray to each assembly" },
  },
  cleaning: {
    name: "Cleaning",
    choices: {
      brush: "by hand: swabs, a brush, a few drops",
      bath: "in baths, by kind of part: heavy dirt, old grease",
      wipe: "wiped: hardly dirty",
    },
  },
  frictionWashing: { name: "Friction washers", choices: { wiped: "only wiped", washed: "washed in degreaser, greased again" } },
  seals: { name: "Seals of a sealed reel", choices: { evidence: "replaced when worn", yearly: "all replaced every year" } },
  benchOrder: { name: "Bench order", choices: { whole: "strip all, then clean all", halves: "side by side" } },
} as const;
export type WayId = keyof typeof benchWays;
export const wayIds = Object.keys(benchWays) as [WayId, ...WayId[]];
export type Choice<S extends WayId> = keyof (typeof benchWays)[S]["choices"];
/** A choice in every way. */
export type Ways = { readonly [S in WayId]: Choice<S> };

/** What a way's choices are called; for showing any of them. */
export const choicesOf = (way: WayId): Readonly<Record<string, string>> => benchWays[way].choices;

// A shop that never said anything about a way works the usual way.
const choiceOf = <S extends WayId>(way: S) => {
  const ids = Object.keys(benchWays[way].choices) as [Choice<S> & string, ...(Choice<S> & string)[]];
  return z.enum(ids).default(ids[0] as never);
};
export const waysSchema = z.object({
  drag: choiceOf("drag"),
  leather: choiceOf("leather"),
  worm: choiceOf("worm"),
  spoolBearings: choiceOf("spoolBearings"),
  bearingSeats: choiceOf("bearingSeats"),
  click: choiceOf("click"),
  clutchOil: choiceOf("clutchOil"),
  brakeDrum: choiceOf("brakeDrum"),
  bridgeSleeve: choiceOf("bridgeSleeve"),
  sealedBearings: choiceOf("sealedBearings"),
  depth: choiceOf("depth"),
  fluidSeal: choiceOf("fluidSeal"),
  bearings: choiceOf("bearings"),
  softDrag: choiceOf("softDrag"),
  layingOut: choiceOf("layingOut"),
  cleaning: choiceOf("cleaning"),
  frictionWashing: choiceOf("frictionWashing"),
  seals: choiceOf("seals"),
  benchOrder: choiceOf("benchOrder"),
});

export const usualWays: Ways = waysSchema.parse({});

/** Whether a way has a choice of this name. */
export const isChoice = (way: WayId, choice: string): boolean => choice in benchWays[way].choices;

/** Whose word it is, nearest first: a note on this job, the customer's wish, the shop's way. */
export interface WaysInForce {
  readonly job?: Partial<Ways>;
  readonly customer?: Partial<Ways>;
  readonly shop: Ways;
}

export function wayInForce<S extends WayId>(
  way: S,
  { job, customer, shop }: WaysInForce,
): { choice: Choice<S>; by: "job" | "customer" | "shop" } {
  const choiceOf = (from: Partial<Ways> | undefined) => from?.[way] as Choice<S> | undefined;
  const [own, wished] = [choiceOf(job), choiceOf(customer)];
  if (own !== undefined) return { choice: own, by: "job" };
  if (wished !== undefined) return { choice: wished, by: "customer" };
  return { choice: shop[way] as Choice<S>, by: "shop" };
}

/** A way of working as a job shows it: what is done, whose word it is, and what job and customer said. */
export interface WayLine {
  readonly way: WayId;
  readonly choice: string;
  readonly by: "job" | "customer" | "shop";
  readonly job: string | null;
  readonly customer: string | null;
}

/** Every way of working of a job. */
export const wayLines = (ways: WaysInForce): WayLine[] =>
  wayIds.map((way) => ({
    way,
    ...wayInForce(way, ways),
    job: ways.job?.[way] ?? null,
    customer: ways.customer?.[way] ?? null,
  }));
