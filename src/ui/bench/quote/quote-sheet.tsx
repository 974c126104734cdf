"use client";
import { type ReactNode, useState } from "react";
import { textMessages } from "@/core/messages/text-messages";
import { formatMinor, labourPrice } from "@/core/money/money";
import { type Consent, mayGoOn } from "@/core/quote/consent";
import { type KitPart, pieceLines } from "@/core/quote/kit-lines";
import type { ExtraLine, LabourLine, PartLine } from "@/core/quote/lines";
import type { PinnedRates, QuoteSum } from "@/core/quote/quote-sum";
import { type FaultOutcome, faultOutcomes } from "@/core/vocabulary/fault-outcomes";
import { type PieceSource, pieceSources } from "@/core/vocabulary/piece-sources";
import type { WhoPays as Payer } from "@/core/vocabulary/who-pays";
import { useAct } from "@/ui/act/use-act";
import { type BenchHead, BenchSheet } from "@/ui/bench/bench-sheet";
import { Field } from "@/ui/controls/field";
import { Key } from "@/ui/controls/keys";
import { NextLink } from "@/ui/controls/next-link";
import { PhoneNumber } from "@/ui/controls/phone-number";
import { Refused } from "@/ui/controls/refused";
import { instantWords } from "@/ui/dates";
import { AddLine } from "./add-line";
import { DeclineForm } from "./decline-form";
import { MoreParts, QuotedPieces } from "./quoted-pieces";
import { WhoPays } from "./who-pays";

interface Props {
  readonly head: BenchHead;
  readonly quote: {
    readonly labour: readonly LabourLine[];
    readonly parts: readonly (PartLine & Pick<KitPart, "positionId" | "kit">)[];
    readonly extras: readonly (ExtraLine & { readonly id: number })[];
    readonly sum: QuoteSum;
    readonly answers: readonly { accepted: boolean; totalMinor: number; words: string; at: string; person: string }[];
    readonly consent: Consent;
    readonly callFor: readonly string[];
    readonly partsOver: boolean;
  };
  readonly seatNames: Readonly<Record<string, string>>;
  /** Seats whose new part the customer said no to; and those that may want one once they lie open. */
  readonly declined: readonly string[];
  readonly may: readonly { readonly positionId: string; readonly priceMinor: number }[];
  readonly limitMinor: number | null;
  readonly partsLimitMinor: number | null;
  readonly rates: PinnedRates;
  readonly currency: string;
  readonly customer: { readonly name: string; readonly phone: string };
  readonly shop: string;
  readonly declinedReason: string | null;
  readonly ways: ReactNode;
  /** Parts a way of working foresees though nothing was found; those in the quote already are left out. */
  readonly foreseen: readonly { readonly positionId: string; readonly words: string }[];
  /** What was found, and the way out of it where it is not repaired here. */
  readonly faults: readonly { readonly faultId: string; readonly name: string; readonly outcome: FaultOutcome | null }[];
  /** Asks the customer by letter. */
  readonly asking: ReactNode;
  readonly valueMinor: number | null;
  /** What else could be done, each with its sum, tax included. */
  readonly options: readonly { readonly words: string; readonly totalMinor: number }[];
  /** A part that was refused for the sum: it is not in the quote yet. */
  readonly add: {
    readonly positionId: string;
    readonly words: string;
    /** A piece with a price of its own that is to go in. */
    readonly piece: { readonly source: PieceSource | "donor"; readonly priceMinor: number } | null;
  } | null;
  /** Of a comeback: who pays; null for every other job. */
  readonly pays: Payer | null;
}

const consentWords: Record<Consent, string> = {
  "within-limit": "Within the limit agreed at the Counter. Go ahead.",
  agreed: "The customer agreed to this sum.",
  ask: "Above the agreed limit: ask before doing or ordering anything.",
  call: "Call first: the customer wants to know before it is replaced.",
  refused: "The customer declined this sum. Remove work or parts, or return the reel.",
};

/** Labour, parts and tax against the customer's limit; above it the job waits for a yes, kept with its time and words. */
export function QuoteSheet({
  head,
  quote,
  seatNames,
  declined,
  may,
  limitMinor,
  partsLimitMinor,
  rates,
  currency,
  customer,
  shop,
  declinedReason,
  ways,
  foreseen,
  faults,
  asking,
  valueMinor,
  options,
  add,
  pays,
}: Props) {
  const foreseeing = useAct("foresee");
  const { sum, consent } = quote;
  const striking = useAct("foresee");
  const [words, setWords] = useState("");
  const answering = useAct("answer", () => setWords(""));
  const mayGo = mayGoOn(consent);
  const say = (accepted: boolean, where: string) =>
    answering.press({
      jobId: head.jobId,
      accepted,
      totalMinor: sum.totalMinor,
      words: words.trim() ? `${words.trim()} (${where})` : where,
    });
  const covering = useAct("cover-line");
  const decliningPart = useAct("part-declined");
  const strikingKit = useAct("kit-struck");
  const nameOf = (positionId: string) => seatNames[positionId] ?? positionId;
  /** Turns one line of a comeback from ours to the customer's, and back. */
  const coverKey = (kind: "fault" | "part", ref: string, ours: boolean, said: string) =>
    head.closed ? null : (
      <button
        type="button"
        className="act-link block"
        aria-label={`${ours ? "The customer pays" : "Ours, free"}: ${said}`}
        disabled={covering.busy}
        onClick={() => covering.press({ jobId: head.jobId, kind, ref, ours: !ours })}
      >
        {ours ? "charge it" : "ours, free"}
      </button>
    );
  const removing = useAct("job-line-removed");
  const leaving = useAct("fault-outcome");
  const beyondWorth = valueMinor !== null && sum.totalMinor > valueMinor;
  return (
    <BenchSheet
      head={head}
      station="quote"
      act={
        mayGo || head.closed ? (
          declinedReason === null ? (
            <NextLink href={`/bench/${head.tag}/strip`} words="On to Strip" />
          ) : (
            <NextLink href={`/bench/${head.tag}/return`} words="On to Return" />
          )
        ) : (
          <>
            <Key
              className="key-main"
              shortcut="y"
              words="Yes, said at the counter"
              busy={answering.busy}
              onPress={() => say(true, "at the counter")}
            >
              Yes, at the counter
            </Key>
            <Key shortcut="p" words="Yes, said by phone" busy={answering.busy} onPress={() => say(true, "by phone")} className="min-w-40">
              Yes, by phone
            </Key>
            <Key shortcut="n" words="Customer says no" busy={answering.busy} onPress={() => say(false, "said no")} className="min-w-40">
              Customer says no
            </Key>
          </>
        )
      }
    >
      <div className="grid gap-8 lg:grid-cols-[1fr_400px]">
        <div>
          <h1>Quote</h1>
          {add && !head.closed && (
            <div className="mt-2 flex items-center gap-3 border-2 border-ink p-2">
              <p className="flex-1">
                <strong>{add.words}</strong>
                {add.piece
                  ? `, ${add.piece.source === "donor" ? "used, from a donor" : pieceSources[add.piece.source].said}, costs ${formatMinor(add.piece.priceMinor)}`
                  : ""}
                : it is not in the quote {add.piece ? "at that price" : "yet"}. Add it, then ask.
              </p>
              <Key
                shortcut="a"
                words="Add it to the quote"
                busy={foreseeing.busy}
                onPress={() => foreseeing.press({ jobId: head.jobId, positionId: add.positionId, wanted: true, piece: add.piece })}
              >
                Add it
              </Key>
            </div>
          )}
          {pays !== null && !head.closed && <WhoPays jobId={head.jobId} pays={pays} />}
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
                  <td className="text-right">
                    {pays === "us" && line.faultId !== undefined && coverKey("fault", line.faultId, line.ours === true, line.words)}
                  </td>
                </tr>
              ))}
              {pieceLines(quote.parts).map((line) => (
                <QuotedPieces
                  key={line.kitId ?? line.positionIds[0]}
                  line={line}
                  seat={line.kitId === null ? nameOf(line.positionIds[0]!) : null}
                  closed={head.closed}
                  cover={pays === "us" && line.kitId === null && coverKey("part", line.positionIds[0]!, line.ours, line.words)}
                  onRemove={() =>
                    line.kitId === null
                      ? striking.press({ jobId: head.jobId, positionId: line.positionIds[0]!, wanted: false })
                      : strikingKit.press({ jobId: head.jobId, kitId: line.kitId, declined: false })
                  }
                  onNo={() =>
                    line.kitId === null
                      ? decliningPart.press({ jobId: head.jobId, positionId: line.positionIds[0]!, declined: true })
                      : strikingKit.press({ jobId: head.jobId, kitId: line.kitId, declined: true })
                  }
                />
              ))}
              {quote.extras.map((line) => (
                <tr key={`extra ${line.id}`}>
                  <td>{line.words}</td>
                  <td />
                  <td className="num text-right">{formatMinor(line.priceMinor)}</td>
                  <td className="text-right">
                    {line.id > 0 && !head.closed && (
                      <button
                        type="button"
                        className="act-link"
                        onClick={() => removing.press({ jobId: head.jobId, lineId: line.id })}
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
          {!head.closed && <AddLine jobId={head.jobId} />}
          <dl className="num mt-3 ml-auto grid w-72 grid-cols-[1fr_auto] gap-x-6 pr-24 text-right">
            <dt>Work</dt>
            <dd>{formatMinor(sum.labourMinor)}</dd>
            {sum.madeUpMinor > 0 && (
              <>
                <dt className="text-note">added to reach the minimum charge</dt>
                <dd>{formatMinor(sum.madeUpMinor)}</dd>
              </>
            )}
            <dt>Parts</dt>
            <dd>{formatMinor(sum.partsMinor)}</dd>
            {sum.extrasMinor !== 0 && (
              <>
                <dt>Other lines</dt>
                <dd>{formatMinor(sum.extrasMinor)}</dd>
              </>
            )}
            {sum.discountMinor > 0 && (
              <>
                <dt>Discount {(rates.discount ?? 0) / 100} %</dt>
                <dd>−{formatMinor(sum.discountMinor)}</dd>
              </>
            )}
            <dt>Tax {rates.tax / 100} %</dt>
            <dd>{formatMinor(sum.taxMinor)}</dd>
          </dl>
          <p className="mt-2 text-note">
            Labour is charged on total minutes; tax is added to the net total and rounded to the nearest cent. Rates are those at check-in.
          </p>
          {faults.length > 0 && (
            <div className="mt-3">
              <h3>What was found</h3>
              <ul>
                {faults.map(({ faultId, name, outcome }) => (
                  <li key={faultId} className="rule-row flex items-center justify-between gap-3 py-1">
                    <span className={outcome ? "line-through" : ""}>{name}</span>
                    <select
                      aria-label={`What to do about: ${name}`}
                      className="min-h-9 w-64"
                      disabled={head.closed || leaving.busy}
                      value={outcome ?? ""}
                      onChange={(event) =>
                        leaving.press({ jobId: head.jobId, faultId, outcome: (event.target.value as FaultOutcome) || null })
                      }
                    >
                      <option value="">repair it here</option>
                      {Object.entries(faultOutcomes).map(([id, way]) => (
                        <option key={id} value={id}>
                          {way.name}
                        </option>
                      ))}
                    </select>
                  </li>
                ))}
              </ul>
            </div>
          )}
          <Refused of={[striking, foreseeing, removing, leaving, covering, decliningPart, strikingKit]} />
          <MoreParts
            declined={declined}
            may={head.closed ? [] : may}
            nameOf={nameOf}
            closed={head.closed}
            onYes={(positionId) => decliningPart.press({ jobId: head.jobId, positionId, declined: false })}
            onAdd={(positionId) => foreseeing.press({ jobId: head.jobId, positionId, wanted: true })}
          />
          {foreseen.length > 0 && !head.closed && (
            <div className="mt-3">
              <h3>{head.path.kind === "upgrade" ? "Upgrades that fit" : "Replaced by shop policy"}</h3>
              <ul>
                {foreseen.map(({ positionId, words: what }) => (
                  <li key={positionId} className="rule-row flex items-center justify-between gap-2">
                    {what}
                    <button
                      type="button"
                      className="act-link min-h-10"
                      aria-label={`Add ${what}`}
                      onClick={() => foreseeing.press({ jobId: head.jobId, positionId, wanted: true })}
                    >
                      Add
                    </button>
                  </li>
                ))}
              </ul>
            </div>
          )}
          <div className="mt-3">{ways}</div>
        </div>
        <div className="flex flex-col gap-3">
          <div className="border-2 border-ink p-3">
            <p className="text-note">Total with tax, {currency}</p>
            <p className="num text-measure">{formatMinor(sum.totalMinor)}</p>
            <p>
              Spending limit: <span className="num">{limitMinor === null ? "always ask" : formatMinor(limitMinor)}</span>
              {partsLimitMinor !== null && (
                <>
                  , of which for parts <span className="num">{formatMinor(partsLimitMinor)}</span>
                </>
              )}
            </p>
          </div>
          {beyondWorth && (
            <p className="alarm">
              Not recommended: this reel is worth about <span className="num">{formatMinor(valueMinor)}</span>, this costs{" "}
              <span className="num">{formatMinor(sum.totalMinor)}</span>.
            </p>
          )}
          {options.length > 1 && (
            <details>
              <summary className="act-link min-h-10">Compare options</summary>
              <table className="plain-table">
                <tbody>
                  {options.map((option) => (
                    <tr key={option.words}>
                      <td>
                        {option.words}
                        {valueMinor !== null && option.totalMinor > valueMinor && (
                          <strong className="block">Not recommended: more than the reel is worth.</strong>
                        )}
                      </td>
                      <td className="num text-right">{formatMinor(option.totalMinor)}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </details>
          )}
          <p className={mayGo ? "font-semibold" : "alarm"} role="status">
            {consent === "ask" && quote.partsOver ? "The parts cost more than the limit for parts: ask first." : consentWords[consent]}
            {consent === "call" && ` ${quote.callFor.join(", ")}.`}
            {consent === "ask" &&
              quote.callFor.length > 0 &&
              ` They also want a call before this is replaced: ${quote.callFor.join(", ")}.`}
          </p>
          {!mayGo && !head.closed && (
            <>
              <p>
                {customer.name}:{" "}
                <PhoneNumber
                  phone={customer.phone}
                  of={customer.name}
                  message={textMessages.quote({ reel: head.reel, tag: head.tag, sum: `${formatMinor(sum.totalMinor)} ${currency}`, shop })}
                />
              </p>
              <Field label="Customer's answer, word for word (optional)" error={answering.fields.words}>
                {(field) => <textarea {...field} rows={3} value={words} onChange={(event) => setWords(event.target.value)} />}
              </Field>
              <Refused of={[answering]} beside />
            </>
          )}
          {asking}
          {!head.closed && <DeclineForm jobId={head.jobId} reason={declinedReason} />}
          {quote.answers.length > 0 && (
            <ul>
              {quote.answers.map((said) => (
                <li key={said.at} className="rule-row py-1">
                  <strong>{said.accepted ? "Yes" : "No"}</strong> to <span className="num">{formatMinor(said.totalMinor)}</span>,{" "}
                  {instantWords(said.at)}, recorded by {said.person}: “{said.words}”
                </li>
              ))}
            </ul>
          )}
        </div>
      </div>
    </BenchSheet>
  );
}
