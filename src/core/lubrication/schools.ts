import { z } from "zod";

/** Where practitioners differ about oil and grease (common practice). Each has its choices with the words of a bench; the first is the usual one. */
export const lubricationSchools = {
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
} as const;
export type SchoolId = keyof typeof lubricationSchools;
export const schoolIds = Object.keys(lubricationSchools) as [SchoolId, ...SchoolId[]];
export type Choice<S extends SchoolId> = keyof (typeof lubricationSchools)[S]["choices"];
/** A choice in every school. */
export type Schools = { readonly [S in SchoolId]: Choice<S> };

const choiceOf = <S extends SchoolId>(school: S) =>
  z.enum(Object.keys(lubricationSchools[school].choices) as [Choice<S> & string, ...(Choice<S> & string)[]]);
export const schoolsSchema = z.object({
  drag: choiceOf("drag"),
  leather: choiceOf("leather"),
  worm: choiceOf("worm"),
  spoolBearings: choiceOf("spoolBearings"),
  bearingSeats: choiceOf("bearingSeats"),
  click: choiceOf("click"),
  clutchOil: choiceOf("clutchOil"),
  brakeDrum: choiceOf("brakeDrum"),
  bridgeSleeve: choiceOf("bridgeSleeve"),
});

export const usualSchools: Schools = {
  drag: "greased",
  leather: "greased",
  worm: "oil",
  spoolBearings: "drop",
  bearingSeats: "oiled",
  click: "greased",
  clutchOil: "trace",
  brakeDrum: "dry",
  bridgeSleeve: "grease",
};

/** Whose word it is, nearest first: a note on this job, the customer's wish, the shop's way. */
export interface SchoolsInForce {
  readonly job?: Partial<Schools>;
  readonly customer?: Partial<Schools>;
  readonly shop: Schools;
}

export function schoolInForce<S extends SchoolId>(
  school: S,
  { job, customer, shop }: SchoolsInForce,
): { choice: Choice<S>; by: "job" | "customer" | "shop" } {
  const said = (from: Partial<Schools> | undefined) => from?.[school] as Choice<S> | undefined;
  const [own, wished] = [said(job), said(customer)];
  if (own !== undefined) return { choice: own, by: "job" };
  if (wished !== undefined) return { choice: wished, by: "customer" };
  return { choice: shop[school] as Choice<S>, by: "shop" };
}
