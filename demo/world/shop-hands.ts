import { DateTime } from "luxon";
import { allBuildActs } from "@/core/hands/build-acts";
import { allStripActs } from "@/core/hands/strip-acts";
import { opensReel, protocolOfJob } from "@/core/intake/job-kinds";
import { freeInBin } from "@/core/ordering/free-in-bin";
import { testSpec } from "@/core/proving/protocol";
import { oldPieces } from "@/core/teardown/owed";
import { oldPieceReasons } from "@/core/vocabulary/build-reasons";
import { complaints as complaintWords } from "@/core/vocabulary/counter-lists";
import { goAsItIs } from "@/data/account/as-it-is";
import { getBuild } from "@/data/bench/build";
import { doSteps } from "@/data/bench/build-steps";
import { cleanedAllByHand } from "@/data/bench/cleaning";
import { askForPart, fitFromStock } from "@/data/bench/fit-part";
import { keepMeasure } from "@/data/bench/measures";
import { listOilPoints, markOilPoints } from "@/data/bench/oil-points";
import { openingOf, stripGuideOf } from "@/data/bench/opening";
import { listWells, noteWell, takeParts } from "@/data/bench/tray";
import { openLot } from "@/data/counter/lots";
import { openJob } from "@/data/counter/open-job";
import type { Context, Person } from "@/data/database/context";
import type { Db } from "@/data/database/database";
import { settleFault } from "@/data/diagnosis/diagnosis";
import { setFaultOutcome } from "@/data/diagnosis/faults";
import { recordObservation } from "@/data/diagnosis/observations";
import { declineJob } from "@/data/hand-back/decline";
import { notReadyFor } from "@/data/hand-back/going-home";
import { closeJob, markReady, tickBrought } from "@/data/hand-back/returns";
import { findJob, type Job } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { listNeeds, needOf } from "@/data/parts/needs";
import { setForeseen } from "@/data/parts/quote-parts";
import { findStock } from "@/data/parts/stock";
import { getQuote, recordAnswer } from "@/data/quote/quotes";
import { listOpenNeeds, placeOrder } from "@/data/stores/orders";
import { receive } from "@/data/stores/receiving";
import type { Calendar } from "./calendar";
import { type ModelPhysics, physicsOf, readingsOf } from "./readings";
import type { Seeded } from "./seeded";
import type { Hands, WorldVisit } from "./simulate";
import { wornShare } from "./wear";

interface Staff {
  readonly bench: Person;
  readonly counter: Person;
}

export interface ParcelTruth {
  readonly order: number;
  readonly supplier: string;
  readonly placedOn: string;
  readonly promisedDays: number;
  readonly tookDays: number;
  readonly mistake: boolean;
}

/** The world's hands on a shop's books: everything through the modules the application uses itself. */
export function shopHands(
  random: Seeded,
  of: {
    readonly db: Db;
    readonly calendar: Calendar;
    readonly zone: string;
    readonly staff: Staff;
    /** Of the world's customers, by their place in it. */
    readonly customerId: (owner: number, day: number) => number;
    readonly parcels: (parcel: ParcelTruth) => void;
  },
): Hands {
  const { db, calendar, staff } = of;
  const at = (day: number, minute: number): string =>
    DateTime.fromISO(calendar.days[day]!, { zone: of.zone }).plus({ minutes: minute }).toUTC().toISO()!;
  const here = (person: Person, day: number, minute: number): Context => ({ db, person, now: at(day, minute) });
  const jobOf = (id: number): Job => findJob(db, id)!;
  const physics = new Map<number, ModelPhysics>();
  const physicsFor = (job: Job): ModelPhysics => {
    const known = physics.get(job.modelVersionId) ?? physicsOf(machineOf(db, job));
    physics.set(job.modelVersionId, known);
    return known;
  };
  /** Presses of one station, spread over its minutes so that its clock runs. */
  const spread = <T>(
    person: Person,
    day: number,
    from: number,
    minutes: number,
    acts: readonly T[],
    run: (ctx: Context, act: T) => void,
  ) => {
    for (const [i, act] of acts.entries()) run(here(person, day, from + (minutes * (i + 0.5)) / acts.length), act);
  };
  /** Handfuls of acts, so that thousands of jobs come in a night: never more than three minutes apart. */
  const handfuls = <T>(acts: readonly T[], minutes: number): T[][] => {
    // A job that opens nothing has no handful.
    const count = Math.min(acts.length, Math.max(1, Math.ceil(minutes / 2.9)));
    return Array.from({ length: count }, (_, i) =>
      acts.slice(Math.floor((i * acts.length) / count), Math.floor(((i + 1) * acts.length) / count)),
    );
  };
  const measure = (day: number, from: number, minutes: number, job: Job, visit: WorldVisit, phase: "before" | "after", trips: number) => {
    const version = machineOf(db, job);
    const readings = readingsOf(random, visit.reel, trips, physicsFor(job), protocolOfJob(version.model.family, job));
    spread(staff.bench, day, from, minutes, readings, (ctx, { testId, verdict, value }) => {
      const pull = testSpec(testId).takesLineRadius;
      recordObservation(ctx, {
        jobId: job.id,
        phase,
        testId,
        verdict: phase === "after" ? "good" : verdict,
        value,
        lineRadiusMm: pull ? version.lineRadiusMm : null,
        setting: testId === "drag-strike" && version.model.family.startsWith("star") ? 0.5 : null,
        instrument: value === null ? "by hand" : pull ? "pull scale" : "typed",
        // In the world the scale is a real one: what its truth is stands beside the data.
        simulated: false,
        trace: null,
      });
    });
  };
  /** Says yes where the sum asks for it: the world's customers answered at Quote already. */
  const agree = (ctx: Context, jobId: number) => {
    const { consent } = getQuote(db, jobOf(jobId));
    if (consent === "ask" || consent === "refused") recordAnswer(ctx, jobId, { accepted: true, words: "Go ahead." });
  };
  const seatsOf = (job: Job, roles: readonly string[]): string[] => {
    const version = machineOf(db, job);
    return version.anatomy.positions
      .filter(({ partTypeId }) => roles.includes(version.partTypes.get(partTypeId)!.role))
      .map(({ id }) => id);
  };
  const renewed = (visit: WorldVisit): string[] =>
    visit.reel.components.filter(({ spec }) => visit.found.includes(spec.id)).flatMap(({ spec }) => spec.renews);

  return {
    take(day, minute, visits) {
      const [{ reel, lot, promisedOn, complaints }] = visits as [WorldVisit, ...WorldVisit[]];
      const ctx = here(staff.counter, day, minute);
      const promised = (on: number) =>
        DateTime.fromISO(calendar.days[day]!)
          .plus({ days: on - day })
          .toISODate()!;
      const customer = { id: of.customerId(reel.owner, day) };
      if (lot) {
        const taken = openLot(ctx, {
          name: lot.name,
          customer,
          modelId: reel.model.id,
          water: reel.water,
          tripsPerYear: reel.tripsPerYear,
          life: ["fleet"],
          dragWish: "greased",
          limitMinor: 6000,
          promisedOn: promised(promisedOn),
          rows: visits.map((visit) => ({
            serial: visit.reel.serial,
            mark: visit.lot!.mark,
            complaint: visit.complaints.map((id) => complaintWords[id]).join(", "),
            condition: "",
            depth: "",
            drag: "",
          })),
        });
        if ("faults" in taken) throw new Error(`The lot was refused: ${JSON.stringify(taken.faults)}`);
        return db.prepare("SELECT id FROM job WHERE lot_id = ? ORDER BY id").pluck().all(taken.id) as number[];
      }
      return visits.map(
        (visit) =>
          openJob(ctx, {
            customer,
            modelId: visit.reel.model.id,
            serial: visit.reel.serial,
            hand: visit.reel.key % 9 ? "right" : "left",
            kind: visit.kind,
            ...(visit.depth ? { depth: visit.depth } : {}),
            complaint: complaints.map((id) => complaintWords[id]).join(", "),
            intake: {
              complaints: [...visit.complaints],
              water: visit.reel.water,
              tripsPerYear: visit.reel.tripsPerYear,
              conditions: random.chance(0.15) ? [random.pick(["pitting", "green", "opened"] as const)] : [],
              life: [...visit.reel.life],
              conditionNote: "",
              dragWish: random.weighted({ shop: 6, greased: 3, dry: 1 }),
              handleHole: "as-found",
              ...(visit.kind === "purchase-check"
                ? { claims: ["serviced" as const, ...(random.chance(0.5) ? (["fresh-only"] as const) : [])] }
                : {}),
            },
            brought: random.chance(0.7) ? ["line"] : random.chance(0.3) ? ["line", "clamp"] : [],
            limitMinor: 6000 + 1000 * random.whole(0, 9),
            wantedOn: null,
            promisedOn: promised(visit.promisedOn),
          }).id,
      );
    },

    look(day, minute, jobId, visit) {
      const job = jobOf(jobId);
      const { look } = visit.minutes;
      measure(day, minute, look * 0.65, job, visit, "before", visit.trips);
      const found = visit.reel.components.filter(({ spec }) => visit.found.includes(spec.id)).map(({ spec }) => spec.faultId);
      spread(staff.bench, day, minute + look * 0.65, look * 0.3, [...new Set(found)], (ctx, faultId) =>
        settleFault(ctx, jobId, faultId, true),
      );
      const ctx = here(staff.bench, day, minute + look * 0.96);
      if (visit.kind === "upgrade") for (const seat of seatsOf(job, ["spool-bearing"])) setForeseen(ctx, jobId, seat, true);
      if (visit.answerAfterDays === null && !visit.declined) agree(ctx, jobId);
    },

    answered(day, minute, jobId, visit) {
      const ctx = here(staff.counter, day, minute);
      if (!visit.declined) {
        recordAnswer(ctx, jobId, { accepted: true, words: random.pick(["Yes, go ahead.", "Fine, if it is ready by then.", "Do it."]) });
        return;
      }
      recordAnswer(ctx, jobId, { accepted: false, words: "Not for that money." });
    },

    open(day, minute, jobId, visit) {
      const version = machineOf(db, jobOf(jobId));
      const acts = allStripActs(stripGuideOf(db, jobOf(jobId), version, openingOf(db, jobOf(jobId), version)));
      const { open } = visit.minutes;
      const strip = open * 0.75;
      // What it comes to may have grown since the owner was asked.
      agree(here(staff.bench, day, minute), jobId);
      spread(staff.bench, day, minute, strip, handfuls(acts, strip), (ctx, handful) => {
        takeParts(
          ctx,
          jobId,
          handful.flatMap(({ positionIds }) => positionIds),
        );
      });
      const clean = here(staff.bench, day, minute + open * 0.87);
      if (listWells(db, jobId).length) cleanedAllByHand(clean, jobId);
      const ctx = here(staff.bench, day, minute + open * 0.95);
      agree(ctx, jobId);
      const roles = [...renewed(visit), ...(visit.kind === "upgrade" ? ["spool-bearing"] : [])];
      const wells = new Set(listWells(db, jobId).map(({ positionId }) => positionId));
      for (const seat of seatsOf(jobOf(jobId), roles)) {
        if (!wells.has(seat)) continue;
        noteWell(ctx, jobId, seat, { verdict: "replace", orientation: "", note: "worn", at: "clean" });
      }
      // Where a caliper was at hand the wear is written down.
      for (const component of visit.reel.components) {
        if (!visit.found.includes(component.spec.id) || !component.spec.renews.length || !random.chance(0.4)) continue;
        const seat = seatsOf(jobOf(jobId), component.spec.renews).find((id) => wells.has(id));
        if (!seat) continue;
        const fresh = 2 + (component.spec.id.length % 4);
        const gone = Math.max(0, 0.35 * wornShare(component, visit.trips) + random.normal(0, 0.02));
        const size = (mm: number) => ({ mm: Math.round(mm * 100) / 100, offMm: 0.05 });
        keepMeasure(ctx, {
          jobId,
          phase: "before",
          positionId: seat,
          name: "",
          input: { kind: "wear", worn: size(Math.max(0.5, fresh - gone)), fresh: size(fresh) },
        });
      }
      fitWhatIsThere(ctx, jobId);
      return listNeeds(db, { states: ["open", "ordered"], jobId }).length > 0;
    },

    order(day, minute) {
      const needs = listOpenNeeds(db).filter(({ waitsForYes, offers }) => !waitsForYes && offers.length);
      if (!needs.length) return [];
      const bySupplier = new Map<string, number[]>();
      for (const { id, offers } of needs) {
        const cheapest = [...offers].sort((a, b) => a.priceMinor - b.priceMinor || a.supplierId.localeCompare(b.supplierId))[0]!;
        bySupplier.set(cheapest.supplierId, [...(bySupplier.get(cheapest.supplierId) ?? []), id]);
      }
      return [...bySupplier].flatMap(([supplierId, ids]) => {
        const ctx = here(staff.bench, day, minute);
        const { orderId } = placeOrder(ctx, supplierId, ids, calendar.days[day]!);
        db.prepare("UPDATE purchase_order SET desk_reference = ? WHERE id = ?").run(`SIM-${supplierId.toUpperCase()}-${orderId}`, orderId);
        const promisedDays = db.prepare("SELECT lead_days FROM supplier WHERE id = ?").pluck().get(supplierId) as number;
        const { supplier } = calendar.upsets;
        const worse = supplierId === supplier.id && calendar.days[day]! >= supplier.from;
        const tookDays = Math.max(1, Math.round(random.lognormal(promisedDays * (worse ? supplier.leadTimes : 0.95), 0.3)));
        const mistake = random.chance(worse ? supplier.mistakes : 0.03);
        of.parcels({ order: orderId, supplier: supplierId, placedOn: calendar.days[day]!, promisedDays, tookDays, mistake });
        const take = (skipFirst: boolean) => (on: number, at: number) => {
          const lines = db
            .prepare("SELECT id, quantity - received AS open FROM order_line WHERE order_id = ? AND received < quantity ORDER BY id")
            .all(orderId) as { id: number; open: number }[];
          for (const [i, line] of lines.entries()) if (!(skipFirst && i === 0)) receive(here(staff.counter, on, at), line.id, line.open);
        };
        // A wrong piece goes back and the right one comes a week later.
        return [
          { comesOn: day + tookDays, receive: take(mistake) },
          ...(mistake ? [{ comesOn: day + tookDays + 7, receive: take(false) }] : []),
        ];
      });
    },

    ready: (jobId) => listNeeds(db, { states: ["open", "ordered"], jobId }).length === 0,

    build(day, minute, jobId, visit) {
      const version = machineOf(db, jobOf(jobId));
      const { build } = visit.minutes;
      const opens = visit.minutes.open > 0 && !visit.declined;
      if (visit.declined) declineJob(here(staff.bench, day, minute), jobId, "Its owner did not want the repair.");
      // What stays in gets its drop while it lies open.
      const points =
        visit.declined || visit.kind === "purchase-check"
          ? []
          : listOilPoints(db, jobOf(jobId), version).map(({ positionId }) => positionId);
      if (points.length) markOilPoints(here(staff.bench, day, minute), jobId, points, "oiled");
      if (opens) {
        fitWhatIsThere(here(staff.bench, day, minute), jobId);
        const { steps, batches } = getBuild(db, jobOf(jobId), version);
        const acts = allBuildActs(steps, batches, version.partTypes);
        const minutes = build * 0.7;
        spread(staff.bench, day, minute, minutes, handfuls(acts, minutes), (ctx, handful) => {
          const ids = handful.flatMap(({ operationIds }) => operationIds);
          const old = oldPieces(steps.filter(({ operation }) => ids.includes(operation.id)));
          doSteps(ctx, jobId, ids, old.length ? oldPieceReasons[0] : "");
        });
      }
      sayHowItLeaves(here(staff.bench, day, minute + build * 0.72), jobId);
      // What turned out to stay in gets its drop where one reaches it from outside, and is left out where it is shut in.
      const late = points.length ? listOilPoints(db, jobOf(jobId), version).filter(({ state }) => state === "waiting") : [];
      for (const state of ["oiled", "left-out"] as const) {
        const ids = late.filter(({ behind }) => (behind.length ? "left-out" : "oiled") === state).map(({ positionId }) => positionId);
        if (ids.length) markOilPoints(here(staff.bench, day, minute + build * 0.74), jobId, ids, state);
      }
      if (!visit.declined && visit.kind !== "purchase-check") measureAfter(day, minute + build * 0.78, build * 0.18, jobOf(jobId), visit);
      if (visit.kind === "purchase-check" && !opensReel(jobOf(jobId))) return;
      const last = here(staff.bench, day, minute + build * 0.99);
      sayHowItLeaves(last, jobId);
      markReady(last, jobId);
    },

    fetch(day, minute, jobId, visit) {
      const ctx = here(staff.counter, day, minute);
      const job = jobOf(jobId);
      for (const { item } of job.brought) tickBrought(ctx, jobId, item, true);
      closeJob(ctx, jobId, job.customer.name, {
        paidBy: random.weighted({ card: 6, cash: 3, transfer: 1 }),
        oldParts: visit.found.length ? random.pick(["returned", "kept"] as const) : null,
      });
    },
  };

  /** What was found and left, and what is bad still, goes home by a word. */
  function sayHowItLeaves(ctx: Context, jobId: number): void {
    for (const kept of notReadyFor(db, jobOf(jobId))) {
      if (kept.what === "open-fault") setFaultOutcome(ctx, jobId, kept.faultId, "watch");
      if (kept.what === "still-bad") goAsItIs(ctx, jobId, kept.testId, "other-work");
    }
  }

  /** Every piece put aside for it, or lying in a bin, into its seat; what is not there is ordered. */
  function fitWhatIsThere(ctx: Context, jobId: number): void {
    const wanted = db
      .prepare(
        `SELECT quote_part.position_id AS seat, quote_part.part_type_id AS part FROM quote_part
         JOIN tray_well ON tray_well.job_id = quote_part.job_id AND tray_well.position_id = quote_part.position_id
         LEFT JOIN instance ON instance.id = tray_well.instance_id
         WHERE quote_part.job_id = ? AND (instance.fitted_job_id IS NULL OR instance.fitted_job_id <> quote_part.job_id)`,
      )
      .all(jobId) as { seat: string; part: string }[];
    agree(ctx, jobId);
    for (const { seat, part } of wanted) {
      const state = needOf(db, jobId, seat)?.state;
      if (state === "open" || state === "ordered") continue;
      const line = findStock(db, part);
      if (state === "arrived" || freeInBin(line) > 0) fitFromStock(ctx, jobId, seat);
      else askForPart(ctx, jobId, seat);
    }
  }

  /** After the work the reel shows what was made of it. */
  function measureAfter(day: number, from: number, minutes: number, job: Job, visit: WorldVisit): void {
    const mended = {
      ...visit.reel,
      components: visit.reel.components.map((component) =>
        visit.found.includes(component.spec.id) ? { ...component, freshAtTrips: visit.trips } : component,
      ),
    };
    measure(day, from, minutes, job, { ...visit, reel: mended }, "after", visit.trips);
  }
}
