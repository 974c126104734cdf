import Link from "next/link";
import { readPage } from "@/app/server/reading";
import { formatMinor } from "@/core/money/money";
import { findCustomer } from "@/data/customers/customers";
import { listReels } from "@/data/customers/reels";
import { listClosedJobs } from "@/data/jobs/jobs";
import { listJournalSentences } from "@/data/ledger/journal-sentences";
import { dateWords, instantWords } from "@/ui/dates";
import { CustomerForm, NewCustomer } from "@/ui/ledger/customer-form";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";
import { addNewCustomer, retireCustomerCard, saveCustomer } from "./actions";

export const metadata = { title: "Ledger" };

export default async function LedgerPage({ searchParams }: { searchParams: Promise<{ customer?: string }> }) {
  const db = await readPage("ledger");
  const { customer: wanted } = await searchParams;
  const customer = wanted ? findCustomer(db, Number(wanted)) : null;
  const reels = listReels(db).filter((reel) => !customer || reel.ownerId === customer.id);
  const closed = listClosedJobs(db, 12);
  return (
    <Sheet
      fill
      block={
        <CornerBlock
          cells={[
            { label: "Reels on record", value: String(reels.length), large: true },
            { label: "Returned lately", value: String(closed.length) },
          ]}
        />
      }
    >
      <div className="grid gap-8 lg:grid-cols-[1fr_1fr]">
        <div>
          <h1>{customer ? `Reels of ${customer.name}` : "Reels"}</h1>
          {customer && (
            <>
              <CustomerForm key={customer.rowVersion} customer={customer} save={saveCustomer} retire={retireCustomerCard} />
              <Link className="act-link" href="/ledger">
                All reels
              </Link>
            </>
          )}
          {!customer && (
            <details className="mt-1">
              <summary className="min-h-10 cursor-pointer font-semibold text-brass">New customer</summary>
              <NewCustomer add={addNewCustomer} />
            </details>
          )}
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
                    <Link className="act-link" href={`/ledger/reel/${reel.id}`}>
                      {reel.modelName}
                    </Link>
                  </td>
                  <td className="num">{reel.serial || "none"}</td>
                  <td>
                    <Link className="act-link" href={`/ledger?customer=${reel.ownerId}`}>
                      {reel.ownerName}
                    </Link>
                  </td>
                  <td className="num text-right">{reel.visits}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <h2 className="mt-6">Returned</h2>
          <table className="plain-table">
            <tbody>
              {closed.map((job) => (
                <tr key={job.id}>
                  <td className="num">
                    <Link className="act-link" href={`/bench/${job.tag}`}>
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
        </div>
        <div>
          <h1>Journal</h1>
          <p className="text-note">Who did what when. Entries are added, never changed.</p>
          <ol className="mt-2">
            {listJournalSentences(db, { limit: 40 }).map((entry) => (
              <li key={entry.id} className="rule-row flex gap-3 py-1">
                <span className="num w-40 shrink-0 text-note">{instantWords(entry.at)}</span>
                <span className="w-24 shrink-0 num text-note">{entry.tag}</span>
                <span>{entry.sentence}</span>
              </li>
            ))}
          </ol>
        </div>
      </div>
    </Sheet>
  );
}
