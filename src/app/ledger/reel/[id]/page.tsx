import Link from "next/link";
import { notFound } from "next/navigation";
import { today } from "@/app/server/clock";
import { shownSeries } from "@/app/server/measures";
import { readPage } from "@/app/server/reading";
import { partsByAge } from "@/core/history/parts-by-age";
import { takenForWords } from "@/core/intake/taken-for";
import { formatMinor } from "@/core/money/money";
import { protocolFor } from "@/core/proving/protocol";
import { sayFigures, shownUnit, shownValue } from "@/core/units/say-measure";
import { listMeasuresOfReel } from "@/data/bench/measures";
import { findModel } from "@/data/catalogue/models";
import { findReel, takenFor } from "@/data/customers/reels";
import { listFaults } from "@/data/diagnosis/faults";
import { faultOf } from "@/data/diagnosis/knowledge";
import { listObservations } from "@/data/diagnosis/observations";
import { listJobsOfReel } from "@/data/jobs/jobs";
import { machineOf } from "@/data/jobs/machine";
import { listFittedParts } from "@/data/jobs/pieces";
import { recordOfModel } from "@/data/ledger/model-record";
import { dueOfReel } from "@/data/ledger/reel-history";
import { ownersOfReel, picturesOfReel } from "@/data/ledger/reel-past";
import { listDonorSeats, listPiecesOfDonor } from "@/data/parts/donors";
import { listPastVisits } from "@/data/shop/bring-in";
import { getShopSettings } from "@/data/shop/settings";
import { HistoryChart } from "@/ui/charts/history-chart";
import { MeasureSeries } from "@/ui/charts/measure-series";
import { dateWords, monthsAfter } from "@/ui/dates";
import { OwnerForm } from "@/ui/ledger/owner-form";
import { ReelTimeline } from "@/ui/ledger/reel-timeline";
import { ScrapForm } from "@/ui/ledger/scrap-form";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";

export const metadata = { title: "Reel" };

/** All visits of one reel, newest first, with what was measured before and after each. */
export default async function ReelPage({ params }: { params: Promise<{ id: string }> }) {
  const db = await readPage("ledger");
  const reel = findReel(db, Number((await params).id));
  if (!reel) notFound();
  const visits = listJobsOfReel(db, reel.id).map((job) => ({
    job,
    findings: listFaults(db, job.id).map((finding) => faultOf(db, finding.faultId)?.name ?? finding.faultId),
    fitted: listFittedParts(db, job.id),
    observations: listObservations(db, job.id),
  }));
  const reading = (visit: (typeof visits)[number], testId: string, phase: "before" | "after") => {
    const found = visit.observations.find((o) => o.testId === testId && o.phase === phase);
    return found
      ? found.value === null
        ? found.verdict
        : `${sayFigures(found.value, found.unit, force)}${found.simulated ? " (simulated)" : ""}`
      : "–";
  };
  const protocol = protocolFor(findModel(db, reel.modelId)!.family);
  const radius = visits[0] ? machineOf(db, visits[0].job).lineRadiusMm : null;
  const record = radius === null ? null : recordOfModel(db, reel.modelId, radius);
  const owners = ownersOfReel(db, reel.id);
  const pictures = picturesOfReel(db, reel.id, 12);
  const given = listPiecesOfDonor(db, reel.id);
  const force = getShopSettings(db).shownForce;
  const taken = takenForWords(takenFor(db, reel.id));
  const oldestFirst = [...visits].reverse();
  const due = dueOfReel(db, reel.id, monthsAfter);
  const past = listPastVisits(db, reel.id);
  const measured = listMeasuresOfReel(db, reel.id);
  // Of every visit's machine, for names; none is opened where nothing was measured.
  const seats = new Map(
    (measured.length ? visits : []).flatMap(({ job }) =>
      machineOf(db, job).anatomy.positions.map((position) => [position.id, position] as const),
    ),
  );
  const measures = shownSeries(measured, [...seats.values()]);
  const ages = partsByAge(
    visits.flatMap(({ job, fitted }) =>
      fitted.map((part) => ({ seat: part.positionName, on: (job.closedAt ?? job.openedAt).slice(0, 10) })),
    ),
  );
  return (
    <Sheet
      fill
      block={
        <CornerBlock
          cells={[
            { label: "Serial", value: reel.serial || "none", large: true },
            { label: "Reel", value: reel.modelName },
            { label: "Owner", value: reel.ownerName },
            { label: "Visits", value: String(reel.visits) },
            ...(taken ? [{ label: "Taken for", value: taken }] : []),
          ]}
        />
      }
    >
      <h1>
        {reel.modelName}, {reel.hand} hand
      </h1>
      {visits.length > 0 && (
        <ReelTimeline
          today={today()}
          visits={oldestFirst.map(({ job }) => ({
            tag: job.tag,
            on: job.openedAt.slice(0, 10),
            words: dateWords(job.openedAt),
            open: job.closedAt === null,
          }))}
          due={due.map(({ id, on, component, reels }) => ({
            id,
            on,
            words: `${component} ${dateWords(on)} (${reels ? `from ${reels} such reels` : "rule of thumb"})`,
          }))}
        />
      )}
      <p className="flex flex-wrap gap-2">
        <a className="key key-small" href={`/ledger/reel/${reel.id}/history.pdf`} target="_blank" rel="noreferrer">
          History on paper
        </a>
        <a className="key key-small" href={`/ledger/reel/${reel.id}/history.json`}>
          History as a file
        </a>
      </p>
      {owners.length > 1 && (
        <p className="mt-2">
          Owners:{" "}
          {owners.map(({ name, customerId, first, last }, i) => (
            <span key={`${customerId} ${first}`}>
              {i > 0 && ", then "}
              <Link className="act-link" href={`/ledger?customer=${customerId}`} prefetch={false}>
                {name}
              </Link>{" "}
              ({dateWords(first)}
              {last !== first && ` to ${dateWords(last)}`})
            </span>
          ))}
        </p>
      )}
      <p className="mt-2">
        <Link className="act-link inline-flex min-h-10 items-center" href={`/library/${reel.modelId}/record`} prefetch={false}>
          What is known of such reels
        </Link>
      </p>
      {pictures.length > 0 && (
        <ul aria-label="Pictures" className="my-2 flex flex-wrap gap-2">
          {pictures.map(({ hash, tag, at }) => (
            <li key={hash}>
              <a href={`/api/photos/${hash}`} target="_blank" rel="noreferrer">
                {/* biome-ignore lint/performance/noImgElement: the shop's own pictures are served as they are kept */}
                <img
                  src={`/api/photos/${hash}`}
                  alt={`Taken at ${tag}, ${dateWords(at)}`}
                  className="h-24 border border-current"
                  loading="lazy"
                />
              </a>
            </li>
          ))}
        </ul>
      )}
      <OwnerForm reelId={reel.id} />
      {ages.length > 0 && (
        <p className="mt-2">
          New parts by age: {ages.map(({ seat, on, times }) => `${seat} ${dateWords(on)}${times > 1 ? `, ${times} times` : ""}`).join("; ")}
          . The age of the other parts is not known.
        </p>
      )}
      {oldestFirst.length > 1 && (
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
      )}
      {past.length > 0 && (
        <section aria-label="Before this book">
          <h2>Before this book</h2>
          <ul>
            {past.map(({ id, on, words, paidMinor }) => (
              <li key={id} className="rule-row py-1">
                {[on ? dateWords(on) : "day not known", words, paidMinor === null ? "" : `paid ${formatMinor(paidMinor)}`]
                  .filter(Boolean)
                  .join(", ")}
              </li>
            ))}
          </ul>
        </section>
      )}
      {measures.length > 0 && (
        <section aria-label="Measured" className="my-3">
          <h2>Measured over the visits</h2>
          <MeasureSeries measures={measures} />
        </section>
      )}
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
      {given.length > 0 ? (
        <div className="mt-4">
          <h2>Scrapped for parts</h2>
          <ul className="columns-1 gap-8 lg:columns-2">
            {given.map((piece) => (
              <li key={piece.id} className="rule-row py-1">
                <span className="num">{piece.number}</span> {piece.name}, {piece.condition}
                {piece.drawer && `, drawer ${piece.drawer}`}:{" "}
                {piece.usedTag ? (
                  <Link className="act-link num" href={`/bench/${piece.usedTag}`}>
                    went into {piece.usedTag}
                  </Link>
                ) : (
                  "in its drawer"
                )}
              </li>
            ))}
          </ul>
        </div>
      ) : (
        !visits.some((visit) => !visit.job.closedAt) && <ScrapForm reelId={reel.id} seats={listDonorSeats(db, reel.id)} />
      )}
    </Sheet>
  );
}
