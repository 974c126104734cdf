import { writeFileSync } from "node:fs";
import { join } from "node:path";
import type { DateTime } from "luxon";
import type { FamilyId } from "@/core/vocabulary/families";
import { searchModels } from "@/data/catalogue/model-list";
import { getCurrentModelVersion } from "@/data/catalogue/models";
import { addCustomer } from "@/data/customers/customers";
import type { Context } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { setBin } from "@/data/parts/stock";
import { addSupplier, setOffer } from "@/data/parts/suppliers";
import { listPeople } from "@/data/shop/people";
import { type Calendar, calendarOf, type Disturbances } from "./calendar";
import { inventedCustomers } from "./names";
import { type HiddenReel, hiddenReel, type WorldModel } from "./reels";
import { type Seeded, seeded } from "./seeded";
import { type ParcelTruth, shopHands } from "./shop-hands";
import { simulate, type World } from "./simulate";
import { wearTable } from "./wear";

export interface WorldSize {
  readonly seed: number;
  readonly years: number;
  readonly customers: number;
  readonly reels: number;
  /** Share of failures that come here. */
  readonly loyalty: number;
  /** Minutes of a day at the bench. */
  readonly benchMinutes: number;
  /** Reels of the hire fleet that come as one lot every year; 0 for none. */
  readonly lot: number;
}

/** The workshop of the demo: part of a working day at the bench, forty customers. */
export const demoWorld: WorldSize = { seed: 11, years: 4, customers: 33, reels: 56, loyalty: 0.9, benchMinutes: 240, lot: 34 };

/** A busy shop. About 12,000 jobs in ten years. */
export const busyWorld = (years: number, seed = 11): WorldSize => ({
  seed,
  years,
  customers: 690 * years,
  reels: 4225 * years,
  loyalty: 0.15,
  benchMinutes: 600,
  lot: 34,
});

/** What only the world knows; forecasts are judged against it and never read it. */
export interface WorldTruth {
  readonly size: WorldSize;
  readonly from: string;
  readonly to: string;
  readonly upsets: Disturbances;
  readonly wear: typeof wearTable;
  readonly parcels: readonly ParcelTruth[];
  readonly visits: readonly {
    readonly job: number;
    readonly reel: number;
    readonly on: string;
    readonly kind: string;
    readonly depth: string | null;
    readonly trips: number;
    readonly worn: readonly string[];
    readonly found: readonly string[];
    readonly minutes: { readonly look: number; readonly open: number; readonly build: number };
  }[];
  readonly reels: readonly {
    readonly key: number;
    readonly model: string;
    readonly water: string;
    readonly tripsPerYear: number;
    readonly freshMu: number;
    /** As they are at the end. */
    readonly components: readonly { readonly id: string; readonly lifeTrips: number; readonly freshAtTrips: number }[];
  }[];
}

export const popular: Partial<Record<FamilyId, number>> = {
  "star-drag-bridge": 20,
  "star-drag-clutch": 12,
  "lever-drag": 10,
  "baitcaster-low-profile": 14,
  "baitcaster-round": 10,
  spinning: 26,
  "spinning-fluid-sealed": 4,
  "spinning-sealed-bail-less": 4,
  spincast: 6,
  centrepin: 3,
};

/** Models of the shop's own library, as the world knows them. */
function worldModels(db: Db): WorldModel[] {
  const all = searchModels(db, "", 200);
  const perFamily = (family: FamilyId) => all.filter((one) => one.family === family).length;
  return all.flatMap(({ id, family }): WorldModel[] => {
    const version = getCurrentModelVersion(db, id);
    if (!version.anatomy.positions.length) return [];
    const letters = id.slice(0, 2).toUpperCase();
    return [
      {
        id,
        family,
        roles: new Set([...version.partTypes.values()].map(({ role }) => role)),
        parts: version.anatomy.positions.length,
        share: (popular[family] ?? 5) / perFamily(family),
        serial: (n, year) => `${letters}${String(year).slice(2)} ${n}`,
      },
    ];
  });
}

/** Two suppliers more, an offer for every part at one or several of the four, and bins for what wears. */
function stockShop(ctx: Context, random: ReturnType<typeof seeded>): void {
  const { db } = ctx;
  addSupplier(ctx, { id: "saltpan", name: "Saltpan Bearings", postageMinor: 390, leadDays: 3, freePostFromMinor: 3500 });
  addSupplier(ctx, { id: "overwater", name: "Overwater Trade Counter", postageMinor: 890, leadDays: 6, freePostFromMinor: 9000 });
  const parts = db.prepare("SELECT id, role, price_minor AS price FROM part_type WHERE retired_at IS NULL ORDER BY id").all() as {
    id: string;
    role: string;
    price: number;
  }[];
  const offered = new Set(db.prepare("SELECT part_type_id FROM offer").pluck().all() as string[]);
  const wears = new Set(wearTable.flatMap(({ renews }) => renews));
  const binned = new Set(db.prepare("SELECT part_type_id FROM stock").pluck().all() as string[]);
  let bin = 0;
  for (const { id, role, price } of parts) {
    const sellers = offered.has(id) ? [] : random.chance(0.7) ? ["overwater", random.pick(["quayside", "fellgate"])] : ["overwater"];
    if (role.includes("bearing")) sellers.push("saltpan");
    for (const supplierId of new Set(sellers))
      setOffer(ctx, { supplierId, partTypeId: id, priceMinor: Math.max(20, Math.round(price * (0.6 + 0.2 * random.uniform()))) });
    if (wears.has(role) && !binned.has(id) && random.chance(0.6)) {
      setBin(ctx, id, `W${String(1 + Math.floor(bin / 9))}-${1 + (bin % 9)}`, price < 800 ? 6 : 2, price < 800 ? 2 : 1);
      bin++;
    }
  }
}

/** The reels of a world, whose they are and from when; a fleet's come as one lot once a year. */
export function populate(come: Seeded, calendar: Calendar, size: WorldSize, models: readonly WorldModel[]): World {
  const last = calendar.days.length - 1;
  // Half are there from the first day; the others find the shop over the years.
  const ownerFrom = Array.from({ length: size.customers }, (_, i) => (i < size.customers / 2 ? 0 : Math.floor(come.uniform() * last)));
  const reels: HiddenReel[] = Array.from({ length: size.reels }, (_, key) => {
    const owner = key < size.customers ? key : come.whole(0, size.customers - 1);
    return hiddenReel(come, { key, owner, models, from: ownerFrom[owner]!, calendar });
  });
  const fleetModel = models.find(({ id }) => id === "skerry-40x") ?? models[0]!;
  const fleet: HiddenReel[] = Array.from({ length: size.lot }, (_, i) =>
    hiddenReel(come, {
      key: size.reels + i,
      owner: -1,
      models,
      from: 0,
      calendar,
      fleet: { model: fleetModel, serial: `LF ${301 + i}` },
    }),
  );
  // The last lot came some days ago: it hangs here now.
  const comesOn = new Set<number>();
  for (let day = last - 4; day > 30; day -= 364) {
    let on = day;
    while (calendar.weekday[on]! > 5) on--;
    comesOn.add(on);
  }
  return {
    calendar,
    reels,
    fleets: size.lot ? [{ name: "Lake ferry hire", reels: fleet, comesOn }] : [],
    loyalty: size.loyalty,
    benchMinutes: size.benchMinutes,
  };
}

/**
 * Lets the years pass over a shop that was just founded, up to the day before `now`, through its own books. Deterministic.
 * @returns what only the world knows.
 */
export function growWorld(
  db: Db,
  now: DateTime,
  size: WorldSize,
  fleetOwnerId: number | null = null,
  onDay: (day: string) => void = () => undefined,
): WorldTruth {
  const random = seeded(size.seed);
  const calendar = calendarOf(random.fork("calendar"), now.minus({ days: 1 }), size.years);
  const people = listPeople(db);
  const [bench, counter] = [people[0]!, people.find(({ role }) => role === "counter") ?? people[0]!];
  const founded: Context = { db, person: bench, now: now.minus({ years: size.years, days: 1 }).set({ hour: 7 }).toUTC().toISO()! };
  db.transaction(() => stockShop(founded, random.fork("stock")))();

  const models = worldModels(db);
  const taken = new Set(db.prepare("SELECT name FROM customer").pluck().all() as string[]);
  const people_ = inventedCustomers(random.fork("people"), size.customers, taken);
  const ids = new Map<number, number>();
  const world = populate(random.fork("reels"), calendar, size, models);
  const reels = [...world.reels, ...world.fleets.flatMap((fleet) => fleet.reels)];
  const parcels: ParcelTruth[] = [];
  const visits: WorldTruth["visits"][number][] = [];
  const hands = shopHands(random.fork("hands"), {
    db,
    calendar,
    zone: now.zoneName ?? "utc",
    staff: { bench, counter },
    customerId: (owner, day) => {
      const known = ids.get(owner);
      if (known !== undefined) return known;
      const at: Context = { db, person: counter, now: `${calendar.days[day]}T07:30:00.000Z` };
      const id =
        owner < 0
          ? (fleetOwnerId ?? addCustomer(at, { name: "Mere Lake Ferry", phone: "0555 0140", email: "boats@mere-lake-ferry.example" }))
          : addCustomer(at, people_[owner]!);
      ids.set(owner, id);
      return id;
    },
    parcels: (parcel) => parcels.push(parcel),
  });
  db.exec("BEGIN");
  try {
    simulate(
      random.fork("life"),
      world,
      hands,
      (visit, job) =>
        visits.push({
          job,
          reel: visit.reel.key,
          on: calendar.days[visit.cameOn]!,
          kind: visit.kind,
          depth: visit.depth,
          trips: Math.round(visit.trips * 10) / 10,
          worn: visit.truth,
          found: visit.found,
          minutes: visit.minutes,
        }),
      (day) => {
        // Once a month what is low in the bins is bought over the counter.
        if (calendar.days[day]!.endsWith("-01")) restock({ db, person: counter, now: `${calendar.days[day]}T16:00:00.000Z` });
        if (day % 20 === 0) db.exec("COMMIT; BEGIN");
        onDay(calendar.days[day]!);
      },
    );
    restock({ db, person: counter, now: `${calendar.days.at(-1)!}T16:00:00.000Z` });
    db.exec("COMMIT");
  } catch (error) {
    db.exec("ROLLBACK");
    throw error;
  }
  return {
    size,
    from: calendar.days[0]!,
    to: calendar.days.at(-1)!,
    upsets: calendar.upsets,
    wear: wearTable,
    parcels,
    visits,
    reels: reels.map(({ key, model, water, tripsPerYear, freshMu, components }) => ({
      key,
      model: model.id,
      water,
      tripsPerYear,
      freshMu,
      components: components.map(({ spec, lifeTrips, freshAtTrips }) => ({ id: spec.id, lifeTrips, freshAtTrips })),
    })),
  };
}

/** What is low is bought over the counter; gears are dear and ordered when one is needed. */
function restock(ctx: Context): void {
  const low = ctx.db
    .prepare(
      `SELECT part_type_id AS id, bin, minimum FROM stock JOIN part_type ON part_type.id = part_type_id
       WHERE count <= minimum AND role NOT IN ('main-gear', 'click-gear', 'pinion')`,
    )
    .all() as { id: string; bin: string; minimum: number }[];
  for (const { id, bin, minimum } of low) setBin(ctx, id, bin, 3 * minimum, minimum);
}

/** Keeps the truth beside the data, never in it. */
export const keepTruth = (directory: string, truth: WorldTruth): void =>
  writeFileSync(join(directory, "world-truth.json"), `${JSON.stringify(truth)}\n`, { mode: 0o600 });
