import Link from "next/link";
import { redirect } from "next/navigation";
import { z } from "zod";
import { readPage } from "@/app/server/reading";
import { reportedWords } from "@/core/intake/reported";
import { partOfBinLabel } from "@/core/ordering/bin-label";
import { type BenchAsk, type BenchRow, benchList, benchOrders } from "@/core/schedule/bench-list";
import { moves, moveWords } from "@/core/schedule/whose-move";
import { stations } from "@/core/vocabulary/job-kinds";
import { listOpenLots } from "@/data/counter/lots";
import type { Db } from "@/data/database/database";
import { findJobByTag } from "@/data/jobs/jobs";
import { workersOfJobs } from "@/data/jobs/workers";
import { listRack } from "@/data/schedule/rack";
import { BenchFinder } from "@/ui/bench/bench-finder";
import { BenchTable } from "@/ui/bench/bench-table";
import { stationNames } from "@/ui/bench/stations-words";
import { Sheet } from "@/ui/sheets/sheet";

export const metadata = { title: "Bench" };

const asked = z.object({
  tag: z.string().catch(""),
  station: z.enum(stations).nullable().catch(null),
  move: z.enum(moves).nullable().catch(null),
  person: z.string().min(1).nullable().catch(null),
  order: z.enum(benchOrders).catch("promised"),
});

/** Everything in the shop as the bench finds it again. */
function benchRows(db: Db, lots: ReadonlyMap<number, string>): BenchRow[] {
  const rack = listRack(db);
  const people = workersOfJobs(
    db,
    rack.map(({ job }) => job.id),
  );
  return rack.map(({ job, station, move, since, minutesLeft, promisedOn }) => ({
    ...{ tag: job.tag, station, move, since, minutesLeft, promisedOn },
    reel: job.reel.modelName,
    serial: job.reel.serial,
    owner: job.customer.name,
    phone: job.customer.phone,
    reported: reportedWords(job),
    lot: job.lotId === null ? null : (lots.get(job.lotId) ?? null),
    people: people.get(job.id) ?? [],
  }));
}

/** Which reel lies on the bench: scanned or typed, found by anything that is known of it, or taken from the list. */
export default async function BenchPage({ searchParams }: { searchParams: Promise<Record<string, string>> }) {
  const db = await readPage("jobs");
  const { tag: typed, ...narrowed } = asked.parse(await searchParams);
  const lots = listOpenLots(db);
  const rows = benchRows(db, new Map(lots.map((lot) => [lot.id, lot.name])));
  const isNarrowed = narrowed.station !== null || narrowed.move !== null || narrowed.person !== null;
  let message: string | null = null;
  let words = "";
  if (typed) {
    const binPart = partOfBinLabel(typed);
    if (binPart !== null) redirect(`/stores/walk?part=${encodeURIComponent(binPart)}`);
    const found = findJobByTag(db, typed);
    if ("job" in found) redirect(`/bench/${found.job.tag}`);
    const [only, ...others] = benchList(rows, { ...narrowed, words: typed });
    if (only && !others.length && !isNarrowed) redirect(`/bench/${only.tag}`);
    if (only) words = typed;
    else message = found.message;
  }
  const ask: BenchAsk = { ...narrowed, words };
  // The reels of a lot are found in it, until one is looked for.
  const shown = benchList(words || isNarrowed ? rows : rows.filter(({ lot }) => lot === null), ask);
  const people = [...new Set(rows.flatMap((row) => row.people))].sort();
  return (
    <Sheet fill>
      <div className="grid items-start gap-6 md:grid-cols-[320px_1fr]">
        <BenchFinder
          key={JSON.stringify(ask)}
          typed={typed}
          message={message}
          choices={[
            { name: "station", label: "Station", chosen: ask.station ?? "", of: stationNames },
            { name: "move", label: "Waiting on", chosen: ask.move ?? "", of: moveWords },
            { name: "person", label: "Worked on by", chosen: ask.person ?? "", of: Object.fromEntries(people.map((name) => [name, name])) },
          ]}
          also={ask.order === "promised" ? {} : { order: ask.order }}
        />
        <div className="min-w-0">
          {lots.length > 0 && !words && !isNarrowed && (
            <>
              <h2>Lots</h2>
              <ul className="mb-4">
                {lots.map((lot) => (
                  <li key={lot.id} className="rule-row py-1">
                    <Link className="act-link" href={`/bench/lot/${lot.id}`}>
                      {lot.name}
                    </Link>{" "}
                    {lot.customerName}, <span className="num">{lot.reels}</span> reels
                  </li>
                ))}
              </ul>
            </>
          )}
          <h2>
            {words || isNarrowed ? "Found" : "In the shop"} <span className="num text-note">{shown.length}</span>
            {(words || isNarrowed) && (
              <Link className="act-link ml-4 text-base font-normal" href="/bench">
                Show all
              </Link>
            )}
          </h2>
          {shown.length > 0 && <BenchTable rows={shown} ask={ask} />}
          {!shown.length && (
            <p className="mt-2">{rows.length ? "No reel here is like that." : "No reel in the shop. Check one in at the Counter."}</p>
          )}
        </div>
      </div>
    </Sheet>
  );
}
