/** How often a fault was proved among the reels in which it was proved or ruled out. */
export interface Count {
  readonly proved: number;
  readonly settled: number;
}

/** What the knowledge of the trade weighs, in reels, against the shop's own family; and the family against one model. */
const [tradeWeight, familyWeight] = [20, 10];

/**
 * The shop's own prior of a fault: the trade's, pulled towards what this bench settled in the family, and that towards what it settled in the
 * model (two Beta steps). A fault nobody ever settled stays where the trade puts it.
 * @param trade the prior by use; @param family counts of all its models, this one included.
 */
export function shopPrior(trade: number, family: Count, model: Count): number {
  const inFamily = (tradeWeight * trade + family.proved) / (tradeWeight + family.settled);
  return (familyWeight * inFamily + model.proved) / (familyWeight + model.settled);
}

/** Several reels of one model from one sender counts as few: they shared a boat, a shed and a hand. Most reels of a lot that count. */
export const lotCounts = 3;
