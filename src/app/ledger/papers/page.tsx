import Link from "next/link";
import { today } from "@/app/server/clock";
import { rangeOf } from "@/app/server/range";
import { readPage } from "@/app/server/reading";
import { formatMinor } from "@/core/money/money";
import { ages, paperName } from "@/core/papers/papers";
import { listPapers, openByAge, taxByMonth } from "@/data/papers/book-of-papers";
import { getShopSettings } from "@/data/shop/settings";
import { Pager } from "@/ui/controls/pager";
import { dateWords } from "@/ui/dates";
import { LedgerRooms } from "@/ui/ledger/ledger-rooms";
import { RangeForm } from "@/ui/ledger/range-form";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";

export const metadata = { title: "Papers" };

const pageOf = 25;
type Query = { readonly q?: string; readonly open?: string; readonly page?: string; readonly from?: string; readonly to?: string };

export default async function PapersPage({ searchParams }: { searchParams: Promise<Query> }) {
  const db = await readPage("ledger");
  const query = await searchParams;
  const day = today();
  const text = (query.q ?? "").slice(0, 60).trim();
  const openOnly = query.open === "1";
  const page = /^\d{1,6}$/.test(query.page ?? "") ? Number(query.page) : 0;
  const papers = listPapers(db, { text, openOnly }, day, pageOf + 1, page * pageOf);
  const open = openByAge(db, day);
  const openSum = [...open.values()].reduce((sum, { minor }) => sum + minor, 0);
  const { currency } = getShopSettings(db);
  const range = rangeOf(new URLSearchParams(query as Record<string, string>));
  const taxes = taxByMonth(db, range.from, range.to);
  const address = (change: Partial<Query>) => {
    const next = new URLSearchParams(
      Object.entries({ ...query, ...change }).filter((entry): entry is [string, string] => Boolean(entry[1])),
    );
    return next.size ? `/ledger/papers?${next}` : "/ledger/papers";
  };
  const times = `from=${range.from}&to=${range.to}`;
  return (
    <Sheet fill block={<CornerBlock cells={[{ label: `Open, ${currency}`, value: formatMinor(openSum), large: true }]} />}>
      <LedgerRooms here="papers" />
      <div className="grid gap-8 lg:grid-cols-[3fr_2fr]">
        <div>
          <RangeForm page="/ledger/papers" {...range} />
          {papers.length === 0 ? (
            <p className="mt-2">
              {text || openOnly ? "No invoice matches." : "The first invoice is made when the first reel is returned."}
            </p>
          ) : (
            <table className="plain-table mt-2">
              <thead>
                <tr>
                  <th>Number</th>
                  <th>Day</th>
                  <th>Name</th>
                  <th className="text-right">Total</th>
                  <th className="text-right">Open</th>
                  <th>Age</th>
                </tr>
              </thead>
              <tbody>
                {papers.slice(0, pageOf).map((paper) => (
                  <tr key={paper.number}>
                    <td className="num whitespace-nowrap">
                      <Link className="act-link" href={`/ledger/papers/${paper.number}`} prefetch={false}>
                        {paperName(paper.kind, paper.number)}
                      </Link>
                    </td>
                    <td>{dateWords(paper.onDay)}</td>
                    <td>{paper.name ?? "name deleted (retention period over)"}</td>
                    <td className="num text-right">
                      {formatMinor(paper.totalMinor)} {paper.currency}
                    </td>
                    <td className="num text-right">{paper.openMinor ? formatMinor(paper.openMinor) : ""}</td>
                    <td>{paper.openMinor < 0 ? "to pay back" : (paper.age ?? "")}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
          <Pager page={page} more={papers.length > pageOf} href={(to) => address({ page: to ? String(to) : "" })} />
        </div>
        <div>
          <h2>Unpaid, by age</h2>
          <table className="plain-table">
            <tbody>
              {ages.map((age) => (
                <tr key={age}>
                  <td>{age}</td>
                  <td className="num text-right">{open.get(age)?.papers ?? 0}</td>
                  <td className="num text-right">{formatMinor(open.get(age)?.minor ?? 0)}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <h2 className="mt-4">Tax by month and rate</h2>
          <form action="/ledger/papers" className="flex items-end gap-2">
            <label className="flex flex-col">
              <span className="text-note">From</span>
              <input type="date" name="from" defaultValue={range.from} />
            </label>
            <label className="flex flex-col">
              <span className="text-note">to</span>
              <input type="date" name="to" defaultValue={range.to} />
            </label>
            <button type="submit" className="key key-small">
              Show
            </button>
          </form>
          <table className="plain-table mt-2">
            <thead>
              <tr>
                <th>Month</th>
                <th className="text-right">Rate</th>
                <th className="text-right">Papers</th>
                <th className="text-right">Before tax</th>
                <th className="text-right">Tax</th>
              </tr>
            </thead>
            <tbody>
              {taxes.map((row) => (
                <tr key={`${row.month} ${row.tax} ${row.currency}`}>
                  <td className="num">{row.month}</td>
                  <td className="num text-right">{row.tax / 100} %</td>
                  <td className="num text-right">{row.papers}</td>
                  <td className="num text-right">{formatMinor(row.netMinor)}</td>
                  <td className="num text-right">
                    {formatMinor(row.taxMinor)} {row.currency}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="mt-2 flex flex-wrap gap-x-6">
            <a className="act-link inline-flex min-h-10 items-center" href={`/ledger/papers/papers.csv?${times}`}>
              Invoices for this period (CSV)
            </a>
            <a className="act-link inline-flex min-h-10 items-center" href={`/ledger/papers/payments.csv?${times}`}>
              Payments for this period (CSV)
            </a>
          </p>
        </div>
      </div>
    </Sheet>
  );
}
