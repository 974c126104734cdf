import { sizeWords } from "@/core/anatomy/shapes";
import { claims, standingWords } from "@/core/diagnosis/purchase-check";
import { opensReel, pathWords, protocolOfJob } from "@/core/intake/job-kinds";
import { asFoundWords } from "@/core/intake/marks";
import { measureLines } from "@/core/measures/measure-lines";
import { compare } from "@/core/proving/compare";
import type { Observation } from "@/core/proving/observation";
import { extraTests, type TestSpec } from "@/core/proving/protocol";
import { changeWords, type Report, type ReportTest } from "@/core/report/report";
import { testOfComplaint } from "@/core/report/work-done";
import { remedyOn } from "@/core/safety/act-cautions";
import { cautionsAt } from "@/core/safety/cautions";
import { overviewPlate } from "@/core/schematic/assembly-plate";
import { notDoneByWord } from "@/core/teardown/owed";
import { type ForceUnit, sayMeasure } from "@/core/units/say-measure";
import { complaints, hands } from "@/core/vocabulary/counter-lists";
import { faultOutcomes } from "@/core/vocabulary/fault-outcomes";
import { pieceSources } from "@/core/vocabulary/piece-sources";
import { answersThatHold, getBuild } from "@/data/bench/build";
import { lubricantsUsed } from "@/data/bench/lubricants-used";
import { listMeasuresOfJob } from "@/data/bench/measures";
import { listWells } from "@/data/bench/tray";
import { listInPlace } from "@/data/bench/ways";
import { workOf } from "@/data/bench/work";
import type { ModelVersion } from "@/data/catalogue/models";
import { findPartType } from "@/data/catalogue/part-types";
import type { Db } from "@/data/database/database";
import { claimsOf } from "@/data/diagnosis/diagnosis";
import { listFaults } from "@/data/diagnosis/faults";
import { faultOf } from "@/data/diagnosis/knowledge";
import { listSkipped } from "@/data/diagnosis/observations";
import { listKeptGauges } from "@/data/gauges/gauges";
import type { Job } from "@/data/jobs/jobs";
import { machineOf, typesInSeats } from "@/data/jobs/machine";
import { listLeftOut } from "@/data/jobs/pieces";
import { type DatesFrom, serviceDates } from "@/data/ledger/served";
import { invoiceName } from "@/data/papers/invoice-names";
import { listNotToBeHad } from "@/data/parts/no-longer-made";
import { oldBackOf } from "@/data/quote/old-back";
import { billedParts, costToPutRight, getBill } from "@/data/quote/quotes";
import { getShopSettings } from "@/data/shop/settings";
import { listCorrections } from "./corrections";

/** A reading as it is said; what a stand-in made up says so wherever it stands. */
const measured = ({ value, unit, simulated }: Observation, force: ForceUnit): string =>
  `${sayMeasure(value!, unit, force)}${simulated ? " (simulated)" : ""}`;

const words = (observation: Observation | undefined, skipped: string | undefined, force: ForceUnit): string =>
  observation
    ? observation.value === null
      ? observation.verdict
      : measured(observation, force)
    : skipped
      ? `not done: ${skipped}`
      : "not done, open";

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
      // A number without one before it proves little: that there is none is said.
      before:
        !before && after && !skips.has(`before ${spec.id}`) ? "not tested before" : words(before, skips.get(`before ${spec.id}`), force),
      after: words(after, skips.get(`after ${spec.id}`), force),
      change: before && after ? changeWords[compare(spec, before, after)] : "",
      simulated: Boolean(before?.simulated || after?.simulated),
      bars: before?.value != null && after?.value != null ? { before: before.value, after: after.value } : null,
    };
  });
}

/** Each complaint with the test that answers it. */
function answersOf(job: Job, tests: readonly TestSpec[], observations: readonly Observation[], force: ForceUnit): string[] {
  return job.intake.complaints.flatMap((complaint) => {
    const test = tests.find(({ id }) => id === testOfComplaint[complaint]);
    if (!test) return [];
    const of = (phase: "before" | "after") => observations.find((o) => o.testId === test.id && o.phase === phase);
    const [before, after] = [of("before"), of("after")];
    if (!after) return [];
    const said = (one: Observation) => (one.value === null ? one.verdict : `${measured(one, force)}, ${one.verdict}`);
    return [`“${complaints[complaint]}”: ${test.name} is ${said(after)} now${before ? `, was ${said(before)}` : ""}.`];
  });
}

/** Oils and greases used, in words: "light oil, 3 drops". */
const lubricantWords = (db: Db, job: Job, version: ModelVersion): string[] =>
  lubricantsUsed(db, job, version).map(({ product, drops, dabs }) =>
    [product, drops && `${drops} drop${drops === 1 ? "" : "s"}`, dabs && `${dabs} ${dabs === 1 ? "film or dab" : "films or dabs"}`]
      .filter(Boolean)
      .join(", "),
  );

/** How to look after it, by its water and by what it has been through. */
function careAdvice({ water, life }: Job["intake"]): string[] {
  return [
    "Back the drag off before you put the reel away; store it dry and at an even temperature.",
    water === "fresh"
      ? "Wipe it after each outing."
      : "Rinse gently with fresh water after each outing, wipe, and let it dry before it goes in a bag. Never a hard jet: it drives salt in.",
    ...(life.includes("kayak") ? ["From a kayak: once it was under, have it opened soon; the film inside lasts a season at most."] : []),
    ...(life.includes("stored") ? ["Grease hardens in years of standing: turn it through once a season."] : []),
  ];
}

export interface ReportDates extends DatesFrom {
  readonly opened: string;
  readonly closed: string | null;
}

/** Everything the owner's report prints, from the job's own pinned rates and version, priced by what was really fitted. */
export function getReport(db: Db, job: Job, dates: ReportDates): Report {
  const version = machineOf(db, job);
  const inSeats = typesInSeats(version);
  const positions = new Map(version.anatomy.positions.map((position) => [position.id, position]));
  const { sum, labour, extras } = getBill(db, job);
  const { steps } = getBuild(db, job, version);
  const observations = answersThatHold(db, job, steps);
  const oldBack = oldBackOf(db, [job.id]).get(job.id);
  const settings = getShopSettings(db);
  const skips = new Map(listSkipped(db, job.id).map(({ phase, testId, reason }) => [`${phase} ${testId}`, reason]));
  return {
    shopName: settings.shopName,
    tag: job.tag,
    owner: invoiceName(db, job.customer.id)?.name ?? job.customer.name,
    reel: job.reel.modelName,
    serial: job.reel.serial,
    hand: hands[job.reel.hand],
    openedOn: dates.opened,
    closedOn: dates.closed,
    complaint: [...job.intake.complaints.map((id) => complaints[id]), job.complaint].filter(Boolean).join("; "),
    asFound: asFoundWords(job.intake),
    declined: job.declinedReason,
    check:
      job.kind === "purchase-check"
        ? {
            claims: claimsOf(db, job).map(({ claim, standing, against, fits }) => ({
              claim: claims[claim],
              standing: standingWords[standing],
              because: [...against, ...fits].join("; "),
            })),
            putRight: costToPutRight(db, job).totalMinor,
          }
        : null,
    work: job.kind === "purchase-check" && !opensReel(job) ? null : workOf(db, job, version),
    answers: answersOf(job, protocolOfJob(version.model.family, job), observations, settings.shownForce),
    drawing: version.anatomy.positions.length ? overviewPlate(version.anatomy, version.partTypes) : null,
    findings: listFaults(db, job.id).map((finding) => {
      const fault = faultOf(db, finding.faultId);
      const name = fault?.name ?? finding.faultId;
      if (finding.outcome !== null) return { name, remedy: faultOutcomes[finding.outcome].said, minutes: 0 };
      const kept = oldBack?.get(finding.faultId);
      if (kept !== undefined) return { name, remedy: `not renewed, the old one went back: ${kept}`, minutes: 0 };
      const remedy = fault && remedyOn(fault, inSeats);
      return { name, remedy: remedy?.words ?? "", minutes: remedy?.minutes ?? 0 };
    }),
    parts: billedParts(db, job).map((part) => {
      const position = positions.get(part.positionId)!;
      const type = findPartType(db, part.partTypeId)!;
      return {
        number: part.source ? "" : part.number,
        words: part.offDonor
          ? `${part.positionName}, used, from a donor`
          : part.source
            ? `${part.positionName}, ${pieceSources[part.source].said}: ${sizeWords(type.shape)}, ${type.material}`
            : part.positionName,
        price: part.priceMinor,
        type,
        turned: position.turned,
      };
    }),
    inPlace: listInPlace(db, job.id).map(({ positionId, reason }) => ({ name: positions.get(positionId)?.name ?? positionId, reason })),
    lubricants: lubricantWords(db, job, version),
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
      ...listNotToBeHad(db, job.id).map(({ positionId, words: note }) => ({ name: positions.get(positionId)?.name ?? positionId, note })),
      ...listWells(db, job.id)
        .filter((well) => (well.verdict === "watch" || well.verdict === "worn") && !well.renewed)
        .map((well) => ({ name: positions.get(well.positionId)?.name ?? well.positionId, note: well.note })),
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
    advice: careAdvice(job.intake),
    corrections: listCorrections(db, job.id).map(({ at, words: said, amountMinor }) => ({
      on: dates.words(at),
      words: said,
      amount: amountMinor,
    })),
    fileHash: null,
    cameFor: pathWords(job),
    ...serviceDates(db, job, dates),
    price: {
      labour: sum.labourMinor,
      parts: sum.partsMinor,
      workLines: labour.map((line) => ({ words: line.words, fromList: line.priceMinor !== undefined })),
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
