import { schoolIds, schoolInForce } from "@/core/schools/schools";
import { foreseenOf, schoolsOf } from "@/data/bench/ways";
import { getQuote } from "@/data/quote/quotes";
import { QuoteSheet } from "@/ui/bench/quote-sheet";
import { WaysPanel } from "@/ui/bench/ways-panel";
import { getDb } from "../../../server";
import { chooseWay, foreseePart, recordCustomerAnswer, sendBackUnrepaired } from "../actions";
import { loadBench, type StationProps } from "../bench";

export const metadata = { title: "Quote" };

export default async function QuotePage(props: StationProps) {
  const { head, job, version } = await loadBench(props);
  const db = getDb();
  const schools = schoolsOf(db, job);
  const names = Object.fromEntries(version.anatomy.positions.map((position) => [position.id, position.name]));
  return (
    <QuoteSheet
      head={head}
      quote={getQuote(db, job)}
      seatNames={names}
      limitMinor={job.limitMinor}
      rates={job.rates}
      currency={job.currency}
      customer={{ name: job.customer.name, phone: job.customer.phone }}
      strike={foreseePart}
      declinedReason={job.declinedReason}
      answer={recordCustomerAnswer}
      decline={sendBackUnrepaired}
      ways={
        <WaysPanel
          jobId={job.id}
          closed={head.closed}
          customer={job.customer.name}
          ways={schoolIds.map((school) => ({
            school,
            ...schoolInForce(school, schools),
            job: schools.job?.[school] ?? null,
            customer: schools.customer?.[school] ?? null,
          }))}
          choose={chooseWay}
        />
      }
      foreseen={foreseenOf(db, job, version)}
      foresee={foreseePart}
    />
  );
}
