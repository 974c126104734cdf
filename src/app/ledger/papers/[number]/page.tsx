import Link from "next/link";
import { notFound } from "next/navigation";
import { today } from "@/app/server/clock";
import { readPage } from "@/app/server/reading";
import { formatMinor } from "@/core/money/money";
import { paidHows, paperName } from "@/core/papers/papers";
import { balanceOfPaper, creditsOf, findPaper, paymentsOf } from "@/data/papers/papers";
import { dateWords } from "@/ui/dates";
import { LedgerRooms } from "@/ui/ledger/ledger-rooms";
import { CreditForm, PaymentForm } from "@/ui/papers/paper-forms";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";

export const metadata = { title: "Paper" };

/** A paper's lines never change place. */
const numbered = <T,>(lines: readonly T[]): (T & { readonly n: number })[] => lines.map((line, n) => ({ ...line, n }));

export default async function PaperPage({ params }: { params: Promise<{ number: string }> }) {
  const db = await readPage("ledger");
  const { number } = await params;
  const paper = /^\d{1,9}$/.test(number) ? findPaper(db, Number(number)) : null;
  if (!paper) notFound();
  const { openMinor, totalMinor, creditedMinor } = balanceOfPaper(db, paper);
  const invoice = paper.kind === "invoice";
  const credits = creditsOf(db, paper.number);
  return (
    <Sheet
      fill
      block={
        <CornerBlock
          cells={[
            { label: "Total", value: `${formatMinor(totalMinor)} ${paper.currency}`, large: true },
            ...(invoice ? [{ label: openMinor < 0 ? "To pay back" : "Open", value: formatMinor(Math.abs(openMinor)) }] : []),
          ]}
        />
      }
    >
      <LedgerRooms here="papers" />
      <h1>
        {invoice ? "Invoice" : "Credit note"} <span className="num">{paperName(paper.kind, paper.number)}</span>
      </h1>
      <p>
        {paper.name ?? "Name deleted (retention period over)"}, {dateWords(paper.onDay)}
        {paper.tags.map((tag) => (
          <Link key={tag} className="act-link num ml-3" href={`/bench/${tag}`} prefetch={false}>
            {tag}
          </Link>
        ))}
        {paper.ofNumber !== null && (
          <Link className="act-link num ml-3" href={`/ledger/papers/${paper.ofNumber}`}>
            of {paperName("invoice", paper.ofNumber)}
          </Link>
        )}
        <a className="act-link ml-3" href={`/ledger/papers/${paper.number}/paper.pdf`}>
          Print (PDF)
        </a>
      </p>
      <p className="text-note">An invoice is never changed; correct it with a credit note.</p>
      <div className="mt-2 grid gap-8 lg:grid-cols-2">
        <table className="plain-table">
          <tbody>
            {numbered(paper.lines).map(({ n, words, amountMinor }) => (
              <tr key={n}>
                <td>{words}</td>
                <td className="num text-right">{formatMinor(amountMinor)}</td>
              </tr>
            ))}
            <tr>
              <td>Before tax</td>
              <td className="num text-right">{formatMinor(paper.netMinor)}</td>
            </tr>
            <tr>
              <td>Tax {paper.tax / 100} %</td>
              <td className="num text-right">{formatMinor(paper.taxMinor)}</td>
            </tr>
            <tr className="font-semibold">
              <td>Total</td>
              <td className="num text-right">
                {formatMinor(totalMinor)} {paper.currency}
              </td>
            </tr>
            {credits.map((credit) => (
              <tr key={credit.number}>
                <td>
                  Credited by{" "}
                  <Link className="act-link num" href={`/ledger/papers/${credit.number}`}>
                    {paperName("credit", credit.number)}
                  </Link>
                </td>
                <td className="num text-right">{formatMinor(credit.netMinor + credit.taxMinor)}</td>
              </tr>
            ))}
            {numbered(paymentsOf(db, paper.number)).map((payment) => (
              <tr key={payment.n}>
                <td>
                  {payment.amountMinor < 0 ? "Paid back" : "Paid"} {dateWords(payment.onDay)}, {paidHows[payment.how]}, recorded by{" "}
                  {payment.person}
                </td>
                <td className="num text-right">{formatMinor(-payment.amountMinor)}</td>
              </tr>
            ))}
            {invoice && (
              <tr className="font-semibold">
                <td>{openMinor < 0 ? "To pay back" : "Open"}</td>
                <td className="num text-right">{formatMinor(Math.abs(openMinor))}</td>
              </tr>
            )}
          </tbody>
        </table>
        {invoice && (
          <div className="flex flex-col gap-4">
            {openMinor !== 0 && (
              <PaymentForm
                key={openMinor}
                number={paper.number}
                open={formatMinor(Math.abs(openMinor))}
                back={openMinor < 0}
                today={today()}
              />
            )}
            {totalMinor > creditedMinor && (
              <CreditForm key={`credit ${creditedMinor}`} number={paper.number} left={formatMinor(totalMinor - creditedMinor)} />
            )}
          </div>
        )}
      </div>
    </Sheet>
  );
}
