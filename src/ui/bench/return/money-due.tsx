import type { ReactNode } from "react";
import { formatMinor } from "@/core/money/money";
import { DeclineForm } from "@/ui/bench/quote/decline-form";
import { PaymentForm } from "@/ui/papers/paper-forms";
import type { ReturnProps } from "./return-props";
import { CheckOrRepair, StorageOwed } from "./ways-out";

/** What is paid, how, and by whom it is collected. @param children the fields of the hand-over, while it is here. */
export function MoneyDue({ props, children }: { props: ReturnProps; children: ReactNode }) {
  const { head, balance, totalMinor, depositMinor, currency, invoice, storage, putRightMinor, declinedReason } = props;
  // Returned, its invoice says what is still open: a lot's is of all its reels.
  const dueMinor = balance?.openMinor ?? totalMinor - depositMinor;
  const paid = head.closed && dueMinor === 0;
  const paidWords = balance?.creditedMinor ? "Settled, partly by credit" : "Paid";
  const dueWords = dueMinor < 0 ? "Refund due" : paid ? paidWords : balance ? "Unpaid on its invoice" : "To pay";
  return (
    <section className="flex flex-col gap-3">
      <div className="border-2 border-ink p-3">
        <p className="text-note">
          {dueWords}, {currency}, tax included
        </p>
        <p className="num text-measure">{formatMinor(paid ? totalMinor : Math.abs(dueMinor))}</p>
        {depositMinor > 0 && !head.closed && (
          <p>
            <span className="num">{formatMinor(totalMinor)}</span> less <span className="num">{formatMinor(depositMinor)}</span> paid at the
            counter
          </p>
        )}
      </div>
      {balance && invoice !== null && balance.openMinor !== 0 && (
        <PaymentForm
          key={balance.openMinor}
          number={invoice}
          open={formatMinor(Math.abs(balance.openMinor))}
          back={balance.openMinor < 0}
          today={props.today}
        />
      )}
      {storage && <StorageOwed jobId={head.jobId} {...storage} currency={currency} />}
      {putRightMinor !== null && (
        <CheckOrRepair jobId={head.jobId} closed={head.closed} checkMinor={totalMinor} repairMinor={putRightMinor} currency={currency} />
      )}
      {children}
      {!head.closed && putRightMinor === null && <DeclineForm jobId={head.jobId} reason={declinedReason} />}
    </section>
  );
}
