import Link from "next/link";
import { today } from "@/app/server/clock";
import { readPage } from "@/app/server/reading";
import { addDays } from "@/core/day/day";
import { formatMinor } from "@/core/money/money";
import { paidHows, paperName } from "@/core/papers/papers";
import { afterClosing, takingsByWay } from "@/core/papers/takings";
import { closedDay, listTakings } from "@/data/papers/takings";
import { getShopSettings } from "@/data/shop/settings";
import { dateWords, dayWords } from "@/ui/dates";
import { CloseDay } from "@/ui/ledger/close-day";
import { LedgerRooms } from "@/ui/ledger/ledger-rooms";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";

export const metadata = { title: "Takings" };

/** Every payment of a day by its invoice, summed by the way it was paid; closed, it is kept as it was counted. */
export default async function TakingsPage({ searchParams }: { searchParams: Promise<{ day?: string }> }) {
  const db = await readPage("ledger");
  const { day: asked = "" } = await searchParams;
  const now = today();
  const day = /^\d{4}-\d{2}-\d{2}$/.test(asked) && asked <= now ? asked : now;
  const takings = listTakings(db, day);
  const closed = closedDay(db, day);
  const sums = closed?.sums ?? takingsByWay(takings);
  const late = closed ? afterClosing(takings, closed.lastPayment) : [];
  const total = sums.reduce((sum, { minor }) => sum + minor, 0);
  const { currency } = getShopSettings(db);
  return (
    <Sheet
      fill
      act={closed || takings.length === 0 ? null : <CloseDay day={day} words={`Close ${day === now ? "today" : dayWords(day)}`} />}
      block={
        <CornerBlock
          cells={[
            { label: `Taken, ${currency}`, value: formatMinor(total), large: true },
            { label: "Day", value: dayWords(day) },
          ]}
        />
      }
    >
      <LedgerRooms here="takings" />
      <nav aria-label="Days" className="flex flex-wrap items-center gap-6">
        <Link className="act-link inline-flex min-h-10 items-center" href={`/ledger/takings?day=${addDays(day, -1)}`}>
          The day before
        </Link>
        <strong>{dateWords(day)}</strong>
        {day < now && (
          <Link className="act-link inline-flex min-h-10 items-center" href={`/ledger/takings?day=${addDays(day, 1)}`}>
            The day after
          </Link>
        )}
        <a
          className="act-link inline-flex min-h-10 items-center"
          href={`/ledger/takings/sheet.pdf?day=${day}`}
          target="_blank"
          rel="noreferrer"
        >
          Print it
        </a>
      </nav>
      <div className="mt-3 grid gap-8 lg:grid-cols-[2fr_1fr]">
        {takings.length === 0 ? (
          <p>Nothing was paid on this day.</p>
        ) : (
          <table className="plain-table">
            <thead>
              <tr>
                <th>For</th>
                <th>Name</th>
                <th>How</th>
                <th className="text-right">{currency}</th>
              </tr>
            </thead>
            <tbody>
              {takings.map(({ payment, invoice, name, how, amountMinor }, i) => (
                <tr key={payment ?? `deposit ${i}`}>
                  <td>
                    {invoice === null ? (
                      "deposit at the counter"
                    ) : (
                      <Link className="act-link" href={`/ledger/papers/${invoice}`} prefetch={false}>
                        {paperName("invoice", invoice)}
                      </Link>
                    )}
                    {late.some((one) => one.payment === payment) && <span className="ml-2 text-note">after closing</span>}
                  </td>
                  <td>{name}</td>
                  <td>
                    {paidHows[how]}
                    {amountMinor < 0 && ", paid back"}
                  </td>
                  <td className="num text-right">{formatMinor(amountMinor)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
        <section>
          <h2>{closed ? "As it was closed" : "So far"}</h2>
          <table className="plain-table mt-2">
            <tbody>
              {sums.map(({ how, minor }) => (
                <tr key={how}>
                  <td>{paidHows[how]}</td>
                  <td className="num text-right">{formatMinor(minor)}</td>
                </tr>
              ))}
              <tr>
                <td className="font-semibold">Together</td>
                <td className="num text-right font-semibold">{formatMinor(total)}</td>
              </tr>
            </tbody>
          </table>
          {closed && (
            <p className="mt-2">
              Closed {dateWords(closed.at)} by {closed.person}.{" "}
              {late.length > 0 &&
                `Since then ${formatMinor(late.reduce((sum, { amountMinor }) => sum + amountMinor, 0))} ${currency} more.`}
            </p>
          )}
        </section>
      </div>
    </Sheet>
  );
}
