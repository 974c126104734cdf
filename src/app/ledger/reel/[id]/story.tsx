import Link from "next/link";
import { shownSeries } from "@/app/server/measures";
import { formatMinor } from "@/core/money/money";
import { listMeasuresOfReel } from "@/data/bench/measures";
import type { Db } from "@/data/database/database";
import { machineOf } from "@/data/jobs/machine";
import { ownersOfReel, picturesOfReel } from "@/data/ledger/reel-past";
import { listDonorSeats, listPiecesOfDonor } from "@/data/parts/donors";
import { listPastVisits } from "@/data/shop/bring-in";
import { MeasureSeries } from "@/ui/charts/measure-series";
import { dateWords } from "@/ui/dates";
import { ScrapForm } from "@/ui/ledger/scrap-form";
import type { Visit } from "./visits";

interface OfReel {
  readonly db: Db;
  readonly reelId: number;
}

/** Whose it was, where it was more than one person's. */
export function Owners({ db, reelId }: OfReel) {
  const owners = ownersOfReel(db, reelId);
  if (owners.length < 2) return null;
  return (
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
  );
}

/** Its last pictures, each with the job it was taken at. */
export function Pictures({ db, reelId }: OfReel) {
  const pictures = picturesOfReel(db, reelId, 12);
  if (!pictures.length) return null;
  return (
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
  );
}

/** Visits from before this book, as they were brought in. */
export function BeforeThisBook({ db, reelId }: OfReel) {
  const past = listPastVisits(db, reelId);
  if (!past.length) return null;
  return (
    <section aria-label="Earlier history">
      <h2>Earlier history</h2>
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
  );
}

/** What was measured over the visits, seat by seat. */
export function Measured({ db, reelId, visits }: OfReel & { visits: readonly Visit[] }) {
  const measured = listMeasuresOfReel(db, reelId);
  // Of every visit's machine, for names; none is opened where nothing was measured.
  const seats = new Map(
    (measured.length ? visits : []).flatMap(({ job }) =>
      machineOf(db, job).anatomy.positions.map((position) => [position.id, position] as const),
    ),
  );
  const measures = shownSeries(measured, [...seats.values()]);
  if (!measures.length) return null;
  return (
    <section aria-label="Measured" className="my-3">
      <h2>Measured over the visits</h2>
      <MeasureSeries measures={measures} />
    </section>
  );
}

/** What it gave as a donor; or the way to scrap it, while it does not hang here. */
export function Scrapping({ db, reelId, here }: OfReel & { here: boolean }) {
  const given = listPiecesOfDonor(db, reelId);
  if (!given.length) return here ? null : <ScrapForm reelId={reelId} seats={listDonorSeats(db, reelId)} />;
  return (
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
  );
}
