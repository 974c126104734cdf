import Link from "next/link";
import { formatMinor } from "@/core/money/money";
import type { Db } from "@/data/database/database";
import { listClosedJobs } from "@/data/jobs/jobs";
import { dateWords } from "@/ui/dates";

const returnedOf = 8;

/** The jobs returned last, of one customer or of all. */
export function ReturnedLast({ db, customerId }: { db: Db; customerId: number | undefined }) {
  const closed = listClosedJobs(db, returnedOf, customerId);
  if (!closed.length) return null;
  return (
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
  );
}
