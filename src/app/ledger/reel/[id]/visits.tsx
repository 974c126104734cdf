import Link from "next/link";
import { formatMinor } from "@/core/money/money";
import type { protocolFor } from "@/core/proving/protocol";
import type { ForceUnit } from "@/core/units/say-measure";
import { sayFigures, shownUnit, shownValue } from "@/core/units/say-measure";
import type { Reel } from "@/data/customers/reels";
import type { Db } from "@/data/database/database";
import { listFaults } from "@/data/diagnosis/faults";
import { faultOf } from "@/data/diagnosis/knowledge";
import { listObservations } from "@/data/diagnosis/observations";
import { listJobsOfReel } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { listFittedParts } from "@/data/jobs/pieces";
import { recordOfModel } from "@/data/ledger/model-record";
import { HistoryChart } from "@/ui/charts/history-chart";
import { dateWords } from "@/ui/dates";

/** A visit of a reel with what was found, fitted and measured. */
export const visitsOf = (db: Db, reelId: number) =>
  listJobsOfReel(db, reelId).map((job) => ({
    job,
    findings: listFaults(db, job.id).map((finding) => faultOf(db, finding.faultId)?.name ?? finding.faultId),
    fitted: listFittedParts(db, job.id),
    observations: listObservations(db, job.id),
  }));
export type Visit = ReturnType<typeof visitsOf>[number];
interface Shown {
  readonly visits: readonly Visit[];
  readonly protocol: ReturnType<typeof protocolFor>;
  readonly force: ForceUnit;
}

/** Visit by visit: what was found and fitted, each test before and after, what was paid. */
export function VisitsTable({ visits, protocol, force }: Shown) {
  const reading = (visit: Visit, testId: string, phase: "before" | "after") => {
    const found = visit.observations.find((o) => o.testId === testId && o.phase === phase);
    return found
      ? found.value === null
        ? found.verdict
        : `${sayFigures(found.value, found.unit, force)}${found.simulated ? " (simulated)" : ""}`
      : "–";
  };
  return (
    <table className="plain-table mt-2">
      <thead>
        <tr>
          <th>Visit</th>
          <th>Found</th>
          <th>Parts fitted</th>
          {protocol.map(({ id, name, unit }) => (
            <th key={id}>
              {name}
              {unit && `, ${shownUnit(unit, force)}`}
            </th>
          ))}
          <th className="text-right">Paid</th>
        </tr>
      </thead>
      <tbody>
        {visits.map((visit) => (
          <tr key={visit.job.id}>
            <td>
              {dateWords(visit.job.openedAt)}
              <Link className="act-link num block whitespace-nowrap" href={`/bench/${visit.job.tag}`}>
                {visit.job.tag}
              </Link>
              {!visit.job.closedAt && "in the shop now"}
            </td>
            <td>
              {visit.findings.join("; ") || "–"}
              {visit.job.declinedReason !== null && <span className="block">Returned unrepaired: {visit.job.declinedReason}</span>}
            </td>
            <td>{visit.fitted.map((part) => part.positionName).join(", ") || "–"}</td>
            {protocol.map(({ id }) => (
              <td key={id} className="num whitespace-nowrap">
                {reading(visit, id, "before")} → <strong className="font-medium">{reading(visit, id, "after")}</strong>
              </td>
            ))}
            <td className="num text-right">{visit.job.finalTotalMinor === null ? "–" : formatMinor(visit.job.finalTotalMinor)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Each test over the visits, beside what such reels leave with. @param visits the oldest first. */
export function VisitsChart({ db, reel, visits: oldestFirst, protocol, force }: Shown & { db: Db; reel: Reel }) {
  const last = oldestFirst.at(-1);
  const radius = last ? machineOf(db, last.job).lineRadiusMm : null;
  const record = radius === null ? null : recordOfModel(db, reel.modelId, radius);
  return (
    <div className="my-3 max-w-4xl">
      <HistoryChart
        visits={oldestFirst.map((visit) => dateWords(visit.job.openedAt))}
        series={protocol.flatMap((spec) => {
          const values = (phase: "before" | "after") =>
            oldestFirst
              .map((visit) => visit.observations.find((o) => o.testId === spec.id && o.phase === phase && !o.simulated)?.value ?? null)
              .map((value) => (value === null ? null : shownValue(value, spec.unit, force)));
          const usual = record?.get(spec.id);
          return spec.unit
            ? [
                {
                  id: spec.id,
                  name: spec.name,
                  unit: shownUnit(spec.unit, force),
                  before: values("before"),
                  after: values("after"),
                  usual: usual
                    ? { low: shownValue(usual.low, spec.unit, force), high: shownValue(usual.high, spec.unit, force), jobs: usual.jobs }
                    : null,
                },
              ]
            : [];
        })}
      />
    </div>
  );
}
