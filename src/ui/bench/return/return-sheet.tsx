"use client";
import Link from "next/link";
import { useState } from "react";
import { lowered } from "@/core/account/counted-names";
import { paperName } from "@/core/papers/papers";
import { useAct } from "@/ui/act/use-act";
import { BenchSheet } from "@/ui/bench/bench-sheet";
import { stationNames } from "@/ui/bench/stations-words";
import { MainKey } from "@/ui/controls/keys";
import { NextLink } from "@/ui/controls/next-link";
import { Refused } from "@/ui/controls/refused";
import { Corrections } from "./corrections";
import { HandOver } from "./hand-over";
import { MoneyDue } from "./money-due";
import { ReportWords } from "./report-words";
import { type HandBack, HandBackFields, handBackInput } from "./return-fields";
import type { ReturnProps } from "./return-props";
import { StationTimes } from "./station-times";
import { questionId, StillHere } from "./still-here";
import { ToldAccount } from "./told-account";
import { TakeBack } from "./ways-out";

/** What is said of a reel that hangs ready: tested only where it was, since its last piece went in. */
function readyWords({ declinedReason, putRightMinor, together }: ReturnProps): string {
  if (declinedReason !== null) return "Unrepaired: ready to collect";
  if (putRightMinor !== null) return "Checked: ready to collect";
  return together.tested > 0 && !together.bad.length ? "Tested: ready to collect" : "Ready to collect";
}

/** The question on this page that waits for a word: into sight, and next under the Tab key. */
function toQuestion(about: string): void {
  const question = document.getElementById(questionId(about));
  question?.scrollIntoView({ block: "center" });
  question?.focus();
}

const namesOf = (brought: ReturnProps["brought"], items: readonly string[]): string =>
  items.map((item) => brought.find(({ id }) => id === item)?.words ?? item).join(", ");

/** The last sheet, in the order of a counter: what was done, what goes over it, what is paid. A part left in the tray keeps the job open. */
export function ReturnSheet(props: ReturnProps) {
  const { head, handedBack, invoice, next } = props;
  const [hand, setHand] = useState<HandBack>({ signedBy: props.customer, paidBy: "", paidNote: "", oldParts: "" });
  const readying = useAct("ready");
  const closing = useAct("close");
  const giving = useAct("tick");
  const ready = readyWords(props);
  return (
    <BenchSheet
      head={head}
      station="return"
      act={
        head.closed ? (
          <a className="key key-main" href={`/bench/${head.tag}/report.pdf`} target="_blank" rel="noreferrer">
            Report
          </a>
        ) : next.what === "go" ? (
          <NextLink href={`/bench/${head.tag}/${next.station}`} words={`First: ${stationNames[next.station]}`} />
        ) : next.what === "say" ? (
          <MainKey words="What keeps it here" onPress={() => toQuestion(next.about)}>
            Answer first: {lowered(next.name)}
          </MainKey>
        ) : next.what === "give" ? (
          <MainKey
            busy={giving.busy || giving.stale}
            words="Given back"
            onPress={() => {
              for (const item of next.items) giving.press({ jobId: head.jobId, item, given: true });
            }}
          >
            Given back: {namesOf(props.brought, next.items)}
          </MainKey>
        ) : next.what === "return" ? (
          <MainKey
            busy={closing.busy || closing.stale}
            words="Return it"
            onPress={() => closing.press({ jobId: head.jobId, ...handBackInput(hand) })}
          >
            Return it
          </MainKey>
        ) : (
          <MainKey busy={readying.busy || readying.stale} words={ready} onPress={() => readying.press({ jobId: head.jobId })}>
            {ready}
          </MainKey>
        )
      }
    >
      <Refused of={[readying, giving]} />
      <Refused of={[closing]} beside />
      {props.above}
      <div className="grid gap-8 lg:grid-cols-[1.2fr_1fr_1fr]">
        <section>
          {handedBack && (
            <>
              <h2>Returned</h2>
              <p>{handedBack}</p>
            </>
          )}
          {invoice !== null && (
            <Link className="act-link inline-flex min-h-10 items-center" href={`/ledger/papers/${invoice}`} prefetch={false}>
              Invoice {paperName("invoice", invoice)}
            </Link>
          )}
          <StillHere props={props} />
          <h2 className="mt-4 first:mt-0">What was done</h2>
          <ToldAccount account={props.account} />
          <ReportWords jobId={head.jobId} closed={head.closed} asks={props.asks} />
          <StationTimes jobId={head.jobId} closed={head.closed} times={props.times} />
          {head.closed && props.returnedToday && <TakeBack jobId={head.jobId} />}
          {head.closed && <Corrections jobId={head.jobId} kept={props.corrections} />}
        </section>
        <HandOver props={props} />
        <MoneyDue props={props}>
          {!head.closed && (
            <HandBackFields value={hand} errors={closing.fields} onChange={(change) => setHand((typed) => ({ ...typed, ...change }))} />
          )}
        </MoneyDue>
      </div>
    </BenchSheet>
  );
}
