import { getQuote } from "@/data/quotes";
import { QuoteSheet } from "@/ui/bench/quote-sheet";
import { getDb } from "../../../server";
import { foreseePart, recordCustomerAnswer, sendBackUnrepaired } from "../actions";
import { loadBench, type StationProps } from "../bench";

export const metadata = { title: "Quote" };

export default async function QuotePage(props: StationProps) {
  const { head, job, version } = await loadBench(props);
  const names = Object.fromEntries(version.anatomy.positions.map((position) => [position.id, position.name]));
  return (
    <QuoteSheet
      head={head}
      quote={getQuote(getDb(), job)}
      seatNames={names}
      limitMinor={job.limitMinor}
      rates={job.rates}
      currency={job.currency}
      customer={{ name: job.customer.name, phone: job.customer.phone }}
      strike={foreseePart}
      declinedReason={job.declinedReason}
      answer={recordCustomerAnswer}
      decline={sendBackUnrepaired}
    />
  );
}
