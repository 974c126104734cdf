import { isSameSize } from "@/core/anatomy/typed-size";
import type { PartType } from "@/core/anatomy/types";
import { addDays, daysBetween } from "@/core/day/day";
import { groupBy } from "@/core/group-by";
import { type Grade, grades } from "@/core/interchange/interchange";
import type { Supplier } from "@/core/ordering/book";
import { freeInBin } from "@/core/ordering/free-in-bin";
import type { LeadTime } from "@/core/ordering/lead-time";
import { donorPart } from "@/core/ordering/plan/donor-id";
import type { Demand, LeftOver, OrderProblem, PlanJob, PlanOffer } from "@/core/ordering/plan/problem";
import { chanceAtMost, lawOfUse, usedWithin } from "@/core/ordering/stock-level";
import { mayGoOn } from "@/core/quote/consent";
import { openDayFrom, weekdayOf } from "@/core/schedule/opening";
import { listFitsOfModel } from "@/data/catalogue/interchange";
import { findPartTypes } from "@/data/catalogue/part-types";
import type { Db } from "@/data/database/database";
import { listOpenJobs } from "@/data/jobs/jobs";
import { listDonorPieces } from "@/data/parts/donors";
import { listNeeds, listOpenGrades } from "@/data/parts/needs";
import { listStock } from "@/data/parts/stock";
import { listSuppliers, offersOf } from "@/data/parts/suppliers";
import { quotesOf } from "@/data/quote/quotes";
import { openingOf } from "@/data/shop/opening";
import { getShopSettings } from "@/data/shop/settings";
import { leadTimesOf, usesOfParts } from "./experience";
import { listLevels } from "./levels";
import { getOrderRules } from "./order-rules";

export interface SituationNeed {
  readonly needId: number;
  readonly jobId: number;
  readonly tag: string;
  readonly partTypeId: string;
  readonly lowestGrade: Grade;
  readonly promisedOn: string;
  /** Its customer has not said yes: it is not ordered. */
  readonly waitsForYes: boolean;
  /** Nobody sells what would do, and none lies here. */
  readonly nowhere: boolean;
}

/** What is to be ordered, and from where it could come: the plan's problem, and the words for what it says. */
export interface OrderSituation {
  readonly problem: OrderProblem;
  readonly needs: readonly SituationNeed[];
  /** Bins to be filled: pieces that are missing to their level. */
  readonly bins: readonly { readonly partTypeId: string; readonly bin: string; readonly missing: number; readonly position: number }[];
  readonly parts: Readonly<Record<string, PartType>>;
  readonly suppliers: readonly (Pick<Supplier, "id" | "name" | "freePostFromMinor"> & { readonly lead: LeadTime })[];
  /** What a here-offer is: the bin or donor it stands for. */
  readonly here: Readonly<Record<string, string>>;
  /** ISO days on which orders go out, by slot. */
  readonly slotDays: readonly string[];
}

/** Pieces left over that are thought about at most; more of one part are worth nothing to the plan. */
const mostLeftOver = 24;
/** A piece that lies here is never quite as good as the money: where both would cost the same, nothing is bought for later. */
const surest = 0.97;
/** Less than anything costs: it only says which of two equal days is taken. */
const trifleMinor = 0.3;
/** Uses from which a part not wanted now may fill a parcel up. */
const usesForFilling = 3;
/** A bin alone is not worth a parcel; beside other things it is filled up to half as much again as its pieces cost. */
const binWorth = 1.5;
/** A reel's work where its quote has none yet, so that its day still counts: an hour (rule of thumb). */
const leastWorkMinutes = 60;

/** The next day after today on which the shop orders, open that day. */
function nextOrderDay(db: Db, today: string, orderOn: readonly number[]): string {
  const opening = openingOf(db, today);
  for (let ahead = 1; ahead <= 14; ahead++) {
    const day = addDays(today, ahead);
    if (orderOn.includes(weekdayOf(day)) && openDayFrom(opening, day) === day) return day;
  }
  return openDayFrom(opening, addDays(today, 7));
}

/** Reads everything the order plan is made from. @param today ISO day. */
export function orderSituation(db: Db, today: string): OrderSituation {
  const rules = getOrderRules(db);
  const settings = getShopSettings(db);
  const open = listNeeds(db, { states: ["open"] });
  const lowest = listOpenGrades(db);
  const jobs = new Map(
    listOpenJobs(
      db,
      open.map(({ jobId }) => jobId),
    ).map((job) => [job.id, job]),
  );
  const quotes = quotesOf(db, [...jobs.values()]);
  const suppliers = listSuppliers(db).filter(({ retired }) => !retired);
  const leads = leadTimesOf(db, suppliers, rules.leadChance / 100);
  const uses = usesOfParts(db, today);
  const stock = listStock(db);
  const lying = new Map(stock.map((line) => [line.partTypeId, line]));
  const coming = new Map(
    db
      .prepare(
        "SELECT part_type_id, sum(quantity - received - given_up) FROM order_line WHERE received + given_up < quantity GROUP BY part_type_id",
      )
      .raw()
      .all() as [string, number][],
  );
  const onOrder = new Map(
    db.prepare("SELECT part_type_id, count(*) FROM need WHERE state = 'ordered' GROUP BY part_type_id").raw().all() as [string, number][],
  );
  const arriving = new Map(
    db
      .prepare(
        `SELECT need.job_id, max(purchase_order.expected_on) FROM need JOIN order_line ON order_line.id = need.order_line_id
         JOIN purchase_order ON purchase_order.id = order_line.order_id WHERE need.state = 'ordered' GROUP BY need.job_id`,
      )
      .raw()
      .all() as [number, string][],
  );

  // Every part that might be bought, with its shape: what has the size of the one wanted will do as well.
  const sold = db
    .prepare("SELECT DISTINCT part_type_id FROM offer JOIN supplier ON supplier.id = offer.supplier_id WHERE retired_at IS NULL")
    .pluck()
    .all() as string[];
  const donors = groupBy(
    listDonorPieces(db).filter(({ condition }) => condition === "good"),
    ({ partTypeId }) => partTypeId,
  );
  const types = findPartTypes(db, [...sold, ...open.map(({ partTypeId }) => partTypeId), ...lying.keys(), ...donors.keys()]);
  const acceptedFor = new Map<string, Grade>();
  const accepts = (need: (typeof open)[number]): { partId: string; donor: boolean }[] => {
    const within = grades.indexOf(lowest.get(need.id) ?? "drop-in");
    const job = jobs.get(need.jobId)!;
    const found = new Map<string, Grade>([[need.partTypeId, "same-number"]]);
    for (const fit of listFitsOfModel(db, job.reel.modelId).get(need.positionId) ?? [])
      if (grades.indexOf(fit.grade) <= within) found.set(fit.partTypeId, fit.grade);
    const wanted = types.get(need.partTypeId);
    if (wanted && within >= grades.indexOf("fits-with-note"))
      for (const id of [...sold, ...lying.keys()]) {
        const type = types.get(id);
        if (type && !found.has(id) && type.material === wanted.material && isSameSize(type.shape, wanted.shape))
          found.set(id, "fits-with-note");
      }
    for (const [id, grade] of found) acceptedFor.set(id, grade);
    return [...found.keys()].map((partId) => ({ partId, donor: within >= grades.indexOf("donor-only") }));
  };

  const wantsOf = open.map((need) => {
    const quote = quotes.get(need.jobId);
    return { need, accepted: accepts(need), waitsForYes: quote !== undefined && !mayGoOn(quote.consent) };
  });
  const bins = listLevels(db, today).flatMap((line) => {
    const { partTypeId, bin, minimum, byUse, asked } = line;
    const position = freeInBin(line) + (coming.get(partTypeId) ?? 0) - (onOrder.get(partTypeId) ?? 0);
    // By use it is ordered at its level, and filled up by what goes while the parcel is on its way.
    const missing = byUse
      ? asked.level !== null && position <= asked.level
        ? asked.level + Math.max(1, Math.round(asked.mean)) - position
        : 0
      : minimum > 0
        ? minimum - position
        : 0;
    return missing > 0 && sold.includes(partTypeId) ? [{ partTypeId, bin, missing, position }] : [];
  });

  const wanted = new Set([
    ...wantsOf.flatMap(({ accepted }) => accepted.map(({ partId }) => partId)),
    ...bins.map(({ partTypeId }) => partTypeId),
  ]);
  const fillers = sold.filter((id) => !wanted.has(id) && uses.of(id).pieces >= usesForFilling);
  const offered = offersOf(db, [...wanted, ...fillers]);
  const offers: PlanOffer[] = [...offered].flatMap(([partId, of]) =>
    of.map(({ supplierId, priceMinor, pack, breaks }) => ({
      id: `${supplierId}|${partId}`,
      supplierId,
      partId,
      pack,
      breaks: [{ fromPacks: 1, priceMinor }, ...breaks],
      available: null,
      leadDays: null,
    })),
  );
  const unit = new Map(
    [...offered].map(([partId, of]) => [
      partId,
      Math.min(...of.map(({ priceMinor, pack, breaks }) => Math.min(priceMinor, ...breaks.map((one) => one.priceMinor)) / pack)),
    ]),
  );
  const here: Record<string, string> = {};
  for (const partId of wanted) {
    const line = lying.get(partId);
    const free = freeInBin(line);
    if (free > 0) {
      here[`bin|${partId}`] = `bin ${line!.bin}`;
      offers.push({
        id: `bin|${partId}`,
        supplierId: null,
        partId,
        pack: 1,
        // Taken from here it has to be bought again some day.
        breaks: [{ fromPacks: 1, priceMinor: Math.round(unit.get(partId) ?? 0) }],
        available: free,
        leadDays: null,
      });
    }
  }
  const donorWanted = new Set(wantsOf.flatMap(({ accepted }) => accepted.flatMap(({ partId, donor }) => (donor ? [partId] : []))));
  for (const partId of donorWanted)
    for (const piece of donors.get(partId) ?? []) {
      here[`donor|${piece.id}`] = `${piece.drawer ? `drawer ${piece.drawer}, ` : ""}off ${piece.origin}`;
      offers.push({
        id: `donor|${piece.id}`,
        supplierId: null,
        partId: donorPart(partId),
        pack: 1,
        breaks: [{ fromPacks: 1, priceMinor: piece.priceMinor }],
        available: 1,
        leadDays: null,
      });
    }
  const offeredParts = new Set(offers.map(({ partId }) => partId));

  const demands: Demand[] = [];
  const planJobs = new Map<number, PlanJob>();
  const needs: SituationNeed[] = wantsOf.map(({ need, accepted, waitsForYes }) => {
    const job = jobs.get(need.jobId)!;
    const parts = accepted
      .flatMap(({ partId, donor }) => (donor ? [partId, donorPart(partId)] : [partId]))
      .filter((id) => offeredParts.has(id));
    const nowhere = parts.length === 0;
    if (!nowhere && !waitsForYes) {
      const sum = quotes.get(job.id)!.sum;
      const minutes = Math.max(leastWorkMinutes, sum.minutes);
      const work = Math.max(sum.labourMinor, Math.round((minutes * job.rates.ratePerHourMinor) / 60));
      const bench = Math.max(1, Math.ceil(minutes / 60 / settings.benchHoursPerDay));
      const others = arriving.get(job.id);
      planJobs.set(job.id, {
        id: String(job.id),
        // What else it waits for comes no sooner.
        neededInDays: Math.max(daysBetween(today, job.promisedOn) - bench, others ? daysBetween(today, others) : -3650),
        dayLateMinor: Math.round((work * rules.lateShareBasisPoints) / 10_000),
      });
      demands.push({
        id: `need|${need.id}`,
        jobId: String(job.id),
        quantity: 1,
        accepts: parts.map((partId) => ({ partId, extraMinor: 0 })),
        leaveMinor: null,
      });
    }
    return {
      needId: need.id,
      jobId: need.jobId,
      tag: need.tag,
      partTypeId: need.partTypeId,
      lowestGrade: lowest.get(need.id) ?? "drop-in",
      promisedOn: job.promisedOn,
      waitsForYes,
      nowhere,
    };
  });
  const nextDay = nextOrderDay(db, today, rules.orderOn);
  // Where it is all one, orders go out on the days for it: today if it is one, else the next.
  const orderDay = rules.orderOn.includes(weekdayOf(today));
  const slots = [
    { id: "today", inDays: 0, parcelMinor: orderDay ? 0 : trifleMinor },
    { id: "next", inDays: daysBetween(today, nextDay), parcelMinor: orderDay ? trifleMinor : 0 },
  ];
  for (const { partTypeId, missing, position } of bins) {
    const price = unit.get(partTypeId) ?? 0;
    const fastest = Math.min(...offered.get(partTypeId)!.map(({ supplierId }) => leads.get(supplierId)!.days));
    // Asked for before the next order's parcel: then a job waits for it as long as a parcel takes.
    const runsOut = 1 - chanceAtMost(lawOfUse(uses.of(partTypeId), slots[1]!.inDays + fastest), Math.max(0, position));
    const dayMinor = Math.round((settings.ratePerHourMinor * rules.lateShareBasisPoints) / 10_000);
    demands.push({
      id: `bin|${partTypeId}`,
      jobId: null,
      quantity: missing,
      accepts: [{ partId: partTypeId, extraMinor: 0 }],
      leaveMinor: Math.round(binWorth * price + (runsOut * dayMinor * fastest) / missing),
    });
  }
  const leftOver: LeftOver[] = [...wanted, ...fillers].flatMap((partId) => {
    const price = unit.get(partId);
    if (price === undefined) return [];
    const position = Math.max(0, freeInBin(lying.get(partId)) + (coming.get(partId) ?? 0) - (onOrder.get(partId) ?? 0));
    const chances = usedWithin(uses.of(partId), rules.leftOverDays, position + mostLeftOver).slice(position);
    return [{ partId, unitMinor: price, chances: chances.map((chance) => Math.min(surest, chance)) }];
  });
  const problem: OrderProblem = {
    slots,
    suppliers: suppliers.map(({ id, postageMinor, tiers, freePostFromMinor, smallestOrderMinor }) => ({
      id,
      postage: [{ fromMinor: 0, postageMinor }, ...tiers],
      freeFromMinor: freePostFromMinor,
      smallestOrderMinor,
      leadDays: leads.get(id)!.days,
    })),
    offers,
    demands,
    jobs: [...planJobs.values()],
    leftOver,
    fixed: [],
    suppliersMust: {},
  };
  return {
    problem,
    needs,
    bins,
    parts: Object.fromEntries([...types].filter(([id]) => wanted.has(id) || fillers.includes(id))),
    suppliers: suppliers.map(({ id, name, freePostFromMinor }) => ({ id, name, freePostFromMinor, lead: leads.get(id)! })),
    here,
    slotDays: [today, nextDay],
  };
}
