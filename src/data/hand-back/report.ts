import { saying } from "@/core/account/sentences";
import { sizeWords } from "@/core/anatomy/shapes";
import { claims, standingWords } from "@/core/diagnosis/purchase-check";
import { type OldParts, oldPartsWords } from "@/core/hand-back/hand-back";
import { pathWords, protocolOfJob } from "@/core/intake/job-kinds";
import { asFoundWords } from "@/core/intake/marks";
import { reportedWords } from "@/core/intake/reported";
import { takenForWords } from "@/core/intake/taken-for";
import { measureLines } from "@/core/measures/measure-lines";
import { changeWords, compare } from "@/core/proving/compare";
import type { Observation } from "@/core/proving/observation";
import { extraTests, hasDrag, type TestSpec } from "@/core/proving/protocol";
import { answersTo } from "@/core/report/answers";
import type { Report, ReportTest } from "@/core/report/report";
import { cautionsAt } from "@/core/safety/cautions";
import { overviewPlate } from "@/core/schematic/assembly-plate";
import { warrantyEnds } from "@/core/shop/duties";
import { notDoneByWord } from "@/core/teardown/owed";
import { type ForceUnit, sayMeasure } from "@/core/units/say-measure";
import { hands } from "@/core/vocabulary/counter-lists";
import { pieceSources } from "@/core/vocabulary/piece-sources";
import { getAccount } from "@/data/account/job-acts";
import { answersThatHold, getBuild } from "@/data/bench/build";
import { listMeasuresOfJob } from "@/data/bench/measures";
import { findPartType } from "@/data/catalogue/part-types";
import { listParcels } from "@/data/counter/parcels";
import { takenFor } from "@/data/customers/reels";
import type { Db } from "@/data/database/database";
import { claimsOf } from "@/data/diagnosis/diagnosis";
import { listSkipped } from "@/data/diagnosis/observations";
import { listKeptGauges } from "@/data/gauges/gauges";
import type { Job } from "@/data/jobs/jobs";
import { machineOf, typesInSeats } from "@/data/jobs/machine";
import { listLeftOut } from "@/data/jobs/pieces";
import { workersOf } from "@/data/jobs/workers";
import { type DatesFrom, serviceDates } from "@/data/ledger/served";
import { invoiceName } from "@/data/papers/invoice-names";
import { listNotToBeHad } from "@/data/parts/no-longer-made";
import { billedParts, costToPutRight, getBill } from "@/data/quote/quotes";
import { getShopSettings } from "@/data/shop/settings";
import { listCorrections } from "./corrections";
import { listPictures } from "./report-words";

/** A reading as it is said; what a stand-in made up says so wherever it stands. */
const measured = ({ value, unit, simulated }: Observation, force: ForceUnit): string =>
  `${sayMeasure(value!, unit, force)}${simulated ? " (simulated)" : ""}`;

/** A reading, or the word that was said of it; empty where the test was not made. */
const words = (observation: Observation | undefined, force: ForceUnit): string =>
  observation ? (observation.value === null ? observation.verdict : measured(observation, force)) : "";

function reportTests(
  observations: readonly Observation[],
  protocol: readonly TestSpec[],
  skips: ReadonlyMap<string, string>,
  force: ForceUnit,
): ReportTest[] {
  return protocol.map((spec) => {
    const before = observations.find((o) => o.testId === spec.id && o.phase === "before");
    const after = observations.find((o) => o.testId === spec.id && o.phase === "after");
    return {
      name: spec.name,
      before: words(before, force),
      after: words(after, force),
      leftOut: (["before", "after"] as const).flatMap((phase) => {
        const reason = skips.get(`${phase} ${spec.id}`);
        return reason ? [`${phase}: ${reason}`] : [];
      }),
      change: before && after ? changeWords[compare(spec, before, after)] : "",
      simulated: Boolean(before?.simulated || after?.simulated),
      bars: before?.value != null && after?.value != null ? { before: before.value, after: after.value } : null,
    };
  });
}

/** How to look after it, by its water and by what it has been through. */
function careAdvice({ water, life }: Job["intake"], drag: boolean): string[] {
  return [
    `${drag ? "Back the drag off before you put the reel away; store" : "Store"} it somewhere dry with an even temperature.`,
    water === "fresh"
      ? "Wipe it after each outing."
      : "Rinse gently with fresh water after each outing, wipe, and let it dry before it goes in a bag. Never use a hard jet: it drives salt in.",
    ...(life.includes("kayak")
      ? ["From a kayak: if it has been under water, have it opened soon; the film of grease inside lasts a season at most."]
      : []),
    ...(life.includes("stored") ? ["Grease hardens when a reel stands for years: turn the handle once a season."] : []),
  ];
}

export interface ReportDates extends DatesFrom {
  readonly opened: string;
  readonly closed: string | null;
}

/** Until when the work of a job is warranted; nothing of one that did no work, and while it is here. */
const warrantyOf = (job: Job, months: number, dates: ReportDates): string => {
  if (job.declinedReason !== null || job.kind === "purchase-check" || job.closedAt === null) return "";
  const ends = warrantyEnds(job.closedAt.slice(0, 10), months);
  return ends === null ? "" : `Our work is under warranty until ${dates.words(ends)}: bring this report.`;
};

const oldPartsOf = (db: Db, jobId: number): string => {
  const said = db.prepare("SELECT old_parts FROM job WHERE id = ?").pluck().get(jobId) as OldParts | null;
  return said === null || said === "none" ? "" : `Old parts: ${oldPartsWords[said]}.`;
};

/** Everything the owner's report prints, from the job's own pinned rates and version, priced by what was really fitted. */
export function getReport(db: Db, job: Job, dates: ReportDates): Report {
  const version = machineOf(db, job);
  const inSeats = typesInSeats(version);
  const positions = new Map(version.anatomy.positions.map((position) => [position.id, position]));
  const { sum, labour, extras } = getBill(db, job);
  const { steps } = getBuild(db, job, version);
  const observations = answersThatHold(db, job, steps);
  const { account, sentences } = getAccount(db, job, version);
  const settings = getShopSettings(db);
  const skips = new Map(listSkipped(db, job.id).map(({ phase, testId, reason }) => [`${phase} ${testId}`, reason]));
  return {
    shopName: settings.shopName,
    tag: job.tag,
    owner: invoiceName(db, job.customer.id)?.name ?? job.customer.name,
    reel: job.reel.modelName,
    serial: job.reel.serial,
    made: takenForWords(takenFor(db, job.reel.id)),
    hand: hands[job.reel.hand],
    openedOn: dates.opened,
    closedOn: dates.closed,
    complaint: reportedWords(job),
    answer: job.answer,
    ourMistake: job.ourMistake,
    pictures: listPictures(db, job.id).flatMap(({ hash, positionId, onReport }) =>
      onReport ? [{ hash, shows: positionId === null ? "As it came" : (positions.get(positionId)?.name ?? positionId) }] : [],
    ),
    asFound: asFoundWords(job.intake),
    declined: job.declinedReason,
    check:
      job.kind === "purchase-check"
        ? {
            claims: claimsOf(db, job).map(({ claim, standing, against, fits }) => ({
              claim: claims[claim],
              standing: standingWords[standing],
              because: (against.length ? against : fits).join("; "),
            })),
            putRight: costToPutRight(db, job).totalMinor,
          }
        : null,
    told: sentences,
    faults: account.faults.map(({ name }) => name),
    touched: [
      ...account.pieces.map(({ positionId }) => positionId),
      ...account.products.flatMap(({ places }) => places.flatMap(({ positionId, whereItSits }) => (whereItSits ? [positionId] : []))),
    ],
    answers: answersTo(job.intake.complaints, account.tests),
    drawing: version.anatomy.positions.length ? overviewPlate(version.anatomy, version.partTypes) : null,
    parts: billedParts(db, job).map((part) => {
      const position = positions.get(part.positionId)!;
      const type = findPartType(db, part.partTypeId)!;
      return {
        number: part.source ? "" : part.number,
        words: `${part.positionName}: ${[
          sizeWords(type.shape),
          type.material,
          part.offDonor ? "used, from a donor" : part.source ? pieceSources[part.source].said : "",
        ]
          .filter(Boolean)
          .join(", ")}`,
        price: part.priceMinor,
        type,
        turned: position.turned,
      };
    }),
    computed: [
      ...listKeptGauges(db, job.id).map(({ words: said }) => said),
      ...measureLines(
        listMeasuresOfJob(db, job.id).filter(({ kind }) => kind !== "gauge"),
        (id) => positions.get(id)?.name ?? id,
      ),
    ],
    cautions: cautionsAt({ at: "report", types: inSeats }),
    leftOut: [
      ...listLeftOut(db, job.id).map((part) => ({ name: part.positionName, reason: part.reason })),
      ...notDoneByWord(steps).map(({ operation, note }) => ({ name: operation.words, reason: note })),
    ],
    watch: [
      ...listNotToBeHad(db, job.id).map(({ positionId, words: note }) => `${positions.get(positionId)?.name ?? positionId}: ${note}`),
      ...saying(sentences, "watch"),
    ],
    tests: reportTests(
      observations,
      [
        ...protocolOfJob(version.model.family, job),
        ...extraTests(version.model.family).filter(({ id }) => observations.some((o) => o.testId === id)),
      ],
      skips,
      settings.shownForce,
    ),
    advice: careAdvice(job.intake, hasDrag(version.model.family)),
    corrections: listCorrections(db, job.id).map(({ at, words: said, amountMinor }) => ({
      on: dates.words(at),
      words: said,
      amount: amountMinor,
    })),
    workedBy: workersOf(db, job.id).join(", "),
    oldParts: oldPartsOf(db, job.id),
    parcels: listParcels(db, job.id).map(
      ({ way, carrier, number, onDay }) =>
        `${way === "in" ? "Came" : "Went back"} by parcel, ${carrier}${number ? ` ${number}` : ""}, ${dates.words(onDay)}`,
    ),
    warranty: warrantyOf(job, settings.warrantyMonths, dates),
    fileHash: null,
    cameFor: pathWords(job),
    ...serviceDates(db, job, dates),
    price: {
      labour: sum.labourMinor,
      parts: sum.partsMinor,
      workLines: labour.map((line) => ({ words: line.words, minutes: line.minutes, price: line.priceMinor ?? null })),
      anHour: job.rates.ratePerHourMinor,
      extras: extras.map((line) => ({ words: line.words, price: line.priceMinor })),
      discount: sum.discountMinor,
      deposit: job.depositMinor,
      tax: sum.taxMinor,
      taxPercent: job.rates.tax / 100,
      total: job.finalTotalMinor ?? sum.totalMinor,
      currency: job.currency,
    },
  };
}
