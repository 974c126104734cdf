import Link from "next/link";
import type { Db } from "@/data/database/database";
import { listJournalSentences, listJournalSentencesOf } from "@/data/ledger/journal-sentences";
import { instantWords } from "@/ui/dates";
import { address, type Query, whole } from "./address";

/** Entries shown at once. */
const entriesOf = 30;

/** The journal's last entries, of one customer or of all, and the way to older ones. */
export function JournalColumn({ db, query, customerId }: { db: Db; query: Query; customerId: number | null }) {
  const before = whole(query.before);
  const entries =
    customerId === null
      ? listJournalSentences(db, { limit: entriesOf, ...(before ? { before } : {}) })
      : listJournalSentencesOf(db, customerId, entriesOf);
  return (
    <div>
      <h1>{customerId === null ? "Journal" : "Journal, of this customer"}</h1>
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
        {customerId === null && entries.length === entriesOf && (
          <Link className="act-link" href={address(query, { before: String(entries.at(-1)!.id) })} prefetch={false}>
            Older entries
          </Link>
        )}
      </p>
    </div>
  );
}
