"use client";
import Link from "next/link";
import { type ReactNode, useState } from "react";
import type { StationTime } from "@/core/bench-time/station-time";
import { formatMinor } from "@/core/money/money";
import { paperName } from "@/core/papers/papers";
import { leftOffReasons } from "@/core/vocabulary/build-reasons";
import type { TestId } from "@/core/vocabulary/tests";
import { useAct } from "@/ui/act/use-act";
import { type BenchHead, BenchSheet } from "@/ui/bench/bench-sheet";
import { DeclineForm } from "@/ui/bench/quote/decline-form";
import { type StationId, stationNames } from "@/ui/bench/stations-words";
import { Key, MainKey } from "@/ui/controls/keys";
import { NextLink } from "@/ui/controls/next-link";
import { ReasonChoice } from "@/ui/controls/reason-choice";
import { Refused } from "@/ui/controls/refused";
import { PaymentForm } from "@/ui/papers/paper-forms";
import { Corrections, type ShownCorrection } from "./corrections";
import { type ReportAsks, ReportWords } from "./report-words";
import { type HandBack, HandBackFields, handBackInput } from "./return-fields";
import { StationTimes } from "./station-times";
import { CheckOrRepair, FaultLeaves, GoesAsItIs, StorageOwed, TakeBack, WentAsItIs } from "./ways-out";

interface LeftOff {
  readonly id: string;
  readonly name: string;
  readonly why: string;
}

/** What was left off at Build, with the word that let it go; nothing where nothing was. */
function LeftOffList({ words, of, way }: { words: string; of: readonly LeftOff[]; way: { href: string; words: string } | null }) {
  if (!of.length) return null;
  return (
    <div className="mt-2 border border-ink p-2">
      <p className="font-semibold">{words}</p>
      <ul>
        {of.map(({ id, name, why }) => (
          <li key={id}>
            {name}: {why}
            {way && (
              <Link className="act-link ml-2" href={way.href}>
                {way.words}
              </Link>
            )}
          </li>
        ))}
      </ul>
    </div>
  );
}

/** What still keeps it here, with what it is about, so that it can be said on the spot. */
export interface Block {
  readonly code: string;
  readonly message: string;
  readonly positionId?: string;
  /** A test that is bad still, or a fault that is open, with its name. */
  readonly test?: { readonly id: TestId; readonly name: string };
  readonly fault?: { readonly id: string; readonly name: string };
  /** Where it is put right; null where that is this page. */
  readonly station: StationId | null;
}

interface Props {
  readonly head: BenchHead;
  readonly customer: string;
  readonly reelId: number;
  readonly totalMinor: number;
  readonly currency: string;
  /** Paid at the counter already. */
  readonly depositMinor: number;
  readonly declinedReason: string | null;
  /** For a purchase check: what it would cost to put right. */
  readonly putRightMinor: number | null;
  readonly above?: ReactNode;
  readonly asks: ReportAsks;
  readonly blocks: readonly Block[];
  /** Tests that are bad and with which it goes, in words. */
  readonly asItIs: readonly { readonly testId: TestId; readonly words: string }[];
  readonly brought: readonly { id: string; words: string; given: boolean }[];
  readonly nextOn: string;
  /** What is due when, by component, in words. */
  readonly due: readonly { readonly id: string; readonly words: string }[];
  /** What was said at the counter, for a last look. */
  readonly told: readonly string[];
  readonly times: readonly StationTime[];
  /** How a closed one was returned, in words; empty while it is here. */
  readonly handedBack: string;
  /** Its invoice; null where there is none. */
  readonly invoice: number | null;
  /** How it stands, minor units: what is open, below nothing to pay back, and what was credited of it; null where there is none. */
  readonly today: string;
  /** What storing it costs by now, where nobody fetched it. */
  readonly storage: { readonly words: string; readonly minor: number } | null;
  readonly balance: { readonly openMinor: number; readonly creditedMinor: number } | null;
  /** Pieces that came off and are settled, and checks that passed, tests after the work: what may be said of a reel with nothing open. */
  readonly together: {
    /** That came off and are back. */
    readonly pieces: number;
    readonly checks: number;
    /** Since the last piece went in. */
    readonly tested: number;
    /** Tests that are bad still. */
    readonly bad: readonly string[];
    /** What came off and stays out, with the word it was left off by. */
    readonly out: readonly LeftOff[];
    /** What was to be done with the pieces and was left undone by a word. */
    readonly undone: readonly LeftOff[];
  };
  readonly corrections: readonly ShownCorrection[];
  readonly hasDrag: boolean;
  /** It was returned today: that can be taken back. */
  readonly returnedToday: boolean;
}

/** The last sheet: what still blocks, the report, what came with it, who took it. A part left in the tray keeps the job open. */
export function ReturnSheet({
  head,
  customer,
  reelId,
  totalMinor,
  currency,
  depositMinor,
  declinedReason,
  putRightMinor,
  above,
  asks,
  blocks,
  asItIs,
  brought,
  nextOn,
  due,
  told,
  times,
  handedBack,
  invoice,
  balance,
  today,
  storage,
  together,
  corrections,
  hasDrag,
  returnedToday,
}: Props) {
  const [hand, setHand] = useState<HandBack>({ signedBy: customer, paidBy: "", paidNote: "", oldParts: "" });
  const readying = useAct("ready");
  const ticking = useAct("tick");
  const closing = useAct("close");
  const hangs = head.reached === "return";
  // A reel may hang ready while its owner is asked; it goes home once they said yes.
  const first = blocks.flatMap(({ station, code }) => (code === "over-limit" && !hangs ? [] : (station ?? [])))[0];
  const leftOver = blocks.flatMap(({ positionId }) => positionId ?? []);
  const readyWords =
    declinedReason !== null
      ? "Unrepaired: ready to collect"
      : putRightMinor === null
        ? together.tested > 0 && !together.bad.length
          ? "Tested: ready to collect"
          : "Ready to collect"
        : "Checked: ready to collect";
  // Returned, its invoice says what is still open: a lot's is of all its reels.
  const dueMinor = balance?.openMinor ?? totalMinor - depositMinor;
  const paid = head.closed && dueMinor === 0;
  const paidWords = balance?.creditedMinor ? "Settled, partly by credit" : "Paid";
  const dueWords = dueMinor < 0 ? "Refund due" : paid ? paidWords : balance ? "Unpaid on its invoice" : "To pay";
  return (
    <BenchSheet
      head={head}
      station="return"
      act={
        head.closed ? (
          <a className="key key-main" href={`/bench/${head.tag}/report.pdf`} target="_blank" rel="noreferrer">
            Report
          </a>
        ) : first ? (
          // What would be refused leads to where it is put right.
          <NextLink href={`/bench/${head.tag}/${first}`} words={`First: ${stationNames[first]}`} />
        ) : hangs ? (
          <MainKey
            busy={closing.busy || closing.stale}
            words="Return it"
            onPress={() => closing.press({ jobId: head.jobId, ...handBackInput(hand) })}
          >
            Return it
          </MainKey>
        ) : (
          <MainKey busy={readying.busy || readying.stale} words={readyWords} onPress={() => readying.press({ jobId: head.jobId })}>
            {readyWords}
          </MainKey>
        )
      }
    >
      <Refused of={[readying]} />
      <Refused of={[closing]} beside />
      {above}
      <div className="grid gap-8 lg:grid-cols-3">
        <section>
          <h2>{head.closed ? "Returned" : "Still open"}</h2>
          {handedBack && <p>{handedBack}</p>}
          {invoice !== null && (
            <Link className="act-link inline-flex min-h-10 items-center" href={`/ledger/papers/${invoice}`} prefetch={false}>
              Invoice {paperName("invoice", invoice)}
            </Link>
          )}
          {!head.closed && !blocks.length && (
            <p className="mt-2">
              {putRightMinor === null
                ? `Nothing. ${[
                    together.pieces &&
                      `${together.pieces === 1 ? "The one piece" : `All ${together.pieces} pieces`} that came off ${together.pieces === 1 ? "is" : "are"} back.`,
                    together.checks && `${together.checks} ${together.checks === 1 ? "check" : "checks"} passed.`,
                    brought.length && "Everything that came with it is ticked.",
                  ]
                    .filter(Boolean)
                    .join(" ")}`
                : "Nothing: every test is answered, everything that came with it is ticked."}
            </p>
          )}
          <LeftOffList
            words={head.closed ? "Returned without:" : "Will be returned without:"}
            of={together.out}
            way={head.closed ? null : { href: `/bench/${head.tag}/build`, words: "Fit it at Build" }}
          />
          <LeftOffList
            words="Not done:"
            of={together.undone}
            way={head.closed ? null : { href: `/bench/${head.tag}/build`, words: "Do it at Build" }}
          />
          <ul className="mt-2 flex flex-col gap-2">
            {blocks.map((block) => (
              <li key={block.message} className={block.code === "left-over" ? "alarm" : "border border-ink p-2"}>
                {block.message}
                {block.station && !head.closed && (
                  <Link className="act-link ml-2" href={`/bench/${head.tag}/${block.station}`}>
                    Go to {stationNames[block.station]}
                  </Link>
                )}
                {block.test && <GoesAsItIs jobId={head.jobId} testId={block.test.id} test={block.test.name} />}
                {block.fault && <FaultLeaves jobId={head.jobId} faultId={block.fault.id} fault={block.fault.name} />}
                {block.positionId && <LeaveOut head={head} positionIds={[block.positionId]} />}
              </li>
            ))}
            {asItIs.map((one) => (
              <WentAsItIs key={one.testId} jobId={head.jobId} closed={head.closed} {...one} />
            ))}
          </ul>
          {leftOver.length > 1 && !head.closed && (
            <LeaveOut head={head} positionIds={leftOver} words={`Leave all ${leftOver.length} out, with one reason`} />
          )}
          <ReportWords jobId={head.jobId} closed={head.closed} asks={asks} />
          <div className="mt-4">
            <StationTimes jobId={head.jobId} closed={head.closed} times={times} />
          </div>
          {head.closed && returnedToday && <TakeBack jobId={head.jobId} />}
          {head.closed && <Corrections jobId={head.jobId} kept={corrections} />}
        </section>
        <section className="flex flex-col gap-3">
          <h2>Came with it</h2>
          {!brought.length && <p>Nothing.</p>}
          {brought.map((item) => (
            <Key
              key={item.id}
              pressed={item.given}
              disabled={head.closed}
              onPress={() => ticking.press({ jobId: head.jobId, item: item.id, given: !item.given })}
              className="justify-between"
            >
              {item.words}
              <span>{item.given ? "given back ✓" : "still here"}</span>
            </Key>
          ))}
          <Refused of={[ticking]} />
          {told.length > 0 && (
            <ul className="border border-ink p-2" aria-label="Tell the customer">
              {told.map((words) => (
                <li key={words}>{words}</li>
              ))}
            </ul>
          )}
          <p>{hasDrag ? "Back off the drag for storage, wipe down" : "Wipe down"}, film of oil on bare metal.</p>
          <p>Next service: {nextOn}</p>
          <ul className="text-note">
            {due.map(({ id, words }) => (
              <li key={id}>{words}</li>
            ))}
          </ul>
        </section>
        <section className="flex flex-col gap-3">
          <div className="border-2 border-ink p-3">
            <p className="text-note">
              {dueWords}, {currency}, tax included
            </p>
            <p className="num text-measure">{formatMinor(paid ? totalMinor : Math.abs(dueMinor))}</p>
            {depositMinor > 0 && !head.closed && (
              <p>
                <span className="num">{formatMinor(totalMinor)}</span> less <span className="num">{formatMinor(depositMinor)}</span> paid at
                the counter
              </p>
            )}
          </div>
          {balance && invoice !== null && balance.openMinor !== 0 && (
            <PaymentForm
              key={balance.openMinor}
              number={invoice}
              open={formatMinor(Math.abs(balance.openMinor))}
              back={balance.openMinor < 0}
              today={today}
            />
          )}
          {storage && <StorageOwed jobId={head.jobId} {...storage} currency={currency} />}
          {putRightMinor !== null && (
            <CheckOrRepair
              jobId={head.jobId}
              closed={head.closed}
              check={formatMinor(totalMinor)}
              repair={formatMinor(putRightMinor)}
              currency={currency}
            />
          )}
          {!head.closed && putRightMinor === null && <DeclineForm jobId={head.jobId} reason={declinedReason} />}
          {!head.closed && (
            <HandBackFields value={hand} errors={closing.fields} onChange={(change) => setHand((typed) => ({ ...typed, ...change }))} />
          )}
          <a className="key" href={`/bench/${head.tag}/report.pdf`} target="_blank" rel="noreferrer">
            {head.closed ? "Report" : "Report so far"}
          </a>
          <div className="flex gap-2">
            <a className="key key-small flex-1" href={`/bench/${head.tag}/short.pdf`} target="_blank" rel="noreferrer">
              Short report
            </a>
            <a className="key key-small flex-1" href={`/bench/${head.tag}/service.ics`}>
              Calendar file
            </a>
          </div>
          <a className="key" href={`/bench/${head.tag}/record.html`}>
            Full record for the owner (one file)
          </a>
          <Link className="key" href={`/ledger/reel/${reelId}`}>
            Reel history
          </Link>
        </section>
      </div>
    </BenchSheet>
  );
}

function LeaveOut({
  head,
  positionIds,
  words = "Leave out, with a reason",
}: {
  head: BenchHead;
  positionIds: readonly string[];
  words?: string;
}) {
  const [open, setOpen] = useState(false);
  const [reason, setReason] = useState("");
  const act = useAct("leave-out");
  if (!open)
    return (
      <button type="button" className="act-link mt-1 block min-h-10" onClick={() => setOpen(true)}>
        {words}
      </button>
    );
  return (
    <form
      className="mt-2 flex flex-col gap-2 bg-sheet"
      onSubmit={(event) => {
        event.preventDefault();
        act.press({ jobId: head.jobId, positionIds, reason });
      }}
    >
      <ReasonChoice
        label="Why it is left out (printed in the report)"
        reasons={leftOffReasons}
        reason={reason}
        error={act.fields.reason ?? act.message ?? undefined}
        onReason={setReason}
      />
      <button type="submit" className="key key-small" disabled={act.busy}>
        Leave it out
      </button>
    </form>
  );
}
