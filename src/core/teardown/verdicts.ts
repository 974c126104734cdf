/** What a part is, looked at: coming off, or clean. */
export const wellVerdicts = ["ok", "worn", "replace", "missing", "wrong", "watch"] as const;
export type WellVerdict = (typeof wellVerdicts)[number];

export const wellVerdictWords: Readonly<Record<WellVerdict, string>> = {
  ok: "sound",
  worn: "worn, goes back",
  replace: "replace",
  missing: "missing",
  wrong: "wrong part found",
  watch: "watch next time",
};

/** Verdicts after which another piece goes back than the one that came off. */
export const wantsNew = (verdict: WellVerdict): boolean => verdict === "replace" || verdict === "missing" || verdict === "wrong";
