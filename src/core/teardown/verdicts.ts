/** What a part is, looked at: coming off, or clean. */
export const wellVerdicts = ["ok", "dressed", "worn", "replace", "missing", "wrong", "watch"] as const;
export type WellVerdict = (typeof wellVerdicts)[number];

export const wellVerdictWords: Readonly<Record<WellVerdict, string>> = {
  ok: "sound",
  dressed: "dressed by hand",
  worn: "worn, reuse",
  replace: "replace",
  missing: "missing",
  wrong: "wrong part fitted",
  watch: "watch next time",
};

/** Ways of dressing a part by hand that goes back after it (common practice). */
export const dressings = ["filed", "polished", "reformed", "deburred", "straightened"] as const;

/** Verdicts after which another piece goes back than the one that came off. */
export const wantsNew = (verdict: WellVerdict): boolean => verdict === "replace" || verdict === "missing" || verdict === "wrong";

/** A place that waits for its new piece: the customer's no lets the old one go back, where there is one; a reel that goes back as it came waits for none. */
export const waitsForNew = (well: {
  readonly verdict: WellVerdict;
  readonly renewed: boolean;
  readonly declined: boolean;
  readonly unrepaired: boolean;
}): boolean => wantsNew(well.verdict) && !well.renewed && !well.unrepaired && !(well.declined && well.verdict !== "missing");
