import { saying } from "@/core/account/sentences";
import type { ReelHistory } from "@/core/history/history";
import { seriesName } from "@/core/measures/measure-lines";
import { testOn } from "@/core/proving/protocol";
import { jobKinds } from "@/core/vocabulary/job-kinds";
import { pieceSources } from "@/core/vocabulary/piece-sources";
import { getAccount } from "@/data/account/job-acts";
import { listMeasuresOfJob } from "@/data/bench/measures";
import { listInPlace } from "@/data/bench/ways";
import { findModel } from "@/data/catalogue/models";
import { findReel } from "@/data/customers/reels";
import type { Db } from "@/data/database/database";
import { listFaults } from "@/data/diagnosis/faults";
import { faultOf } from "@/data/diagnosis/knowledge";
import { listObservations } from "@/data/diagnosis/observations";
import { listJobsOfReel } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { listFittedParts, listLeftOut } from "@/data/jobs/pieces";
import { listPastVisits } from "@/data/shop/bring-in";
import { getShopSettings } from "@/data/shop/settings";
import { lastServed } from "./served";

/** What is due next on a reel by component, each counted from when it was served here last; what never was is not among it. */
export function dueOfReel(db: Db, reelId: number, after: (fromIso: string, months: number) => string) {
  return lastServed(db, reelId).flatMap(({ id, component, what, months, because, byOwner, reels, job }) =>
    job?.closedAt ? [{ id, component, what, on: after(job.closedAt, months), because, byOwner, reels }] : [],
  );
}

/** Everything this bench knows of a reel, for its owner to keep or hand on; null when there is no such reel. */
export function getReelHistory(
  db: Db,
  reelId: number,
  dates: { readonly today: string; readonly after: (fromIso: string, months: number) => string },
): ReelHistory | null {
  const reel = findReel(db, reelId);
  const model = reel && findModel(db, reel.modelId);
  if (!reel || !model) return null;
  return {
    format: "zorbek-reel-history",
    version: 1,
    exportedOn: dates.today,
    shop: getShopSettings(db).shopName,
    reel: { maker: model.maker, model: model.name, serial: reel.serial, hand: reel.hand },
    before: listPastVisits(db, reelId).map(({ on, words }) => ({ on, words })),
    visits: listJobsOfReel(db, reelId)
      .reverse()
      .map((job) => {
        const names = new Map(machineOf(db, job).anatomy.positions.map((position) => [position.id, position.name]));
        return {
          tag: job.tag,
          takenInOn: job.openedAt.slice(0, 10),
          handedBackOn: job.closedAt?.slice(0, 10) ?? null,
          cameFor: jobKinds[job.kind],
          found: listFaults(db, job.id).map(({ faultId }) => faultOf(db, faultId)?.name ?? faultId),
          done: saying(getAccount(db, job).sentences, "done", "seals", "oil", "checks"),
          unrepaired: job.declinedReason,
          partsFitted: listFittedParts(db, job.id).map((part) => ({
            number: part.number,
            name: part.source ? `${part.name}, ${pieceSources[part.source].said}` : part.name,
            seat: part.positionName,
            used: part.offDonor,
          })),
          leftOut: listLeftOut(db, job.id).map(({ positionName, reason }) => ({ seat: positionName, reason })),
          servedInPlace: listInPlace(db, job.id).map(({ positionId, reason }) => ({ seat: names.get(positionId) ?? positionId, reason })),
          measured: listMeasuresOfJob(db, job.id).map((one) => ({
            name: seriesName(one, (id) => names.get(id) ?? id),
            phase: one.phase,
            value: one.value,
            low: one.low,
            high: one.high,
            unit: one.unit,
            says: one.says,
          })),
          measurements: listObservations(db, job.id).map((one) => ({
            test: testOn(model.family, one.testId).name,
            phase: one.phase,
            verdict: one.verdict,
            value: one.value,
            unit: one.unit,
            lineRadiusMm: one.lineRadiusMm,
            instrument: one.instrument,
            simulated: one.simulated,
          })),
        };
      }),
    next: dueOfReel(db, reelId, dates.after).map(({ component, what, on, because }) => ({ component, what, on, because })),
  };
}
