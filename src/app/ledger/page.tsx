import Link from "next/link";
import type { ReactNode } from "react";
import { mayRead, whoAsks } from "@/app/server/person";
import { readPage } from "@/app/server/reading";
import { formatMinor } from "@/core/money/money";
import { benchWays } from "@/core/ways/ways";
import { findPartType } from "@/data/catalogue/part-types";
import { type Customer, erasedName, findCustomer } from "@/data/customers/customers";
import { cardOf } from "@/data/customers/merge";
import { countReels, listReels, listReelsByIds, type Reel } from "@/data/customers/reels";
import type { Db } from "@/data/database/database";
import { type FindHit, findAnything } from "@/data/database/find";
import { faultNamer } from "@/data/diagnosis/knowledge";
import { listClosedJobs } from "@/data/jobs/jobs";
import { messagesOfCustomer, moneyOfCustomer, wishesOfCustomer } from "@/data/ledger/customer-money";
import { listJournalSentences, listJournalSentencesOf } from "@/data/ledger/journal-sentences";
import { findBy, reelsFoundBy } from "@/data/ledger/reel-past";
import { invoiceName } from "@/data/papers/invoice-names";
import { getShopSettings } from "@/data/shop/settings";
import { Pager } from "@/ui/controls/pager";
import { dateWords, instantWords } from "@/ui/dates";
import { CustomerForm, NewCustomer } from "@/ui/ledger/customer-form";
import { EraseForm } from "@/ui/ledger/erase-form";
import { LedgerRooms } from "@/ui/ledger/ledger-rooms";
import { MergeForm } from "@/ui/ledger/merge-form";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";

export const metadata = { title: "Ledger" };

/** Reels or hits on one page, and entries of the journal. */
const pageOf = 25;
const entriesOf = 30;
const returnedOf = 8;

type Query = {
  readonly fault?: string;
  readonly part?: string;
  readonly customer?: string;
  readonly q?: string;
  readonly page?: string;
  readonly before?: string;
};
const whole = (text: string | undefined): number => (text && /^\d{1,12}$/.test(text) ? Number(text) : 0);
/** This page with something of its address changed. */
const address = (query: Query, change: Partial<Query>): string => {
  const next = new URLSearchParams(Object.entries({ ...query, ...change }).filter((entry): entry is [string, string] => Boolean(entry[1])));
  return next.size ? `/ledger?${next}` : "/ledger";
};

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
  const closed = hits ? [] : listClosedJobs(db, returnedOf, customer?.id);
  const before = whole(query.before);
  const entries = customer
    ? listJournalSentencesOf(db, customer.id, entriesOf)
    : listJournalSentences(db, { limit: entriesOf, ...(before ? { before } : {}) });
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
                  Look
                </button>
              </form>
              <details className="mt-1">
                <summary className="min-h-10 cursor-pointer font-semibold text-brass">New customer</summary>
                <NewCustomer />
              </details>
            </>
          )}
          {by && (
            <p className="mt-2">
              Reels {by.by === "fault" ? "on which was found" : "into which went"}:{" "}
              <strong>{by.by === "fault" ? (named(by.id)?.name ?? "this fault") : (findPartType(db, by.id)?.name ?? "this part")}</strong>
            </p>
          )}
          {foundBy.length > 0 && (
            <ul className="mt-2">
              {foundBy.map((row) => (
                <li key={`${row.by} ${row.id}`} className="rule-row py-1">
                  <Link className="act-link" href={`/ledger?${row.by}=${encodeURIComponent(row.id)}`} prefetch={false}>
                    {row.name}
                  </Link>
                  : {row.by === "fault" ? "found on" : "went into"} {row.reels === 1 ? "1 reel" : `${row.reels} reels`}
                </li>
              ))}
            </ul>
          )}
          {hits ? <Hits hits={hits.slice(0, pageOf)} text={text} none={foundBy.length === 0} /> : <Reels reels={reels.slice(0, pageOf)} />}
          <Pager page={page} more={onPage > pageOf} href={(to) => address(query, { page: to ? String(to) : "" })} />
          {closed.length > 0 && (
            <>
              <h2 className="mt-6">Returned last</h2>
              <table className="plain-table">
                <tbody>
                  {closed.map((job) => (
                    <tr key={job.id}>
                      <td className="num">
                        <Link className="act-link" href={`/bench/${job.tag}`} prefetch={false}>
                          {job.tag}
                        </Link>
                      </td>
                      <td>{job.customer.name}</td>
                      <td>{dateWords(job.closedAt!)}</td>
                      <td className="num text-right">
                        {formatMinor(job.finalTotalMinor ?? 0)} {job.currency}
                      </td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </>
          )}
        </div>
        <div>
          <h1>{customer ? "Journal, of this customer" : "Journal"}</h1>
          <p className="text-note">Who did what when. Entries are added, never changed.</p>
          <ol className="mt-2">
            {entries.map((entry) => (
              <li key={entry.id} className="rule-row flex gap-3 py-1">
                <span className="num w-40 shrink-0 text-note">{instantWords(entry.at)}</span>
                <span className="w-24 shrink-0 num text-note">{entry.tag}</span>
                <span>
                  {entry.sentence}
                  {entry.device && <span className="text-note"> (from {entry.device})</span>}
                </span>
              </li>
            ))}
          </ol>
          <p className="mt-2 flex gap-6">
            {before > 0 && (
              <Link className="act-link" href={address(query, { before: "" })} prefetch={false}>
                Newest
              </Link>
            )}
            {!customer && entries.length === entriesOf && (
              <Link className="act-link" href={address(query, { before: String(entries.at(-1)!.id) })} prefetch={false}>
                Older entries
              </Link>
            )}
          </p>
        </div>
      </div>
    </Sheet>
  );
}

/** One card: its facts, what may be done with it, and the name an invoice keeps. */
async function OneCustomer({ db, customer }: { db: Db; customer: Customer }) {
  const { person } = await whoAsks(db);
  const kept = invoiceName(db, customer.id);
  return (
    <>
      <h1>Reels of {customer.name}</h1>
      <CustomerStory db={db} customerId={customer.id} name={customer.name} />
      <CustomerForm key={customer.id} customer={customer} />
      {kept && (
        <p>
          Invoices keep the name {kept.name} until {dateWords(kept.until)}.
        </p>
      )}
      {person && mayRead(person, "everything") && customer.name !== erasedName && (
        <EraseForm key={`erase ${customer.id}`} id={customer.id} name={customer.name} invoiceYears={getShopSettings(db).invoiceYears} />
      )}
      {!customer.retired && <MergeForm key={customer.id} id={customer.id} name={customer.name} />}
      <Link className="act-link" href="/ledger" prefetch={false}>
        All reels
      </Link>
    </>
  );
}

const messageWords = { quote: "asked about the quote", season: "asked in before the season", told: "told that it is ready" } as const;

/** Money, wishes and messages of one customer. */
function CustomerStory({ db, customerId, name }: { db: Db; customerId: number; name: string }) {
  const money = moneyOfCustomer(db, customerId);
  const wishes = wishesOfCustomer(db, customerId);
  const messages = messagesOfCustomer(db, customerId, 8);
  return (
    <>
      {money.map(({ currency, papers, chargedMinor, openMinor }) => (
        <p key={currency}>
          <Link className="act-link" href={`/ledger/papers?q=${encodeURIComponent(name)}`} prefetch={false}>
            {papers === 1 ? "1 invoice" : `${papers} invoices`}
          </Link>
          : <span className="num">{formatMinor(chargedMinor)}</span> {currency}
          {openMinor > 0 && (
            <>
              , of which <strong className="num">{formatMinor(openMinor)}</strong> is open
            </>
          )}
          .
        </p>
      ))}
      {wishes.length > 0 && (
        <p>
          Wishes:{" "}
          {wishes
            .map(({ way, choice }) => {
              const known = benchWays[way as keyof typeof benchWays] as
                | { name: string; choices: Readonly<Record<string, string>> }
                | undefined;
              return known ? `${known.name}: ${known.choices[choice] ?? choice}` : "";
            })
            .filter(Boolean)
            .join("; ")}
          .
        </p>
      )}
      {messages.length > 0 && (
        <ul aria-label="Messages">
          {messages.map(({ at, tag, what, answeredAt }) => (
            <li key={`${at} ${tag} ${what}`} className="text-note">
              {dateWords(at)}, <span className="num">{tag}</span>: {messageWords[what]}
              {what === "quote" && (answeredAt ? `, answered ${dateWords(answeredAt)}` : ", not answered")}
            </li>
          ))}
        </ul>
      )}
    </>
  );
}

function Reels({ reels }: { reels: readonly Reel[] }): ReactNode {
  return (
    <table className="plain-table mt-2">
      <thead>
        <tr>
          <th>Reel</th>
          <th>Serial</th>
          <th>Owner</th>
          <th className="text-right">Visits</th>
        </tr>
      </thead>
      <tbody>
        {reels.map((reel) => (
          <tr key={reel.id}>
            <td>
              <Link className="act-link" href={`/ledger/reel/${reel.id}`} prefetch={false}>
                {reel.modelName}
              </Link>
            </td>
            <td className="num">{reel.serial || "none"}</td>
            <td>
              <Link className="act-link" href={`/ledger?customer=${reel.ownerId}`} prefetch={false}>
                {reel.ownerName}
              </Link>
            </td>
            <td className="num text-right">{reel.visits}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const hitWays: Readonly<Record<string, { words: string; href: (ref: string) => string }>> = {
  job: { words: "job", href: (ref) => `/bench/${ref}` },
  reel: { words: "reel", href: (ref) => `/ledger/reel/${ref}` },
  customer: { words: "customer", href: (ref) => `/ledger?customer=${ref}` },
};

function Hits({ hits, text, none }: { hits: readonly FindHit[]; text: string; none: boolean }): ReactNode {
  if (!hits.length && !none) return null;
  if (!hits.length) return <p className="mt-2">Nothing in the book is called “{text}”. Try fewer letters.</p>;
  return (
    <table className="plain-table mt-2">
      <tbody>
        {hits.map(({ kind, ref, title }) => (
          <tr key={`${kind} ${ref}`}>
            <td className="text-note">{hitWays[kind]!.words}</td>
            <td>
              <Link className="act-link" href={hitWays[kind]!.href(ref)} prefetch={false}>
                {title}
              </Link>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
