import { costOfPlan } from "./cost";
import type { OrderPlan, OrderProblem } from "./problem";
import { postageAt, priceOfPacks, type Source, sourcesOf } from "./sources";

/** Steps of reckoning after which the first answer is there, however large the shop: what saves more is looked for afterwards. */
export const firstSteps = 1e6;

/**
 * A good plan at once: each demand to the source that costs least by itself, then single demands, those that share a part, and whole parcels moved as long
 * as it saves. It proves nothing; the solver begins with it. A demand is served from one source, never split.
 * @param mostSteps of reckoning after which it rests with what it has. @returns null where some demand that has to be had finds no source (or only with
 * lines split otherwise).
 */
export function quickPlan(problem: OrderProblem, mostSteps: number = most): OrderPlan | null {
  const search = new Search(problem, mostSteps);
  return search.run() ? search.plan() : null;
}

const left = -1;
/** Sources tried for a demand, and how often all moves are tried: enough to be at once with hundreds of demands. */
const near = 8;
const rounds = 6;
/** Steps of reckoning after which it rests, so that a shop of any size has its answer at once. */
const most = 1.5e7;

class Search {
  private readonly sources: readonly Source[];
  private readonly parcels: ReturnType<typeof sourcesOf>["parcels"];
  private readonly optionsOf: number[][];
  /** The few of them that cost least by themselves, tried again and again. */
  private readonly nearOf: number[][];
  private readonly extraOf: Map<number, number>[];
  private readonly neededOn: number[];
  private readonly lateOf: number[];
  private readonly jobOf: number[];
  private readonly credit: Map<string, number[]>;
  private assigned: number[] = [];
  private steps = 0;
  /** Demands that want the same part, where several do. */
  private readonly sharing: number[][];

  constructor(
    private readonly problem: OrderProblem,
    private readonly mostSteps: number,
  ) {
    const { sources, parcels } = sourcesOf(problem);
    this.sources = sources;
    this.parcels = parcels;
    const jobAt = new Map(problem.jobs.map(({ id }, i) => [id, i]));
    this.jobOf = problem.demands.map(({ jobId }) => (jobId === null ? left : jobAt.get(jobId)!));
    this.neededOn = problem.jobs.map(({ neededInDays }) => Math.max(0, neededInDays));
    this.lateOf = problem.jobs.map(({ dayLateMinor }) => dayLateMinor);
    this.extraOf = [];
    const byPart = new Map<string, number[]>();
    for (const { index, offer, fixed } of sources) if (fixed !== 0) byPart.set(offer.partId, [...(byPart.get(offer.partId) ?? []), index]);
    this.optionsOf = problem.demands.map(({ accepts }) => {
      const extra = new Map<number, number>();
      for (const { partId, extraMinor } of accepts) for (const index of byPart.get(partId) ?? []) extra.set(index, extraMinor);
      this.extraOf.push(extra);
      return [...extra.keys()];
    });
    this.nearOf = problem.demands.map(() => []);
    const wanting = new Map<string, number[]>();
    for (const [d, { accepts }] of problem.demands.entries())
      for (const { partId } of accepts) wanting.set(partId, [...(wanting.get(partId) ?? []), d]);
    this.sharing = [...wanting.values()].filter((mine) => mine.length > 1);
    this.credit = new Map(problem.leftOver.map(({ partId, unitMinor, chances }) => [partId, chances.map((chance) => chance * unitMinor)]));
  }

  /** What a demand costs from a source by itself: its share of packs, the parcel's whole postage where none is open, the days. */
  private alone(d: number, s: number, open: ReadonlySet<number>): number {
    const { offer, day, parcel } = this.sources[s]!;
    const { quantity } = this.problem.demands[d]!;
    const job = this.jobOf[d]!;
    const late = job === left ? 0 : Math.max(0, day - this.neededOn[job]!) * this.lateOf[job]!;
    const post = parcel === null || open.has(parcel) ? 0 : (postageAt(this.parcels[parcel]!.supplier, Number.POSITIVE_INFINITY) ?? 0);
    return priceOfPacks(offer, Math.ceil(quantity / offer.pack)) + (this.extraOf[d]!.get(s) ?? 0) * quantity + late + post;
  }

  run(): boolean {
    const { demands } = this.problem;
    this.assigned = demands.map(() => left);
    const every = new Set(this.parcels.keys());
    for (const [d, options] of this.optionsOf.entries())
      this.nearOf[d] = options
        .map((s) => [s, this.alone(d, s, every)] as const)
        .sort(([, a], [, b]) => a - b)
        .slice(0, near)
        .map(([s]) => s);
    const open = new Set<number>();
    const taken = new Map<number, number>();
    // Those with least choice first: they open parcels that others then share.
    const order = [...demands.keys()].sort((a, b) => this.optionsOf[a]!.length - this.optionsOf[b]!.length);
    for (const d of order) {
      let best = left;
      let least = demands[d]!.leaveMinor === null ? Number.POSITIVE_INFINITY : demands[d]!.leaveMinor! * demands[d]!.quantity;
      for (const s of this.optionsOf[d]!) {
        if ((taken.get(s) ?? 0) + demands[d]!.quantity > this.roomOf(s)) continue;
        const cost = this.alone(d, s, open);
        if (cost < least) [best, least] = [s, cost];
      }
      this.assigned[d] = best;
      if (best === left) continue;
      taken.set(best, (taken.get(best) ?? 0) + demands[d]!.quantity);
      const { parcel } = this.sources[best]!;
      if (parcel !== null) open.add(parcel);
    }
    let cost = this.reckon(this.assigned)?.total ?? Number.POSITIVE_INFINITY;
    for (let round = 0; round < rounds; round++) {
      const before = cost;
      for (const move of this.moves()) {
        this.steps += move.length + this.sources.length / 8;
        if (this.steps > this.mostSteps) return Number.isFinite(cost);
        const tried = this.reckon(move)?.total ?? Number.POSITIVE_INFINITY;
        if (tried < cost - 1e-6) {
          cost = tried;
          this.assigned = move;
        }
      }
      if (cost >= before) break;
    }
    return Number.isFinite(cost);
  }

  /** What the pieces left over from one count to another will bring. */
  private worth(partId: string, from: number, to: number): number {
    const each = this.credit.get(partId);
    let sum = 0;
    for (let i = from; each && i < to && i < each.length; i++) sum += each[i]!;
    return sum;
  }

  private roomOf(s: number): number {
    const { offer, most, fixed } = this.sources[s]!;
    return (fixed ?? (offer.available === null ? Number.POSITIVE_INFINITY : most)) * offer.pack;
  }

  /** Neighbours of what stands: a demand elsewhere, all who want one part together, a parcel given up, a parcel opened for whoever gains. */
  private *moves(): Generator<number[]> {
    const { demands } = this.problem;
    for (const d of demands.keys())
      for (const s of [...this.nearOf[d]!, ...(demands[d]!.leaveMinor === null ? [] : [left])])
        if (s !== this.assigned[d]) yield this.assigned.with(d, s);
    for (const mine of this.sharing)
      for (const s of new Set(mine.flatMap((d) => this.nearOf[d]!)))
        yield this.assigned.map((was, d) => (mine.includes(d) && this.extraOf[d]!.has(s) ? s : was));
    for (const p of this.parcels.keys()) {
      const others = new Set(this.parcels.keys());
      others.delete(p);
      yield this.assigned.map((s, d) =>
        s !== left && this.sources[s]!.parcel === p ? this.best(d, (other) => other.parcel !== p, others) : s,
      );
      const all = new Set([p]);
      yield this.assigned.map((s, d) => {
        const there = this.best(d, ({ parcel }) => parcel === p, all);
        return there !== left && (s === left || this.alone(d, there, all) < this.alone(d, s, new Set(this.parcels.keys()))) ? there : s;
      });
      yield this.assigned.map((s, d) => {
        const there = this.best(d, ({ parcel }) => parcel === p, all);
        return there === left ? s : there;
      });
    }
  }

  private best(d: number, which: (source: Source) => boolean, open: ReadonlySet<number>): number {
    let best = left;
    let least = Number.POSITIVE_INFINITY;
    for (const s of this.optionsOf[d]!) {
      if (!which(this.sources[s]!)) continue;
      const cost = this.alone(d, s, open);
      if (cost < least) [best, least] = [s, cost];
    }
    return best;
  }

  /** Packs for what is assigned, topped up where a break, a free parcel or a smallest order asks for it. @returns null where it cannot be. */
  private reckon(assigned: readonly number[]): { total: number; packs: Map<number, number> } | null {
    const { demands } = this.problem;
    const pieces = new Map<number, number>();
    const latest = new Map<number, number>();
    let total = 0;
    for (const [d, s] of assigned.entries()) {
      const { quantity, leaveMinor } = demands[d]!;
      if (s === left) {
        if (leaveMinor === null) return null;
        total += leaveMinor * quantity;
        continue;
      }
      pieces.set(s, (pieces.get(s) ?? 0) + quantity);
      total += (this.extraOf[d]!.get(s) ?? 0) * quantity;
      const job = this.jobOf[d]!;
      if (job !== left) latest.set(job, Math.max(latest.get(job) ?? 0, this.sources[s]!.day));
    }
    for (const [job, day] of latest) total += Math.max(0, day - this.neededOn[job]!) * this.lateOf[job]!;
    const packs = new Map<number, number>();
    for (const { index, fixed } of this.sources) if (fixed) packs.set(index, fixed);
    const spare = new Map<string, number>();
    const add = (partId: string, by: number) => spare.set(partId, (spare.get(partId) ?? 0) + by);
    for (const [s, count] of pieces) {
      const { offer, fixed } = this.sources[s]!;
      if (count > this.roomOf(s)) return null;
      let n = fixed ?? Math.ceil(count / offer.pack);
      if (fixed === null) {
        const net = (packs: number) => priceOfPacks(offer, packs) - this.worth(offer.partId, 0, packs * offer.pack - count);
        const least = n;
        for (const { fromPacks } of offer.breaks)
          if (fromPacks > least && fromPacks <= this.sources[s]!.most && net(fromPacks) < net(n)) n = fromPacks;
      }
      packs.set(s, n);
    }
    const ofOffer = new Map<string, number>();
    for (const [s, n] of packs) {
      const { offer } = this.sources[s]!;
      const all = (ofOffer.get(offer.id) ?? 0) + n;
      if (offer.available !== null && all > offer.available) return null;
      ofOffer.set(offer.id, all);
    }
    const value = new Map<number, number>();
    for (const [s, n] of packs) {
      const { offer, parcel } = this.sources[s]!;
      const price = priceOfPacks(offer, n);
      total += price;
      if (parcel === null) continue;
      value.set(parcel, (value.get(parcel) ?? 0) + price);
      add(offer.partId, n * offer.pack - (pieces.get(s) ?? 0));
    }
    for (const [supplierId, must] of Object.entries(this.problem.suppliersMust))
      if (must === "order" && ![...value.keys()].some((p) => this.parcels[p]!.supplier.id === supplierId)) return null;
    for (const [p, sum] of value) {
      const { supplier, besideMinor } = this.parcels[p]!;
      total += besideMinor;
      const postage = postageAt(supplier, sum);
      let best: { net: number; s: number; n: number } | null = null;
      const goals = [supplier.smallestOrderMinor, supplier.freeFromMinor ?? 0].filter((goal) => goal > sum);
      for (const goal of goals)
        for (const { index, offer, parcel, fixed, most } of this.sources) {
          const price = offer.breaks[0]!.priceMinor;
          if (parcel !== p || fixed !== null || price === 0) continue;
          const have = packs.get(index) ?? 0;
          const n = Math.ceil((goal - sum) / price);
          if (have + n > most || (offer.available !== null && (ofOffer.get(offer.id) ?? 0) + n > offer.available)) continue;
          const dearer = priceOfPacks(offer, have + n) - priceOfPacks(offer, have);
          const after = postageAt(supplier, sum + dearer);
          if (after === null) continue;
          const over = spare.get(offer.partId) ?? 0;
          const net = dearer + after - this.worth(offer.partId, over, over + n * offer.pack);
          if (best === null || net < best.net) best = { net, s: index, n };
        }
      if (best && (postage === null || best.net < postage)) {
        const { offer } = this.sources[best.s]!;
        const over = spare.get(offer.partId) ?? 0;
        // What it will bring is reckoned with all the rest below.
        total += best.net + this.worth(offer.partId, over, over + best.n * offer.pack);
        packs.set(best.s, (packs.get(best.s) ?? 0) + best.n);
        add(offer.partId, best.n * offer.pack);
      } else if (postage === null) return null;
      else total += postage;
    }
    for (const [partId, over] of spare) total -= this.worth(partId, 0, over);
    return { total, packs };
  }

  plan(): OrderPlan | null {
    const reckoned = this.reckon(this.assigned)!;
    const plan: OrderPlan = {
      lines: [...reckoned.packs].map(([s, packs]) => ({ offerId: this.sources[s]!.offer.id, slot: this.sources[s]!.slot, packs })),
      allocations: this.assigned.flatMap((s, d) =>
        s === left
          ? []
          : [
              {
                demandId: this.problem.demands[d]!.id,
                offerId: this.sources[s]!.offer.id,
                slot: this.sources[s]!.slot,
                pieces: this.problem.demands[d]!.quantity,
              },
            ],
      ),
    };
    return costOfPlan(this.problem, plan).ok ? plan : null;
  }
}
