import { formatMinor, labourPrice } from "@/core/money/money";
import { pieceLines } from "@/core/quote/kit-lines";
import type { QuoteProps } from "./quote-props";
import { QuotedPieces } from "./quoted-pieces";
import type { QuotePresses } from "./use-quote";

/** What would be done and fitted, line by line with its price, and what it adds up to: as the customer will read it. */
export function QuoteLines({ props, presses }: { props: QuoteProps; presses: QuotePresses }) {
  const { head, quote, rates, currency, pays, seatNames } = props;
  const { closed } = head;
  const nameOf = (positionId: string) => seatNames[positionId] ?? positionId;
  const cover = (kind: "fault" | "part", ref: string, ours: boolean, said: string) =>
    pays === "us" && !closed ? (
      <button
        type="button"
        className="act-link block"
        aria-label={`${ours ? "The customer pays" : "Ours, free"}: ${said}`}
        disabled={presses.covering.busy}
        onClick={() => presses.cover(kind, ref, !ours)}
      >
        {ours ? "charge it" : "ours, free"}
      </button>
    ) : null;
  return (
    <>
      <table className="plain-table mt-2">
        <thead>
          <tr>
            <th>Work, at {formatMinor(rates.ratePerHourMinor)} an hour</th>
            <th className="text-right">min</th>
            <th className="text-right">{currency}</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {quote.labour.map((line) => (
            <tr key={line.words}>
              <td>{line.words}</td>
              <td className="num text-right">{line.minutes}</td>
              <td className="num text-right">
                {formatMinor(line.priceMinor ?? labourPrice(line.minutes, rates.ratePerHourMinor))}
                {line.priceMinor !== undefined && <span className="block text-note">price list</span>}
              </td>
              <td className="text-right">{line.faultId !== undefined && cover("fault", line.faultId, line.ours === true, line.words)}</td>
            </tr>
          ))}
          {pieceLines(quote.parts).map((line) => {
            const { kitId } = line;
            const seat = line.positionIds[0]!;
            return (
              <QuotedPieces
                key={kitId ?? seat}
                line={line}
                seat={kitId === null ? nameOf(seat) : null}
                closed={closed}
                cover={kitId === null && cover("part", seat, line.ours, line.words)}
                onRemove={() => (kitId === null ? presses.foresee(seat, false) : presses.strikeKit(kitId, false))}
                onNo={() => (kitId === null ? presses.declinePart(seat, true) : presses.strikeKit(kitId, true))}
              />
            );
          })}
          {quote.extras.map((line) => (
            <tr key={`extra ${line.id}`}>
              <td>{line.words}</td>
              <td />
              <td className="num text-right">{formatMinor(line.priceMinor)}</td>
              <td className="text-right">
                {line.id > 0 && !closed && (
                  <button
                    type="button"
                    className="act-link"
                    onClick={() => presses.removeLine(line.id)}
                    aria-label={`Remove ${line.words}`}
                  >
                    remove
                  </button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <Sum sum={quote.sum} rates={rates} />
    </>
  );
}

function Sum({ sum, rates }: { sum: QuoteProps["quote"]["sum"]; rates: QuoteProps["rates"] }) {
  const rows: readonly (readonly [words: string, minor: number, shown?: boolean])[] = [
    ["Work", sum.labourMinor],
    ["added to reach the minimum charge", sum.madeUpMinor, sum.madeUpMinor > 0],
    ["Parts", sum.partsMinor],
    ["Other lines", sum.extrasMinor, sum.extrasMinor !== 0],
    [`Discount ${(rates.discount ?? 0) / 100} %`, -sum.discountMinor, sum.discountMinor > 0],
    [`Tax ${rates.tax / 100} %`, sum.taxMinor],
  ];
  return (
    <>
      <dl className="num mt-3 ml-auto grid w-72 grid-cols-[1fr_auto] gap-x-6 pr-24 text-right">
        {rows.map(([words, minor, shown = true]) =>
          shown ? (
            <div key={words} className="contents">
              <dt>{words}</dt>
              <dd>{minor < 0 ? `−${formatMinor(-minor)}` : formatMinor(minor)}</dd>
            </div>
          ) : null,
        )}
      </dl>
      <p className="mt-2 text-note">
        Labour is charged on total minutes; tax is added to the net total and rounded to the nearest cent. Rates are those at check-in.
      </p>
    </>
  );
}
