import Link from "next/link";
import type { LastVisit } from "@/core/diagnosis/comeback-priors";
import { dateWords } from "@/ui/dates";

/** What a comeback opens on: the work that came back. */
export function LastVisitNote({ last, measured }: { last: LastVisit; measured?: boolean }) {
  return (
    <section aria-label="Last visit" className="mb-3 border-2 border-ink p-2">
      <p className="font-semibold">
        Our own repair came back. Returned {dateWords(last.closedAt)} as{" "}
        <Link className="act-link num" href={`/bench/${last.tag}/return`}>
          {last.tag}
        </Link>
      </p>
      {last.warrantedTo && (
        <p className="font-semibold">
          {last.inWarranty ? "Within our warranty, which ends" : "Our warranty ended on"} {dateWords(last.warrantedTo)}.
        </p>
      )}
      <p>Found: {last.found.join("; ") || "nothing was named"}.</p>
      <p>Replaced: {last.renewed.join("; ") || "nothing"}.</p>
      {measured && last.measured.length > 0 && (
        <p>
          Left here with:{" "}
          {last.measured.map((test, i) => (
            <span key={test.testId}>
              {i > 0 && "; "}
              {test.name} <span className="num">{test.words}</span>
            </span>
          ))}
          .
        </p>
      )}
    </section>
  );
}
