"use client";
import { formatMinor } from "@/core/money/money";
import { mayGoOn } from "@/core/quote/consent";
import { pieceSources } from "@/core/vocabulary/piece-sources";
import { BenchSheet } from "@/ui/bench/bench-sheet";
import { Key } from "@/ui/controls/keys";
import { NextLink } from "@/ui/controls/next-link";
import { Refused } from "@/ui/controls/refused";
import { AddLine } from "./add-line";
import { QuoteAnswer } from "./quote-answer";
import { QuoteFound } from "./quote-found";
import { QuoteLines } from "./quote-lines";
import type { QuoteProps } from "./quote-props";
import { MoreParts } from "./quoted-pieces";
import { type QuotePresses, useQuote } from "./use-quote";
import { WhoPays } from "./who-pays";

/** The quote as its customer reads it: what was reported and found, what is done for it, what it costs; above the limit the job waits for a yes, kept with its words. */
export function QuoteSheet(props: QuoteProps) {
  const { head, add, pays } = props;
  const presses = useQuote(props);
  return (
    <BenchSheet head={head} station="quote" act={<QuoteKeys props={props} presses={presses} />}>
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
              <Key shortcut="a" words="Add it to the quote" busy={presses.foreseeing.busy} onPress={presses.addAsked}>
                Add it
              </Key>
            </div>
          )}
          {pays !== null && !head.closed && <WhoPays jobId={head.jobId} pays={pays} />}
          <QuoteFound props={props} presses={presses} />
          <QuoteLines props={props} presses={presses} />
          <Refused of={presses.ofLines} />
          <ChangeQuote props={props} presses={presses} />
        </div>
        <QuoteAnswer props={props} presses={presses} />
      </div>
    </BenchSheet>
  );
}

function QuoteKeys({ props: { head, quote, declinedReason }, presses }: { props: QuoteProps; presses: QuotePresses }) {
  const { busy } = presses.answering;
  if (head.closed || mayGoOn(quote.consent))
    return declinedReason === null ? (
      <NextLink href={`/bench/${head.tag}/strip`} words="On to Strip" />
    ) : (
      <NextLink href={`/bench/${head.tag}/return`} words="On to Return" />
    );
  // Nobody says yes for the customer by a space bar: each answer has its own letter.
  return (
    <>
      <Key
        className="key-main"
        shortcut="y"
        words="Yes, said at the counter"
        busy={busy}
        onPress={() => presses.answer(true, "at the counter")}
      >
        Yes, at the counter
      </Key>
      <Key shortcut="p" words="Yes, said by phone" busy={busy} onPress={() => presses.answer(true, "by phone")} className="min-w-40">
        Yes, by phone
      </Key>
      <Key shortcut="n" words="Customer says no" busy={busy} onPress={() => presses.answer(false, "said no")} className="min-w-40">
        Customer says no
      </Key>
    </>
  );
}

/** What may still be put into it or was taken out: lines of one's own, parts that may come on top, ways of working. */
function ChangeQuote({ props, presses }: { props: QuoteProps; presses: QuotePresses }) {
  const { head, declined, may, foreseen, seatNames, ways } = props;
  return (
    <>
      {!head.closed && <AddLine jobId={head.jobId} />}
      <MoreParts
        declined={declined}
        may={head.closed ? [] : may}
        nameOf={(positionId) => seatNames[positionId] ?? positionId}
        closed={head.closed}
        onYes={(positionId) => presses.declinePart(positionId, false)}
        onAdd={(positionId) => presses.foresee(positionId, true)}
      />
      {foreseen.length > 0 && !head.closed && (
        <div className="mt-3">
          <h3>{head.path.kind === "upgrade" ? "Upgrades that fit" : "Replaced by shop policy"}</h3>
          <ul>
            {foreseen.map(({ positionId, words }) => (
              <li key={positionId} className="rule-row flex items-center justify-between gap-2">
                {words}
                <button
                  type="button"
                  className="act-link min-h-10"
                  aria-label={`Add ${words}`}
                  onClick={() => presses.foresee(positionId, true)}
                >
                  Add
                </button>
              </li>
            ))}
          </ul>
        </div>
      )}
      <div className="mt-3">{ways}</div>
    </>
  );
}
