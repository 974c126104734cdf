import type { Well } from "./well";

/** The reason of a part that was not there when the reel came and stays off. */
export const asItCame = "as it came";

/** Its place was empty when it was opened, and nothing was fitted since. */
export const cameWithout = (well: Pick<Well, "verdict" | "foundCount" | "renewed"> | null): boolean =>
  well !== null && well.verdict === "missing" && well.foundCount === 0 && !well.renewed;
