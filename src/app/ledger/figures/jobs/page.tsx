import Link from "next/link";
import { today } from "@/app/server/clock";
import { rangeOf } from "@/app/server/range";
import { readerOf, readPage } from "@/app/server/reading";
import { type CountedJob, hourOf, jobsBehind } from "@/core/figures/figures";
import { formatMinor } from "@/core/money/money";
import { countedJobs } from "@/data/figures/counted-jobs";
import { watchesOf, watchNames } from "@/data/figures/drift";
import { Pager } from "@/ui/controls/pager";
import { dateWords } from "@/ui/dates";
import { LedgerRooms } from "@/ui/ledger/ledger-rooms";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";

export const metadata = { title: "Jobs behind a figure" };

const pageOf = 40;

export default async function FigureJobsPage({ searchParams }: { searchParams: Promise<Readonly<Record<string, string>>> }) {
  const db = await readPage("ledger");
  const asked = await searchParams;
  const watch = asked.watch ? watchesOf(db, today()).find(({ kind, id }) => kind === asked.watch && id === asked.id) : undefined;
  const owner = (await readerOf(db)).role === "owner";
  const range = watch ? { from: "1970-01-01", to: today() } : rangeOf(new URLSearchParams(asked));
  const all = countedJobs(db, range.from, range.to);
  const behind: readonly CountedJob[] =
    watch && (owner || watch.kind !== "person")
      ? all.filter(({ jobId }) => new Set(watch.jobIds).has(jobId))
      : jobsBehind(all, asked.figure ?? "");
  const newest = [...behind].reverse();
  const page = /^\d{1,5}$/.test(asked.page ?? "") ? Number(asked.page) : 0;
  const name = watch ? (watchNames(db).get(watch.id) ?? watch.id) : (asked.figure ?? "").replace(/^[a-z-]+:/, "");
  const href = (to: number) => `/ledger/figures/jobs?${new URLSearchParams({ ...asked, page: String(to) })}`;
  return (
    <Sheet
      fill
      act={
        <Link className="key" href={`/ledger/figures?from=${range.from}&to=${range.to}`}>
          Back to the figures
        </Link>
      }
      block={<CornerBlock cells={[{ label: "Jobs behind it", value: String(behind.length), large: true }]} />}
    >
      <LedgerRooms here="figures" />
      <h1>Jobs behind “{name || "all"}”</h1>
      <p className="text-note">
        {dateWords(range.from)} to {dateWords(range.to)}, newest first.
      </p>
      <div className="overflow-x-auto">
        <table className="plain-table mt-2">
          <thead>
            <tr>
              <th>Tag</th>
              <th>Owner</th>
              <th>Reel</th>
              <th>What for</th>
              <th>Returned</th>
              <th className="text-right">Minutes</th>
              <th className="text-right">Earned per hour</th>
              <th className="text-right">Total</th>
            </tr>
          </thead>
          <tbody>
            {newest.slice(page * pageOf, (page + 1) * pageOf).map((job) => {
              const hour = hourOf(job);
              return (
                <tr key={job.jobId}>
                  <td className="num">
                    <Link className="act-link" href={`/bench/${job.tag}`} prefetch={false}>
                      {job.tag}
                    </Link>
                  </td>
                  <td>{job.owner}</td>
                  <td>{job.reel}</td>
                  <td>{job.kind}</td>
                  <td>{dateWords(job.closedOn)}</td>
                  <td className="num text-right">{job.minutes ? Math.round(job.minutes) : ""}</td>
                  <td className="num text-right">{hour === null ? "" : formatMinor(Math.round(hour))}</td>
                  <td className="num text-right">{formatMinor(job.totalMinor)}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      <Pager page={page} more={newest.length > (page + 1) * pageOf} href={href} />
    </Sheet>
  );
}
