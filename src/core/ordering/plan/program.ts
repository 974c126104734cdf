import type { Allocation, OrderPlan, OrderProblem } from "./problem";
import { type Source, sourcesOf } from "./sources";

/** A mixed-integer program: minimize cost·x, rowLower ≤ A·x ≤ rowUpper, bounds, some columns whole. */
export interface Program {
  readonly cost: number[];
  readonly lower: number[];
  readonly upper: number[];
  readonly whole: boolean[];
  readonly rowLower: number[];
  readonly rowUpper: number[];
  /** Per row: columns and their factors. */
  readonly rows: { readonly columns: number[]; readonly factors: number[] }[];
}

export interface OrderProgram {
  readonly program: Program;
  /** The plan that a solution stands for. */
  readonly planOf: (x: ArrayLike<number>) => OrderPlan;
  /** Columns that a plan sets, for a start; what hangs on them the solver finds. */
  readonly startOf: (plan: OrderPlan) => { columns: number[]; values: number[] };
}

/**
 * Writes an order problem as a mixed-integer program. Pieces of a part that come on one day are one flow, whoever sends them; what flows to
 * whom is whole by itself once the packs and each job's latest day are (a transport problem), so only those are declared whole.
 */
export function programOf(problem: OrderProblem): OrderProgram {
  const { sources, parcels } = sourcesOf(problem);
  const program: Program = { cost: [], lower: [], upper: [], whole: [], rowLower: [], rowUpper: [], rows: [] };
  const infinity = Number.POSITIVE_INFINITY;
  const column = (cost: number, upper: number, whole = false, lower = 0): number => {
    program.cost.push(cost);
    program.lower.push(lower);
    program.upper.push(upper);
    program.whole.push(whole);
    return program.cost.length - 1;
  };
  const row = (terms: readonly (readonly [number, number])[], lower: number, upper: number): void => {
    program.rows.push({ columns: terms.map(([at]) => at), factors: terms.map(([, factor]) => factor) });
    program.rowLower.push(lower);
    program.rowUpper.push(upper);
  };

  // Packs of each source, by break where there are several: all packs cost the price of the break they reach.
  const packs: [number, number][][] = [];
  const values: [number, number][][] = [];
  for (const { offer, most, fixed } of sources) {
    const terms: [number, number][] = [];
    const value: [number, number][] = [];
    const reached = offer.breaks.filter(({ fromPacks }) => fromPacks <= most);
    if (reached.length <= 1) {
      const price = offer.breaks[0]!.priceMinor;
      const at = column(price, most, true);
      terms.push([at, 1]);
      value.push([at, price]);
    } else {
      const chosen: [number, number][] = [];
      for (const [b, { fromPacks, priceMinor }] of reached.entries()) {
        const to = b + 1 < reached.length ? reached[b + 1]!.fromPacks - 1 : most;
        const at = column(priceMinor, to, true);
        const is = column(0, 1, true);
        chosen.push([is, 1]);
        row(
          [
            [at, 1],
            [is, -to],
          ],
          -infinity,
          0,
        );
        if (fromPacks > 1)
          row(
            [
              [at, 1],
              [is, -fromPacks],
            ],
            0,
            infinity,
          );
        terms.push([at, 1]);
        value.push([at, priceMinor]);
      }
      row(chosen, 0, 1);
    }
    if (fixed !== null) row(terms, fixed, fixed);
    packs.push(terms);
    values.push(value);
  }

  // What a supplier has is one heap, whichever day it is ordered on.
  for (const offer of problem.offers) {
    const mine = sources.filter((source) => source.offer.id === offer.id);
    if (offer.available !== null && mine.length > 1)
      row(
        mine.flatMap(({ index }) => packs[index]!),
        0,
        offer.available,
      );
  }

  // Parcels: one postage tier, or none.
  const opened: [number, number][][] = [];
  for (const [p, { supplier, besideMinor }] of parcels.entries()) {
    const inIt = sources.filter(({ parcel }) => parcel === p);
    const tiers = tiersOf(supplier);
    const value = inIt.flatMap(({ index }) => values[index]!);
    const whole = inIt.reduce((sum, { offer, most }) => sum + most * Math.max(...offer.breaks.map(({ priceMinor }) => priceMinor)), 0);
    const terms: [number, number][] = [];
    if (tiers.length === 1 && tiers[0]!.from === 0) {
      const sent = tiers[0]!.postage + besideMinor;
      if (sent > 0) terms.push([column(sent, 1, true), 1]);
    } else {
      const sums: [number, number][] = [];
      for (const [k, { from, postage }] of tiers.entries()) {
        const to = Math.max(from, k + 1 < tiers.length ? tiers[k + 1]!.from - 1 : whole);
        const is = column(postage + besideMinor, 1, true);
        const sum = column(0, infinity);
        terms.push([is, 1]);
        sums.push([sum, 1]);
        row(
          [
            [sum, 1],
            [is, -to],
          ],
          -infinity,
          0,
        );
        if (from > 0)
          row(
            [
              [sum, 1],
              [is, -from],
            ],
            0,
            infinity,
          );
      }
      row([...sums, ...value.map(([at, price]): [number, number] => [at, -price])], 0, 0);
      row(terms, 0, 1);
    }
    opened.push(terms);
    if (terms.length)
      for (const { index, most } of inIt) row([...packs[index]!, ...terms.map(([at]): [number, number] => [at, -most])], -infinity, 0);
  }
  for (const [supplierId, must] of Object.entries(problem.suppliersMust))
    if (must === "order")
      row(
        sources.filter(({ offer }) => offer.supplierId === supplierId).flatMap(({ index }) => packs[index]!),
        1,
        infinity,
      );

  // Pieces of a part that come on one day, and who may have them.
  const groups = new Map<string, { partId: string; day: number; here: boolean; of: Source[] }>();
  for (const source of sources) {
    const here = source.parcel === null;
    const key = `${source.offer.partId} ${here ? "here" : source.day}`;
    const group = groups.get(key) ?? { partId: source.offer.partId, day: source.day, here, of: [] };
    group.of.push(source);
    groups.set(key, group);
  }
  const ofPart = new Map<string, string[]>();
  for (const [key, { partId }] of groups) ofPart.set(partId, [...(ofPart.get(partId) ?? []), key]);
  const jobs = new Map(problem.jobs.map((one) => [one.id, one]));
  const flows: { demand: number; key: string; at: number }[] = [];
  const ofDemand: { day: number; at: number }[][] = [];
  for (const [d, { accepts, quantity, leaveMinor }] of problem.demands.entries()) {
    const mine: { day: number; at: number }[] = [];
    for (const { partId, extraMinor } of accepts)
      for (const key of ofPart.get(partId) ?? []) {
        const group = groups.get(key)!;
        const at = column(extraMinor, quantity);
        flows.push({ demand: d, key, at });
        mine.push({ day: group.day, at });
        // No piece without a parcel: said for each flow, the bound is far tighter.
        const ways = group.of.map(({ parcel }) => (parcel === null ? [] : opened[parcel]!));
        if (ways.every((way) => way.length > 0))
          row([[at, 1], ...[...new Set(ways.flat().map(([is]) => is))].map((is): [number, number] => [is, -quantity])], -infinity, 0);
      }
    ofDemand.push(mine);
    const terms: [number, number][] = mine.map(({ at }) => [at, 1]);
    if (leaveMinor !== null) terms.push([column(leaveMinor, quantity), 1]);
    row(terms, quantity, quantity);
  }
  const over = new Map<string, [number, number][]>();
  for (const [key, { partId, here, of }] of groups) {
    const spare = column(0, infinity);
    if (!here) over.set(partId, [...(over.get(partId) ?? []), [spare, 1]]);
    row(
      [
        ...of.flatMap(({ index, offer }) => packs[index]!.map(([at]): [number, number] => [at, offer.pack])),
        ...flows.filter((flow) => flow.key === key).map(({ at }): [number, number] => [at, -1]),
        [spare, -1],
      ],
      0,
      0,
    );
  }
  for (const { partId, unitMinor, chances } of problem.leftOver) {
    const spare = over.get(partId);
    if (!spare || unitMinor === 0) continue;
    // Each further piece is worth no more than the one before, so the first are counted first by themselves.
    const worth = chances.filter((chance) => chance > 0).map((chance): [number, number] => [column(-chance * unitMinor, 1), -1]);
    row([...spare, ...worth, [column(0, infinity), -1]], 0, 0);
  }

  // A job is late up to the day its last piece comes.
  for (const [jobId, { neededInDays, dayLateMinor }] of jobs) {
    if (dayLateMinor === 0) continue;
    const mine = problem.demands.flatMap((demand, d) =>
      demand.jobId === jobId ? [{ flow: ofDemand[d]!, quantity: demand.quantity }] : [],
    );
    const due = Math.max(0, neededInDays);
    const lateOn = [...new Set(mine.flatMap(({ flow }) => flow.map(({ day }) => day)))].filter((day) => day > due).sort((a, b) => a - b);
    let before: number | null = null;
    let day = due;
    for (const on of lateOn) {
      const is: number = column((on - day) * dayLateMinor, 1, true);
      if (before !== null)
        row(
          [
            [is, 1],
            [before, -1],
          ],
          -infinity,
          0,
        );
      for (const { flow, quantity } of mine) {
        const later = flow.filter((one) => one.day >= on);
        if (later.length) row([...later.map(({ at }): [number, number] => [at, 1]), [is, -quantity]], -infinity, 0);
      }
      before = is;
      day = on;
    }
  }

  const planOf = (x: ArrayLike<number>): OrderPlan => {
    const lines = sources.flatMap(({ index, offer, slot }) => {
      const count = Math.round(packs[index]!.reduce((sum, [at]) => sum + x[at]!, 0));
      return count > 0 ? [{ offerId: offer.id, slot, packs: count }] : [];
    });
    const rest = new Map(
      sources.map(({ index, offer }) => [index, offer.pack * Math.round(packs[index]!.reduce((sum, [at]) => sum + x[at]!, 0))]),
    );
    const allocations: Allocation[] = [];
    for (const { demand, key, at } of flows) {
      let pieces = Math.round(x[at]!);
      for (const { index, offer, slot } of groups.get(key)!.of) {
        const taken = Math.min(pieces, rest.get(index)!);
        if (taken === 0) continue;
        allocations.push({ demandId: problem.demands[demand]!.id, offerId: offer.id, slot, pieces: taken });
        rest.set(index, rest.get(index)! - taken);
        pieces -= taken;
      }
    }
    return { lines, allocations };
  };
  const startOf = (plan: OrderPlan) => {
    const bought = new Map(plan.lines.map((line) => [`${line.slot} ${line.offerId}`, line.packs]));
    const columns: number[] = [];
    const values: number[] = [];
    const set = (at: number, value: number) => {
      columns.push(at);
      values.push(value);
    };
    for (const { index, offer, slot, most } of sources) {
      const count = bought.get(`${slot} ${offer.id}`) ?? 0;
      const reached = offer.breaks.filter(({ fromPacks }) => fromPacks <= most);
      const at = Math.max(
        0,
        reached.findLastIndex(({ fromPacks }) => count >= fromPacks),
      );
      for (const [b, [col]] of packs[index]!.entries()) set(col, b === at ? count : 0);
    }
    return { columns, values };
  };
  return { program, planOf, startOf };
}

/** A supplier's postage by value of goods: from the smallest order up, none after the parcel is free. */
function tiersOf({ postage, freeFromMinor, smallestOrderMinor }: OrderProblem["suppliers"][number]): { from: number; postage: number }[] {
  const tiers = postage
    .filter(({ fromMinor }) => freeFromMinor === null || fromMinor < freeFromMinor)
    .map(({ fromMinor, postageMinor }) => ({ from: fromMinor, postage: postageMinor }));
  if (freeFromMinor !== null) tiers.push({ from: freeFromMinor, postage: 0 });
  const below = tiers.filter(({ from }) => from <= smallestOrderMinor).at(-1)!;
  return [{ from: smallestOrderMinor, postage: below.postage }, ...tiers.filter(({ from }) => from > smallestOrderMinor)];
}
