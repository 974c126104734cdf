import { readPage } from "@/app/server/reading";
import { findCustomer } from "@/data/customers/customers";
import { cardOf } from "@/data/customers/merge";
import { countReels, listReels, listReelsByIds } from "@/data/customers/reels";
import { findAnything } from "@/data/database/find";
import { faultNamer } from "@/data/diagnosis/knowledge";
import { findBy, reelsFoundBy } from "@/data/ledger/reel-past";
import { Pager } from "@/ui/controls/pager";
import { NewCustomer } from "@/ui/ledger/customer-form";
import { LedgerRooms } from "@/ui/ledger/ledger-rooms";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";
import { address, type Query, whole } from "./address";
import { By, FoundBy, Hits, Reels } from "./found";
import { JournalColumn } from "./journal-column";
import { OneCustomer } from "./one-customer";
import { ReturnedLast } from "./returned-last";

export const metadata = { title: "Ledger" };

/** Reels or hits on one page. */
const pageOf = 25;

export default async function LedgerPage({ searchParams }: { searchParams: Promise<Query> }) {
  const db = await readPage("ledger");
  const query = await searchParams;
  const customer = query.customer ? findCustomer(db, cardOf({ db }, whole(query.customer))) : null;
  const text = (query.q ?? "").slice(0, 80).trim();
  const page = whole(query.page);
  // One more than is shown tells whether there is another page.
  const hits = text && !customer ? findAnything(db, text, pageOf + 1, ["reel", "customer", "job"], page * pageOf) : null;
  const owner = customer ? { ownerId: customer.id } : {};
  const by = query.fault ? ({ by: "fault", id: query.fault } as const) : query.part ? ({ by: "part", id: query.part } as const) : null;
  const named = faultNamer(db);
  const foundBy = text && !customer && page === 0 ? findBy(db, text, (id) => named(id)?.name ?? id) : [];
  const reels = by
    ? listReelsByIds(db, reelsFoundBy(db, by.by, by.id.slice(0, 80), pageOf + 1, page * pageOf))
    : hits
      ? []
      : listReels(db, { ...owner, limit: pageOf + 1, offset: page * pageOf });
  const onPage = (hits ?? reels).length;
  return (
    <Sheet fill block={<CornerBlock cells={[{ label: "Reels on record", value: String(countReels(db, customer?.id)), large: true }]} />}>
      <LedgerRooms here="book" />
      <div className="grid gap-8 lg:grid-cols-[1fr_1fr]">
        <div>
          {customer ? (
            <OneCustomer db={db} customer={customer} />
          ) : (
            <>
              <h1>Ledger</h1>
              <form action="/ledger" className="mt-1 flex items-end gap-2">
                <label className="flex flex-1 flex-col">
                  <span className="text-note">Tag, serial, owner, reel, fault or part</span>
                  <input name="q" defaultValue={text} autoComplete="off" />
                </label>
                <button type="submit" className="key key-small">
                  Search
                </button>
              </form>
              <details className="mt-1">
                <summary className="min-h-10 cursor-pointer font-semibold text-brass">New customer</summary>
                <NewCustomer />
              </details>
            </>
          )}
          {by && <By db={db} by={by} />}
          <FoundBy rows={foundBy} />
          {hits ? <Hits hits={hits.slice(0, pageOf)} text={text} none={foundBy.length === 0} /> : <Reels reels={reels.slice(0, pageOf)} />}
          <Pager page={page} more={onPage > pageOf} href={(to) => address(query, { page: to ? String(to) : "" })} />
          {!hits && <ReturnedLast db={db} customerId={customer?.id} />}
        </div>
        <JournalColumn db={db} query={query} customerId={customer?.id ?? null} />
      </div>
    </Sheet>
  );
}
