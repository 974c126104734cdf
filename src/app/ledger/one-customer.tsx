import Link from "next/link";
import { mayRead, whoAsks } from "@/app/server/person";
import { formatMinor } from "@/core/money/money";
import { benchWays } from "@/core/ways/ways";
import { type Customer, erasedName } from "@/data/customers/customers";
import type { Db } from "@/data/database/database";
import { messagesOfCustomer, moneyOfCustomer, wishesOfCustomer } from "@/data/ledger/customer-money";
import { invoiceName } from "@/data/papers/invoice-names";
import { getShopSettings } from "@/data/shop/settings";
import { PhoneNumber } from "@/ui/controls/phone-number";
import { dateWords } from "@/ui/dates";
import { CustomerForm } from "@/ui/ledger/customer-form";
import { EraseForm } from "@/ui/ledger/erase-form";
import { MergeForm } from "@/ui/ledger/merge-form";

/** One card: its facts, what may be done with it, and the name an invoice keeps. */
export async function OneCustomer({ db, customer }: { db: Db; customer: Customer }) {
  const { person } = await whoAsks(db);
  const kept = invoiceName(db, customer.id);
  return (
    <>
      <h1>Reels of {customer.name}</h1>
      {(customer.phone || customer.email) && (
        <p className="flex flex-wrap gap-x-6">
          {customer.phone && <PhoneNumber phone={customer.phone} of={customer.name} message={`${customer.name}, `} />}
          {customer.email && (
            <a className="act-link inline-flex min-h-11 items-center" href={`mailto:${customer.email}`}>
              {customer.email}
            </a>
          )}
        </p>
      )}
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

const messageWords = { quote: "asked about the quote", season: "invited before the season", told: "notified that it is ready" } as const;

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
