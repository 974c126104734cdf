import type { PartType } from "@/core/anatomy/types";
import { type LiningMaterial, liningMaterialIds, liningMaterials } from "@/core/vocabulary/lining-materials";

/**
 * Until when a friction lining may hold asbestos if nobody knows what it is. Common practice, on the safe side: bans came country by country into
 * the nineties, and reels were made from old stock after them.
 */
export const liningsUntilYear = 1995;

/** What nobody knows the material of is treated as the worst it may be. */
const unknownMaterials: ReadonlySet<string> = new Set(["", "not known yet"]);

/** Whether nobody has written down what a part is made of. */
export const isUnknownMaterial = (material: string): boolean => unknownMaterials.has(material.trim().toLowerCase());

/** Words that leave a material in doubt, whatever stands beside them. */
const doubt = /asbest|unknown|not known|\?|\bmaybe\b|\bor\b|\bold\b/i;
const namesAsbestos = /asbest/i;
/** How people write the materials of the list, beside the list's own words. */
const spellings: readonly (readonly [RegExp, LiningMaterial])[] = [
  [/\bproven\b/i, "new lining, proven"],
  [/\b(carbon|graphite)\b/i, "carbon"],
  [/\b(leather|hide)\b/i, "leather"],
  [/\bfelt\b/i, "felt"],
  [/\bcork\b/i, "cork"],
  [/\bfib(re|er)\b/i, "fibre"],
  [/\bptfe\b/i, "PTFE"],
  [/\brubber\b/i, "rubber"],
];

/** The lining material that typed words name: one of the list, or "asbestos or not known" for what cannot be told. */
export function readLiningMaterial(words: string): LiningMaterial {
  const own = liningMaterialIds.find((id) => id.toLowerCase() === words.trim().toLowerCase());
  if (own) return own;
  if (doubt.test(words)) return "asbestos or not known";
  return spellings.find(([spelt]) => spelt.test(words))?.[1] ?? "asbestos or not known";
}

type Lining = Pick<PartType, "material" | "shape" | "liningUnproven">;

/**
 * The one judgement of a material: whether a part may be a lining with asbestos. Caution, cleaning, lubricant, remedy and report all ask here.
 * True for a friction washer whose material is not proven, or which sits in an old reel with nothing that proves it; and for any part said to be
 * of it.
 */
export function mayBeAsbestos({ material, shape, liningUnproven }: Lining): boolean {
  if (shape.kind !== "friction-washer") return namesAsbestos.test(material) || material === "old dry lining";
  return liningUnproven === true || !liningMaterials[readLiningMaterial(material)].proven;
}

/** Years in what somebody wrote of a reel: "about 1955?", "1950s", "late 1940s". */
const yearsIn = (words: string): number[] => [...words.matchAll(/\b(1[89]\d\d|20\d\d)/g)].map(([year]) => Number(year));

/** Whether a reel is of an age at which its linings have to be proved. @param years it was made in, as far as anybody knows. */
export const isOfLiningAge = (told: {
  readonly decadesOld: boolean;
  readonly madeWhen: string;
  readonly years: readonly number[];
}): boolean => told.decadesOld || [...yearsIn(told.madeWhen), ...told.years].some((year) => year <= liningsUntilYear);
