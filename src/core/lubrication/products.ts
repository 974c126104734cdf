/** What kind of thing a product is, as far as rules go by it. */
export type ProductClass = "nothing" | "oil" | "grease" | "fluid" | "lock";

/** Products made for reels; nothing else goes in (common practice: no car grease, no petroleum jelly). */
const classes = {
  nothing: "nothing",
  "light oil": "oil",
  "medium oil": "oil",
  "viscous reel oil": "oil",
  "reel grease": "grease",
  "drag grease": "grease",
  "seal-safe grease": "grease",
  "its own magnetic fluid": "fluid",
  "thread-lock": "lock",
} as const satisfies Readonly<Record<string, ProductClass>>;
export type ReelProduct = keyof typeof classes;
export const reelProducts = Object.keys(classes) as readonly ReelProduct[];

export const isReelProduct = (product: string): product is ReelProduct => Object.hasOwn(classes, product);
export const classOfProduct = (product: ReelProduct): ProductClass => classes[product];

/** What kind of thing somebody wrote down for a reel, in any words: "car grease" is a grease, "sewing oil" an oil, "nothing inside" nothing. */
export function readProductClass(words: string): ProductClass {
  if (isReelProduct(words)) return classes[words];
  if (/^nothing/i.test(words)) return "nothing";
  if (/grease|jelly|fat/i.test(words)) return "grease";
  return /oil/i.test(words) ? "oil" : "fluid";
}
