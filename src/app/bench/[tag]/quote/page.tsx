import { loadBench, type StationProps } from "@/app/server/bench-head";
import { wayLines } from "@/core/ways/ways";
import { openingOf } from "@/data/bench/opening";
import { foreseenOf, waysOf } from "@/data/bench/ways";
import { getQuote } from "@/data/quote/quotes";
import { QuoteSheet } from "@/ui/bench/quote/quote-sheet";
import { WaysPanel } from "@/ui/bench/quote/ways-panel";
import { chooseWay, foreseePart, recordCustomerAnswer, sendBackUnrepaired } from "./actions";

export const metadata = { title: "Quote" };

export default async function QuotePage(props: StationProps) {
  const { db, head, job, version } = await loadBench(props);
  const ways = waysOf(db, job);
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
      ways={<WaysPanel jobId={job.id} closed={head.closed} customer={job.customer.name} ways={wayLines(ways)} choose={chooseWay} />}
      foreseen={foreseenOf(db, job, version, openingOf(db, job, version).opening.off)}
      foresee={foreseePart}
    />
  );
}
