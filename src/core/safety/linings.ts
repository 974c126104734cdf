import type { PartType } from "@/core/anatomy/types";

/**
 * Until when a friction lining may hold asbestos if nobody knows what it is. Common practice, on the safe side: bans came country by country into
 * the nineties, and reels were made from old stock after them.
 */
export const liningsUntilYear = 1995;

/** What nobody knows the material of is treated as the worst it may be. */
const unknownMaterials: ReadonlySet<string> = new Set(["", "not known yet"]);

/** Whether nobody has written down what a part is made of. */
export const isUnknownMaterial = (material: string): boolean => unknownMaterials.has(material);

type Lining = Pick<PartType, "material" | "shape" | "liningUnproven">;

/** Whether a part may be a lining with asbestos: said to be one, of unknown material, or in an old reel with nothing that proves its material. */
export const mayBeAsbestos = ({ material, shape, liningUnproven }: Lining): boolean =>
  material === "old dry lining" || (shape.kind === "friction-washer" && (liningUnproven === true || isUnknownMaterial(material)));

/** Years in what somebody wrote of a reel: "about 1955?", "1950s", "late 1940s". */
const yearsIn = (words: string): number[] => [...words.matchAll(/\b(1[89]\d\d|20\d\d)/g)].map(([year]) => Number(year));

/** Whether a reel is of an age at which its linings have to be proved. @param years it was made in, as far as anybody knows. */
export const isOfLiningAge = (told: {
  readonly decadesOld: boolean;
  readonly madeWhen: string;
  readonly years: readonly number[];
}): boolean => told.decadesOld || [...yearsIn(told.madeWhen), ...told.years].some((year) => year <= liningsUntilYear);
