import Link from "next/link";
import { today } from "@/app/server/clock";
import { rangeOf } from "@/app/server/range";
import { readerOf, readPage } from "@/app/server/reading";
import { dayOfNumber } from "@/core/day/day";
import { falseAlarmMonths, type Watch } from "@/core/drift/watches";
import { comebacksByCause, type Figure, figuresBy, monthsOf, waitFigures } from "@/core/figures/figures";
import { formatMinor } from "@/core/money/money";
import { verdictOf } from "@/core/promise/backtest";
import { countedJobs } from "@/data/figures/counted-jobs";
import { watchesOf, watchNames } from "@/data/figures/drift";
import { stockFigures } from "@/data/figures/stock-figures";
import { listSaidDays } from "@/data/promise/said";
import { getShopSettings } from "@/data/shop/settings";
import { dateWords } from "@/ui/dates";
import { MonthBars, SpreadBars } from "@/ui/ledger/figure-bars";
import { LedgerRooms } from "@/ui/ledger/ledger-rooms";
import { RangeForm } from "@/ui/ledger/range-form";
import { chanceWords } from "@/ui/promise/bench-to-ask";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";

export const metadata = { title: "Figures" };

export default async function FiguresPage({ searchParams }: { searchParams: Promise<Readonly<Record<string, string>>> }) {
  const db = await readPage("ledger");
  const asked = await searchParams;
  const { from, to } = rangeOf(new URLSearchParams(asked));
  const day = today();
  const jobs = countedJobs(db, from, to);
  const { currency, promiseChance } = getShopSettings(db);
  const times = `from=${from}&to=${to}`;
  const behind = (id: string) => `/ledger/figures/jobs?${times}&figure=${encodeURIComponent(id)}`;
  const saidDays = listSaidDays(db, day, from);
  const dates = verdictOf(saidDays, promiseChance);
  const truly = saidDays.filter(({ afterwards }) => !afterwards).length;
  const owner = (await readerOf(db)).role === "owner";
  const watched = watchesOf(db, day).filter(({ kind }) => owner || kind !== "person");
  const alarms = watched.filter(({ alarm }) => alarm !== null);
  const names = watchNames(db);
  const stock = stockFigures(db, from, to);
  const cost = (minor: number) => formatMinor(Math.round(minor));
  const inDays = (days: number) => days.toFixed(1);
  const times10 = (share: number) => share.toFixed(2);
  return (
    <Sheet fill block={<CornerBlock cells={[{ label: "Jobs in this period", value: String(jobs.length), large: true }]} />}>
      <LedgerRooms here="figures" />
      <RangeForm page="/ledger/figures" from={from} to={to}>
        <a className="act-link ml-4 inline-flex min-h-10 items-center" href={`/ledger/figures/figures.csv?${times}`}>
          These figures (CSV)
        </a>
        <a className="act-link inline-flex min-h-10 items-center" href={`/ledger/figures/jobs.csv?${times}`}>
          The jobs behind them (CSV)
        </a>
      </RangeForm>
      {jobs.length === 0 ? (
        <p className="mt-4">No reel was returned in this period. Choose another period.</p>
      ) : (
        <div className="mt-2 grid gap-8 lg:grid-cols-2">
          <div className="min-w-0">
            <h2>Month by month</h2>
            <MonthBars
              months={monthsOf(jobs, from, to).map((month) => ({ ...month, href: behind(month.id), sum: cost(month.totalMinor) }))}
              currency={currency}
            />
            <h2 className="mt-4">Earned per bench hour, {currency}</h2>
            <p className="text-note">Labour only, before tax, by the stations' clocks. Bar: middle half of the jobs; mark: median.</p>
            <SpreadBars rows={rowsOf(figuresBy(jobs, "hour-kind"), behind, cost)} of="Kind of job" inWords={cost} />
            <SpreadBars rows={rowsOf(figuresBy(jobs, "hour-family"), behind, cost)} of="Family" inWords={cost} />
          </div>
          <div className="min-w-0">
            <h2>Promised dates</h2>
            {dates.jobs < 10 ? (
              <p>Ten finished jobs are needed to tell how often promised dates are kept; there are {dates.jobs} so far.</p>
            ) : (
              <>
                <p>
                  Of {dates.jobs} dates promised at {chanceWords(promiseChance)},{" "}
                  <strong>
                    <span className="num">{Math.round(dates.held)}</span> % were kept
                  </strong>
                  .
                  {truly < dates.jobs &&
                    (truly === 0
                      ? " All are worked out afterwards, from what was known when each reel came in."
                      : ` ${truly} of them were promised at the counter; the others are worked out afterwards, from what was known then.`)}
                </p>
                <p className="text-note">
                  Average error of the promised date: {dates.loss.toFixed(2)} days (pinball loss). Always promising a week would give{" "}
                  {dates.lossOfSeven.toFixed(2)}, always the usual time {dates.lossOfMean.toFixed(2)}.
                </p>
              </>
            )}
            <h2 className="mt-4">Time taken against the quote</h2>
            <p className="text-note">1.0 = as quoted (the thin line); 1.2 = 20 % longer.</p>
            <SpreadBars rows={rowsOf(figuresBy(jobs, "took-kind"), behind, times10)} mark={1} of="Kind of job" inWords={times10} />
            <h2 className="mt-4">Days waiting, and on whom</h2>
            <p className="text-note">Bar: middle half of the jobs; mark: median.</p>
            <SpreadBars rows={rowsOf(waitFigures(jobs), behind, inDays)} of="Waiting on" inWords={inDays} />
            <h2 className="mt-4">Comebacks by cause</h2>
            {comebacksByCause(jobs).length === 0 ? (
              <p>None came back in this period.</p>
            ) : (
              <table className="plain-table">
                <tbody>
                  {comebacksByCause(jobs).map(({ id, group, jobs: n }) => (
                    <tr key={id}>
                      <td>
                        <Link className="act-link" href={behind(id)} prefetch={false}>
                          {group}
                        </Link>
                      </td>
                      <td className="num text-right">{n}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            )}
            <h2 className="mt-4">Suppliers and stock</h2>
            <table className="plain-table">
              <tbody>
                {stock.suppliers.map(({ id, name, orders, spentMinor, middleDays }) => (
                  <tr key={id}>
                    <td>
                      <Link className="act-link" href="/stores/suppliers" prefetch={false}>
                        {name}
                      </Link>
                    </td>
                    <td className="num text-right">{orders === 1 ? "1 order" : `${orders} orders`}</td>
                    <td className="num text-right">{middleDays === null ? "" : `${middleDays.toFixed(0)} days`}</td>
                    <td className="num text-right">{cost(spentMinor)}</td>
                  </tr>
                ))}
                <tr>
                  <td>
                    <Link className="act-link" href="/stores/bins" prefetch={false}>
                      Value of stock in bins
                    </Link>
                  </td>
                  <td />
                  <td className="num text-right">{stock.pieces} pieces</td>
                  <td className="num text-right">{cost(stock.worthMinor)}</td>
                </tr>
              </tbody>
            </table>
            <h2 className="mt-4">Monitored</h2>
            <p className="text-note">
              {watched.length
                ? `${watched.length === 1 ? "1 figure is" : `${watched.length} figures are`} monitored (about one false alarm in ${falseAlarmMonths / 12} years).`
                : "Nothing to monitor yet: it starts with the first figures that repeat."}
            </p>
            {alarms.length === 0 ? (
              watched.length > 0 && <p>All steady.</p>
            ) : (
              <ul>
                {alarms.map((watch) => (
                  <li key={`${watch.kind} ${watch.id}`} className="rule-row py-1">
                    {driftWords(watch, names)}{" "}
                    <Link
                      className="act-link"
                      href={`/ledger/figures/jobs?watch=${watch.kind}&id=${encodeURIComponent(watch.id)}`}
                      prefetch={false}
                    >
                      The jobs behind it
                    </Link>
                  </li>
                ))}
              </ul>
            )}
          </div>
        </div>
      )}
    </Sheet>
  );
}

const rowsOf = (figures: readonly Figure[], behind: (id: string) => string, words: (value: number) => string) =>
  figures.slice(0, 10).map(({ id, group, spread }) => ({
    id,
    group,
    href: behind(id),
    ...spread,
    words: words(spread.middle),
  }));

/** What a watch found, in a sentence. */
function driftWords({ kind, id, alarm, seen, expected }: Watch, names: ReadonlyMap<string, string>): string {
  const name = names.get(id) ?? id;
  const since = dateWords(dayOfNumber(alarm!.since));
  if (kind === "supplier")
    return `Drag washers from ${name} wear early since about ${since}: ${seen} were worn where ${expected.toFixed(1)} were to be expected.`;
  if (kind === "model")
    return `The drag of ${name} falls since about ${since}: it leaves with ${Math.round(100 * (1 - seen))} % less than before.`;
  return `Work of ${name} comes back more often since about ${since}: ${seen} where ${expected.toFixed(1)} were to be expected. Something to look at together, nothing more.`;
}
