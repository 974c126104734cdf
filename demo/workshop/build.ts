import { DateTime } from "luxon";
import { cleanMethods, isBath } from "@/core/cleaning/methods";
import { allBuildActs } from "@/core/hands/build-acts";
import { allStripActs } from "@/core/hands/strip-acts";
import { protocolOfJob } from "@/core/intake/job-kinds";
import { parseMinor } from "@/core/money/money";
import { defaultShopSettings } from "@/core/shop/settings";
import { oldPieces } from "@/core/teardown/owed";
import type { Step } from "@/core/teardown/step";
import { oldPieceReasons } from "@/core/vocabulary/build-reasons";
import type { DepthId, JobKind } from "@/core/vocabulary/job-kinds";
import type { TestId, Verdict } from "@/core/vocabulary/tests";
import { getBuild } from "@/data/bench/build";
import { doSteps } from "@/data/bench/build-steps";
import { beginSoak, cleanedAllByHand, cleanedByHand, countBack, getCleaning } from "@/data/bench/cleaning";
import { fitFromElsewhere, fitFromStock } from "@/data/bench/fit-part";
import { addUnknownModel, takeLoosePart } from "@/data/bench/loose-parts";
import { listOilPoints, markOilPoints } from "@/data/bench/oil-points";
import { openingOf, stripGuideOf } from "@/data/bench/opening";
import { overrideSeat } from "@/data/bench/own-part";
import { noteWell, takeParts } from "@/data/bench/tray";
import { setWay } from "@/data/bench/ways";
import { keepBuiltSo } from "@/data/catalogue/built";
import { addPartType } from "@/data/catalogue/part-types";
import { addModel } from "@/data/catalogue/write-model";
import { openLot } from "@/data/counter/lots";
import { openJob } from "@/data/counter/open-job";
import { addCustomer } from "@/data/customers/customers";
import type { Context } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { recordLook, settleFault } from "@/data/diagnosis/diagnosis";
import { recordAllGood, recordObservation } from "@/data/diagnosis/observations";
import { sayReportWords } from "@/data/hand-back/report-words";
import { closeJob, markReady, tickBrought } from "@/data/hand-back/returns";
import { findJob, type Intake } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { listNeeds } from "@/data/parts/needs";
import { setForeseen } from "@/data/parts/quote-parts";
import { setBin } from "@/data/parts/stock";
import { addSupplier, setOffer } from "@/data/parts/suppliers";
import { recordAnswer } from "@/data/quote/quotes";
import { addPerson, ensureFirstPerson, renamePerson } from "@/data/shop/people";
import { saveShopSettings } from "@/data/shop/settings";
import { openTin } from "@/data/stores/consumables";
import { placeOrder, sendWaitingOrders } from "@/data/stores/orders";
import { simulatedSupplierDesk } from "@/devices/supplier-desk";
import { otherModels } from "../models/models";
import { skerry30, skerry30Anatomy, skerry30LineRadiusMm, skerry30Parts } from "../models/skerry-30";
import { fillLibrary } from "./library";

/** Whether this data directory holds anything yet; the demo never writes over a shop's own data. */
export const isEmpty = (db: Db): boolean =>
  (
    db.prepare("SELECT (SELECT count(*) FROM job) + (SELECT count(*) FROM customer) + (SELECT count(*) FROM model) AS things").get() as {
      things: number;
    }
  ).things === 0;

type Readings = Partial<Record<TestId, [Verdict, number?]>>;

const worn: Readings = {
  "free-spool": ["good", 31],
  turning: ["bad", 21],
  "drag-light": ["doubtful", 12.5],
  "drag-strike": ["doubtful", 27.4],
  "drag-full": ["bad", 39.8],
  "anti-reverse": ["good", 0],
  click: ["good"],
};
const sound: Readings = {
  "free-spool": ["good", 34],
  turning: ["good", 8.5],
  "drag-light": ["good", 14.2],
  "drag-strike": ["good", 32.6],
  "drag-full": ["good", 58.9],
  "anti-reverse": ["good", 0],
  click: ["good"],
};

const intake = (change: Partial<Intake> = {}): Intake => ({
  complaints: ["stiff"],
  water: "salt",
  tripsPerYear: 25,
  conditions: [],
  life: [],
  conditionNote: "",
  dragWish: "shop",
  handleHole: "as-found",
  ...change,
});

/** A visit that is over, and the day it went home, counted from today. */
interface Over {
  readonly offset: number;
  readonly tell: () => void;
}

/**
 * Builds the invented workshop through the same data modules as the application uses. Deterministic; every date is counted from `now`.
 * A former rope-walk beside an invented estuary: one technician, one at the counter.
 * @param history what else came before the reels that hang here now, calling back for each of its days; nothing where it is left out.
 */
export async function buildDemo(
  db: Db,
  now: DateTime,
  {
    foundedDaysAgo = 800,
    history,
  }: { readonly foundedDaysAgo?: number; readonly history?: (onDay: (isoDay: string) => void) => void } = {},
): Promise<void> {
  const owner = ensureFirstPerson(db);
  const day = (offset: number) => now.plus({ days: offset }).toISODate()!;
  const ctxAt = (offset: number, hour: number, minute = 0): Context => ({
    db,
    person: { ...owner, name: "Ilse Varn" },
    // Built in the small hours, today's early entries are made now: nothing in it lies ahead of the clock.
    now: DateTime.min(now.plus({ days: offset }).set({ hour, minute, second: 0, millisecond: 0 }), now)
      .toUTC()
      .toISO()!,
  });
  /** A moment further on, and none ahead of the clock. */
  const later = (at: DateTime, by: { seconds: number } | { minutes: number }) => DateTime.min(at.plus(by), now.toUTC());
  const start = ctxAt(-foundedDaysAgo, 6);
  const inOne = (work: () => void) => db.transaction(work)();

  db.transaction(() => {
    renamePerson(start, owner.id, "Ilse Varn");
    addPerson(start, { name: "Tobin Marsh", role: "counter" });
    saveShopSettings(start, {
      ...defaultShopSettings,
      shopName: "The Ropewalk Reel Bench",
      simulated: true,
      address: "3 Rope Walk, Saltmere Quay",
      phone: "0555 0100",
      taxNumber: "SQ 000 417 22",
      bank: "Estuary Savings, account 000 417 220",
      terms: "Reels and parts stay ours until they are paid.",
      counterTerms:
        "We work up to the limit you name and ask before going beyond it. Parts we take out are yours: say at return whether you want them. We are liable for what we break, not for line, and up to what the reel was worth.",
      storagePerWeekMinor: 200,
      neverFetched: "After a year and a last letter the reel is sold and what is left after our costs is yours.",
      warrantyMonths: 6,
      prices: {
        fixed: Object.fromEntries(
          (["star-drag-bridge", "star-drag-clutch", "lever-drag"] as const).map((family) => [
            family,
            { outside: 1500, quick: 3400, assembly: 2600, full: family === "lever-drag" ? 8400 : 6900 },
          ]),
        ),
        smallestMinor: 0,
        consumablesMinor: 0,
        measured: false,
      },
    });
    for (const part of skerry30Parts) addPartType(start, part);
    addModel(start, skerry30, { lineRadiusMm: skerry30LineRadiusMm, anatomy: skerry30Anatomy });
    keepBuiltSo(start, skerry30.id, skerry30.family, "SK");
    for (const other of otherModels) {
      for (const part of other.partTypes) addPartType(start, part);
      addModel(
        start,
        { id: other.id, maker: other.maker, name: other.name, family: other.family },
        { lineRadiusMm: other.lineRadiusMm, anatomy: other.anatomy },
      );
      keepBuiltSo(start, other.id, other.family, other.prefix, other.built);
    }
    addSupplier(start, { id: "quayside", name: "Quayside Spares", postageMinor: 690, leadDays: 4, freePostFromMinor: 6000 });
    addSupplier(start, { id: "fellgate", name: "Fellgate Small Parts", postageMinor: 450, leadDays: 9 });
    skerry30Parts.forEach((part, index) => {
      setOffer(start, { supplierId: "quayside", partTypeId: part.id, priceMinor: Math.round(part.priceMinor * 0.7) });
      if (index % 2 === 0) setOffer(start, { supplierId: "fellgate", partTypeId: part.id, priceMinor: Math.round(part.priceMinor * 0.62) });
      const cheap = part.priceMinor < 700;
      setBin(
        start,
        part.id,
        `${String.fromCharCode(65 + Math.floor(index / 8))}${(index % 8) + 1}`,
        cheap ? 14 + (index % 5) : part.role === "main-gear" || part.role === "click-gear" ? 0 : 2,
        cheap ? 4 : 1,
      );
    });
  })();

  const customers = db.transaction(() =>
    [
      ["Wenna Harrowgate", "0555 0101", "wenna@harrowgate.example", "12 Net Loft Lane, Saltmere Quay"],
      ["Odo Pellinor", "0555 0102", "", "The Old Ferry House, Mereside"],
      ["Saltmarsh Charters", "0555 0103", "boats@saltmarsh.example", "Berth 4, Saltmarsh Staithe"],
      ["Brindle Okafor", "0555 0104", "brindle@okafor.example", ""],
      ["Jory Tamsin", "0555 0105", "", "7 Cooper Row, Saltmere Quay"],
      ["Maren Quist", "0555 0106", "maren@quist.example", "2 Weir Bank, Upper Mere"],
    ].map(([name, phone, email, address]) => addCustomer(start, { name: name!, phone: phone!, email: email!, address: address! })),
  )();

  inOne(() => fillLibrary({ ...start, now: ctxAt(-foundedDaysAgo, 7).now }, customers[1]!));

  const open = (
    ctx: Context,
    customer: number,
    serial: string,
    promisedOn: string,
    change: {
      complaint: string;
      kind?: JobKind;
      depth?: DepthId;
      limit?: string;
      modelId?: string;
      intake?: Partial<Intake>;
      brought?: ("line" | "clamp" | "box")[];
    },
  ) =>
    openJob(ctx, {
      customer: { id: customers[customer]! },
      modelId: change.modelId ?? skerry30.id,
      serial,
      hand: "right",
      kind: change.kind,
      ...(change.depth ? { depth: change.depth } : {}),
      complaint: change.complaint,
      intake: intake(change.intake),
      brought: change.brought ?? ["line"],
      limitMinor: parseMinor(change.limit ?? "90"),
      wantedOn: promisedOn,
      promisedOn,
    }).id;

  const test = (ctx: Context, jobId: number, phase: "before" | "after", readings: Readings) => {
    (Object.entries(readings) as [TestId, [Verdict, number?]][]).forEach(([testId, [verdict, value]], i) => {
      // No two reels leave alike: a few per cent up or down, the same every time.
      const unlike = phase === "after" ? 1 + (((jobId * 7 + i * 3) % 9) - 4) / 100 : 1;
      recordObservation(ctx, {
        jobId,
        phase,
        testId,
        verdict,
        value: value === undefined ? null : Math.round(value * unlike * 10) / 10,
        lineRadiusMm: testId.startsWith("drag") ? skerry30LineRadiusMm : null,
        instrument: value === undefined ? "by hand" : testId.startsWith("drag") ? "pull scale" : "typed",
        simulated: false,
        trace: null,
      });
    });
  };
  const find = (ctx: Context, jobId: number, ids: string[]) => {
    for (const id of ids) settleFault(ctx, jobId, id, true);
  };
  /** As hands do it: handful by handful, each into its well. */
  const strip = (ctx: Context, jobId: number, acts = Number.POSITIVE_INFINITY) => {
    const job = findJob(db, jobId)!;
    const version = machineOf(db, job);
    let at = DateTime.fromISO(ctx.now, { zone: "utc" });
    for (const { positionIds } of allStripActs(stripGuideOf(db, job, version, openingOf(db, job, version))).slice(
      0,
      Math.min(acts, 1000),
    )) {
      at = later(at, { seconds: 12 + ((jobId * 5 + positionIds.length * 9) % 34) });
      takeParts({ ...ctx, now: at.toISO()! }, jobId, positionIds);
    }
  };
  const replaceForeseen = (ctx: Context, jobId: number, ids: string[]) => {
    for (const id of ids) {
      noteWell(ctx, jobId, id, { verdict: "replace", orientation: "", note: "worn" });
      fitFromStock(ctx, jobId, id);
    }
  };
  /** Washers that are worn are renewed here, those that are not go back. */
  const reasonFor = (acting: readonly Step[]) => (oldPieces(acting).length ? oldPieceReasons[0] : "");
  const oil = (ctx: Context, jobId: number) => {
    const points = listOilPoints(db, findJob(db, jobId)!).filter(({ state }) => state === "waiting");
    if (points.length)
      markOilPoints(
        ctx,
        jobId,
        points.map(({ positionId }) => positionId),
        "oiled",
      );
  };
  const build = (ctx: Context, jobId: number, share = 1) => {
    const job = findJob(db, jobId)!;
    const version = machineOf(db, job);
    const { steps, batches } = getBuild(db, job, version);
    oil(ctx, jobId);
    let at = DateTime.fromISO(ctx.now, { zone: "utc" });
    const acts = allBuildActs(steps, batches, version.partTypes);
    // A hand at work: screws and checks quickly, what has to be lined up slowly, and no two jobs alike.
    acts.slice(0, Math.floor(acts.length * share)).forEach(({ operationIds }, i) => {
      const slow = operationIds.some((id) => /plate|bridge|spool|gear/.test(id)) ? 110 : 35;
      at = later(at, { seconds: slow + ((i * 7 + jobId * 13) % 40) });
      const acting = steps.filter(({ operation }) => operationIds.includes(operation.id));
      doSteps({ ...ctx, now: at.toISO()! }, jobId, operationIds, reasonFor(acting));
    });
  };
  /** Every group through its bath or the hands, and counted back. */
  const clean = (ctx: Context, jobId: number) => {
    const job = findJob(db, jobId)!;
    let at = DateTime.fromISO(ctx.now, { zone: "utc" });
    for (const { method } of getCleaning(db, job).groups) {
      at = later(at, { minutes: 2 });
      const here = { ...ctx, now: at.toISO()! };
      if (!isBath(method)) cleanedByHand(here, jobId, method);
      else {
        const { soakId } = beginSoak(here, jobId, { method, minutes: cleanMethods[method].soakMinutes, intoSoakId: null, mark: "" });
        countBack({ ...here, now: later(at, { seconds: 40 }).toISO()! }, jobId, soakId, []);
      }
    }
  };
  const giveBack = (ctx: Context, jobId: number, takenBy: string) => {
    oil(ctx, jobId);
    markReady(ctx, jobId);
    for (const item of findJob(db, jobId)!.brought) tickBrought(ctx, jobId, item.item, true);
    closeJob(ctx, jobId, takenBy, { paidBy: "cash" });
  };

  // Visits that are over are told on the day they went home, so that papers rise with their days.
  const over: Over[] = [];
  const wasHere = (offset: number, tell: () => void) => {
    if (history) over.push({ offset, tell });
    else inOne(tell);
  };
  const tellUpTo = (isoDay: string) => {
    for (let [next] = over; next && day(next.offset) <= isoDay; [next] = over) {
      over.shift();
      inOne(next.tell);
    }
  };

  // Three visits that are over: two years of one reel, one of another.
  for (const [offset, readings, after] of [
    [-742, { ...worn, "drag-full": ["bad", 36.5] }, { ...sound, "drag-full": ["good", 61] }],
    [-371, { ...worn, "drag-full": ["doubtful", 48.1] }, sound],
  ] as [number, Readings, Readings][])
    wasHere(offset + 6, () => {
      const id = open(ctxAt(offset, 9), 0, "MS30 20417", day(offset + 7), {
        complaint: "Stiff, drag will not hold",
        intake: { complaints: ["stiff", "drag-weak"] },
      });
      test(ctxAt(offset + 1, 9, 10), id, "before", readings);
      find(ctxAt(offset + 1, 9, 20), id, ["hardened-grease", "drag-worn"]);
      strip(ctxAt(offset + 1, 9, 40), id);
      clean(ctxAt(offset + 1, 9, 44), id);
      replaceForeseen(ctxAt(offset + 1, 10), id, ["friction-low", "friction-mid"]);
      build(ctxAt(offset + 1, 10, 30), id);
      test(ctxAt(offset + 1, 11), id, "after", after);
      giveBack(ctxAt(offset + 6, 16), id, "Wenna Harrowgate");
    });
  wasHere(-114, () => {
    const id = open(ctxAt(-120, 10), 1, "MS30 11836", day(-113), {
      complaint: "Just its year's service",
      limit: "120",
      kind: "service",
      depth: "full",
      intake: { complaints: ["service"], water: "fresh", tripsPerYear: 8 },
    });
    test(ctxAt(-119, 14), id, "before", { ...sound, turning: ["doubtful", 12] });
    find(ctxAt(-119, 14, 10), id, ["hardened-grease"]);
    strip(ctxAt(-119, 14, 20), id);
    clean(ctxAt(-119, 14, 30), id);
    build(ctxAt(-119, 15), id);
    test(ctxAt(-119, 15, 20), id, "after", sound);
    giveBack(ctxAt(-114, 11), id, "Odo Pellinor");
  });

  // What most reels come for: no fault. One oiled outside, one serviced whole with a bearing its owner brought, both home again.
  const allGood = (ctx: Context, jobId: number, phase: "before" | "after") => {
    const job = findJob(db, jobId)!;
    const tests = protocolOfJob(machineOf(db, job).model.family, job).map(({ id }) => id);
    recordAllGood(ctx, { jobId, phase, testIds: tests });
  };
  const lately: readonly Over[] = [
    {
      offset: -30,
      tell: () => {
        const id = open(ctxAt(-30, 16), 4, "MS30 52210", day(-30), {
          complaint: "Between two trips: a drop of oil",
          kind: "service",
          depth: "light",
          intake: { complaints: ["service"], tripsPerYear: 60 },
        });
        allGood(ctxAt(-30, 16, 5), id, "before");
        oil(ctxAt(-30, 16, 9), id);
        allGood(ctxAt(-30, 16, 12), id, "after");
        giveBack(ctxAt(-30, 16, 20), id, "Jory Tamsin");
      },
    },
    {
      offset: -15,
      tell: () => {
        const id = open(ctxAt(-20, 9), 5, "MS30 50318", day(-15), {
          complaint: "Before the season",
          limit: "120",
          kind: "service",
          depth: "full",
          intake: { complaints: ["service"], tripsPerYear: 20 },
        });
        test(ctxAt(-19, 9), id, "before", { ...sound, "free-spool": ["good", 24] });
        strip(ctxAt(-19, 9, 15), id);
        cleanedAllByHand(ctxAt(-19, 9, 40), id);
        noteWell(ctxAt(-19, 9, 41), id, "dog", { verdict: "dressed", dressed: "deburred", orientation: "", note: "" });
        fitFromElsewhere(ctxAt(-19, 9, 45), id, ["tail-bearing"], {
          source: "customer",
          size: "5 x 11 x 5",
          material: "stainless steel",
          closure: "shielded",
          priceMinor: 0,
          anyway: false,
        });
        build(ctxAt(-19, 10), id);
        oil(ctxAt(-19, 10, 40), id);
        test(ctxAt(-19, 10, 50), id, "after", { ...sound, "free-spool": ["good", 38] });
        giveBack(ctxAt(-15, 11), id, "Maren Quist");
      },
    },
  ];
  if (history) {
    over.push(...lately);
    history(tellUpTo);
    tellUpTo(day(0));
  }
  // What stands open on the shelf; one of each was used up before.
  for (const [product, words, holds, priceMinor, daysAgo, keeps] of [
    ["light oil", "Curlew Light", 30, 990, 60, 900],
    ["medium oil", "Curlew Medium", 30, 990, 200, 900],
    ["viscous reel oil", "Curlew Heavy", 30, 1150, 140, 900],
    ["reel grease", "Dunnage Blue", 100, 1390, 170, 1200],
    ["drag grease", "Dunnage Clear", 50, 1790, 100, 1200],
    ["degreaser", "Tidewash", 2000, 1650, 20, 160],
    ["bearing cleaner", "Tidewash B", 500, 1290, 45, null],
  ] as const) {
    const day = (ago: number) => now.minus({ days: ago }).toISODate()!;
    const opened = ctxAt(-daysAgo, 9);
    openTin(
      opened,
      { product, words, holds, priceMinor, useBy: keeps === null ? null : now.plus({ days: keeps - daysAgo }).toISODate() },
      day(daysAgo),
    );
  }

  // Five that hang here now, one at almost every station.
  inOne(() => {
    const id = open(ctxAt(-6, 10), 2, "MS30 30551", day(1), {
      complaint: "Boat reel, slips under load",
      limit: "120",
      intake: { complaints: ["drag-weak", "drag-jerky"], tripsPerYear: 140 },
    });
    test(ctxAt(-5, 9), id, "before", worn);
    find(ctxAt(-5, 9, 15), id, ["drag-worn", "drag-dry"]);
    strip(ctxAt(-5, 9, 30), id);
    replaceForeseen(ctxAt(-5, 10), id, ["friction-low", "friction-mid"]);
    build(ctxAt(-1, 15), id, 0.5);
  });
  const waiting = db.transaction(() => {
    const id = open(ctxAt(-5, 11), 3, "MS30 28870", day(4), {
      complaint: "Grinds in gear",
      limit: "150",
      intake: { complaints: ["gritty"], conditions: ["green"] },
    });
    test(ctxAt(-4, 9), id, "before", worn);
    find(ctxAt(-4, 9, 15), id, ["gear-burr"]);
    strip(ctxAt(-4, 9, 30), id);
    clean(ctxAt(-4, 9, 50), id);
    noteWell(ctxAt(-4, 10), id, "main-gear", { verdict: "replace", orientation: "", note: "three teeth hooked", at: "clean" });
    return id;
  })();
  inOne(() => {
    placeOrder(
      ctxAt(-4, 10, 20),
      "quayside",
      listNeeds(db, { states: ["open"], jobId: waiting }).map((need) => need.id),
      day(-4),
    );
  });
  await sendWaitingOrders(db, simulatedSupplierDesk);
  inOne(() => {
    const id = open(ctxAt(-3, 9), 4, "", day(2), {
      complaint: "Will not stay in free spool, click gone",
      limit: "40",
      brought: ["line", "clamp"],
      intake: { complaints: ["stiff", "click-weak"], conditions: ["pitting", "opened"], conditionNote: "serial worn off" },
    });
    test(ctxAt(-2, 9), id, "before", { ...worn, click: ["bad"] });
    find(ctxAt(-2, 9, 20), id, ["gears-worn", "hardened-grease"]);
    setForeseen(ctxAt(-2, 9, 25), id, "main-gear", true);
  });
  inOne(() => {
    const id = open(ctxAt(-2, 15), 5, "MS30 40112", day(1), {
      complaint: "Drag jerks when a fish runs",
      intake: { complaints: ["drag-jerky"] },
    });
    test(ctxAt(-1, 9), id, "before", { ...sound, "drag-strike": ["bad", 24.1] });
  });
  inOne(() => {
    const id = open(ctxAt(-8, 12), 1, "MS30 11836", day(0), {
      complaint: "Handle side stiff again",
      limit: "100",
      brought: ["line", "box"],
      intake: { complaints: ["stiff"], water: "fresh", tripsPerYear: 8 },
    });
    test(ctxAt(-7, 9), id, "before", worn);
    find(ctxAt(-7, 9, 20), id, ["hardened-grease"]);
    recordAnswer(ctxAt(-7, 11), id, { accepted: true, words: "Yes, do it, I want it before the frost." });
    strip(ctxAt(-6, 9), id);
    build(ctxAt(-6, 10), id);
    test(ctxAt(-6, 10, 40), id, "after", sound);
    markReady(ctxAt(-6, 11), id);
  });
  inOne(() => {
    const id = open(ctxAt(-1, 11), 2, "MS30 30552", day(3), {
      complaint: "Second boat reel, drag jerks off the start",
      limit: "120",
      brought: ["line", "clamp"],
      intake: { complaints: ["drag-jerky"], tripsPerYear: 140, conditions: ["pitting"] },
    });
    test(ctxAt(0, 8), id, "before", { "free-spool": ["good", 29], turning: ["good", 11] });
  });
  inOne(() => {
    const id = open(ctxAt(-4, 16), 5, "MS30 40113", day(2), {
      complaint: "Bought second hand, feels gritty",
      depth: "full",
      limit: "200",
      intake: { complaints: ["gritty"], conditions: ["opened"] },
    });
    test(ctxAt(-1, 13), id, "before", worn);
    find(ctxAt(-1, 13, 20), id, ["hardened-grease"]);
    strip(ctxAt(-1, 13, 40), id, 10);
    noteWell(ctxAt(-1, 14), id, "tail-bearing", { verdict: "watch", orientation: "", note: "a tick in one place" });
    // Its caked gears lie in the bath while the demo begins.
    const begun = { ...ctxAt(0, 8), now: now.toUTC().minus({ minutes: 5 }).toISO()! };
    setWay(begun, id, "job", "cleaning", "bath");
    beginSoak(begun, id, { method: "degreaser", minutes: 60, intoSoakId: null, mark: "" });
  });

  // Three awkward ones: a hybrid, one nobody has a schematic of, one with the lining of its time.
  inOne(() => {
    const id = open(ctxAt(-3, 14), 4, "MS30 17702", day(5), {
      complaint: "Put together from two reels, star too tight",
      limit: "90",
      intake: { complaints: ["stiff"], conditions: ["opened"], conditionNote: "head plate of another reel" },
    });
    overrideSeat(ctxAt(-2, 11), id, "star", "SX-250");
    overrideSeat(ctxAt(-2, 11, 1), id, "head-plate", "DN-110");
    test(ctxAt(-2, 11, 10), id, "before", { "free-spool": ["doubtful", 18], turning: ["doubtful", 13] });
  });
  inOne(() => {
    const modelId = addUnknownModel(ctxAt(-2, 16), {
      maker: "not known",
      name: "Brass reel, marked with a heron",
      family: "star-drag-bridge",
    });
    const id = open(ctxAt(-2, 16, 5), 0, "", day(6), {
      complaint: "Grandfather's reel, to fish again",
      limit: "150",
      modelId,
      intake: { complaints: ["stiff"], water: "fresh", tripsPerYear: 3, conditions: ["green"] },
    });
    test(ctxAt(-1, 15), id, "before", { "free-spool": ["bad", 4] });
    for (const kind of ["nut", "handle", "star", "cupped-washer", "screw", "screw", "screw", "plate", "spool"] as const)
      takeLoosePart(ctxAt(-1, 15, 20), id, kind);
  });
  inOne(() => {
    const id = open(ctxAt(-1, 9), 5, "F1407", day(7), {
      complaint: "Drag grabs, the lining looks old",
      limit: "110",
      modelId: "dunlin-9",
      intake: { complaints: ["drag-jerky"], tripsPerYear: 6 },
    });
    test(ctxAt(-1, 9, 30), id, "before", { "free-spool": ["good", 22], turning: ["good", 9], "drag-strike": ["bad", 16] });
    find(ctxAt(-1, 9, 45), id, ["drag-worn"]);
  });

  // Two that came for something else than a repair: one to be looked over before it is bought, one whose last work did not hold.
  inOne(() => {
    const id = open(ctxAt(-1, 16), 3, "MS30 51233", day(2), {
      kind: "purchase-check",
      complaint: "Asking price 140: worth it?",
      brought: ["box"],
      intake: { complaints: [], claims: ["fresh-only", "serviced", "never-opened", "complete"], conditions: ["green"] },
    });
    test(ctxAt(0, 8, 20), id, "before", { ...sound, turning: ["bad", 17], "drag-full": ["doubtful", 47] });
    recordLook(ctxAt(0, 8, 40), id, "spool-bearing-dirty", true);
    recordLook(ctxAt(0, 8, 41), id, "screw-hole-empty", false);
    find(ctxAt(0, 8, 50), id, ["hardened-grease"]);
    sayReportWords(ctxAt(0, 8, 55), id, {
      answer: "Not at 140: the gear side wants a full service. At 100 it is a fair price.",
      ourMistake: "",
      seen: null,
    });
  });
  inOne(() => {
    const id = open(ctxAt(0, 8), 0, "MS30 20417", day(3), {
      kind: "comeback",
      complaint: "Drag gives way again since the autumn",
      intake: { complaints: ["drag-weak"] },
    });
    test(ctxAt(0, 9), id, "before", { "free-spool": ["good", 30], turning: ["good", 9.5], "drag-full": ["bad", 41] });
  });

  // Several reels of one model from one sender, begun: tested across, two of them looked into.
  inOne(() => {
    const lot = openLot(ctxAt(-1, 17), {
      name: "Harbour hire, autumn",
      customer: { id: customers[2]! },
      modelId: "skerry-40x",
      water: "salt",
      tripsPerYear: 90,
      life: ["fleet"],
      dragWish: "greased",
      limitMinor: parseMinor("45"),
      promisedOn: day(6),
      rows: Array.from({ length: 8 }, (_, i) => ({
        serial: `SX40 ${7101 + i}`,
        mark: `boat ${i + 1}`,
        complaint: i % 3 === 0 ? "drag weak" : "",
        condition: i === 4 ? "foot pitted" : "",
        depth: "",
        drag: "",
      })),
    });
    if ("faults" in lot) throw new Error(JSON.stringify(lot.faults));
    const jobs = db.prepare("SELECT id FROM job WHERE lot_id = ? ORDER BY id").pluck().all(lot.id) as number[];
    jobs.slice(0, 6).forEach((id, i) => {
      test(ctxAt(0, 8, 30 + i), id, "before", { "free-spool": ["good"], turning: [i % 3 ? "good" : "doubtful"] });
    });
    settleFault(ctxAt(0, 9), jobs[0]!, "drag-worn", true);
    settleFault(ctxAt(0, 9, 10), jobs[1]!, "drag-worn", false);
  });

  // One whose drag jumps from loose to locked: its tension washers lay in one another.
  inOne(() => {
    const id = open(ctxAt(-2, 10), 3, "MS30 44871", day(4), {
      complaint: "Drag jumps from nothing to locked",
      limit: "90",
      intake: { complaints: ["drag-jerky"], conditions: ["opened"], tripsPerYear: 12 },
    });
    test(ctxAt(-1, 10), id, "before", {
      "free-spool": ["good", 29],
      turning: ["good", 10],
      "drag-light": ["bad", 2],
      "drag-strike": ["bad", 61],
    });
    find(ctxAt(-1, 10, 10), id, ["tension-washers-nested"]);
    strip(ctxAt(-1, 10, 20), id, 7);
    noteWell(ctxAt(-1, 10, 26), id, "tension-upper", {
      verdict: "ok",
      orientation: "cup up, lying in the lower one",
      lies: "turned",
      note: "both the same way round",
    });
  });

  // Where nothing else came before, they were here last month.
  if (!history) for (const { tell } of lately) inOne(tell);
  // Two that hang here: a quick service on its way back, one assembly on its way apart.
  inOne(() => {
    const id = open(ctxAt(-1, 11), 1, "MS30 53377", day(1), {
      complaint: "Casts short since the sand",
      limit: "120",
      kind: "service",
      depth: "quick",
      intake: { complaints: ["short-spin"], water: "fresh", tripsPerYear: 15 },
    });
    test(ctxAt(0, 7), id, "before", { "free-spool": ["doubtful", 17], turning: ["good", 9] });
    strip(ctxAt(0, 7, 10), id);
    cleanedAllByHand(ctxAt(0, 7, 20), id);
    build(ctxAt(0, 7, 25), id, 0.5);
  });
  inOne(() => {
    const id = open(ctxAt(-1, 15), 3, "MS30 54120", day(3), {
      complaint: "The click is weak, the rest is fine",
      limit: "120",
      kind: "service",
      depth: "complaint",
      intake: { complaints: ["click-weak"], tripsPerYear: 10 },
    });
    test(ctxAt(0, 7, 30), id, "before", { "free-spool": ["good", 30], turning: ["good", 9], click: ["bad"] });
    strip(ctxAt(0, 7, 40), id, 2);
  });
  inOne(() => {
    const id = open(ctxAt(-1, 12), 2, "MS30 55902", day(5), {
      complaint: "Better drag, better bearings",
      kind: "upgrade",
      limit: "160",
      intake: { complaints: [], tripsPerYear: 140 },
    });
    setWay(ctxAt(-1, 12, 5), id, "job", "bearings", "upgrade");
    allGood(ctxAt(0, 7, 50), id, "before");
    for (const seat of ["head-bearing", "tail-bearing", "friction-low", "friction-mid"]) setForeseen(ctxAt(0, 7, 55), id, seat, true);
  });
}
