"use client";
import { useState } from "react";
import { formatMinor } from "@/core/money/money";
import { asItIsReasonIds, asItIsReasons } from "@/core/vocabulary/as-it-is";
import { faultOutcomeIds, faultOutcomes } from "@/core/vocabulary/fault-outcomes";
import type { TestId } from "@/core/vocabulary/tests";
import { useAct } from "@/ui/act/use-act";
import { Refused } from "@/ui/controls/refused";

const outKey = "min-h-10 border border-brass bg-sheet px-2 font-semibold text-brass";

/** A test that is bad still: with which word the reel goes so, by one press; the report says it. */
export function GoesAsItIs({ jobId, testId, test }: { jobId: number; testId: TestId; test: string }) {
  const act = useAct("goes-as-it-is");
  return (
    <fieldset className="mt-1 flex flex-wrap gap-1">
      <legend className="text-note font-normal">Return it as it is, because</legend>
      {asItIsReasonIds.map((reason) => (
        <button
          key={reason}
          type="button"
          className={outKey}
          aria-label={`${test} goes as it is: ${asItIsReasons[reason]}`}
          disabled={act.busy}
          onClick={() => act.press({ jobId, testId, reason })}
        >
          {asItIsReasons[reason]}
        </button>
      ))}
      <Refused of={[act]} />
    </fieldset>
  );
}

/** The same, said: taken back by one press. */
export function WentAsItIs({ jobId, testId, words, closed }: { jobId: number; testId: TestId; words: string; closed: boolean }) {
  const act = useAct("goes-as-it-is");
  return (
    <li className="border border-ink p-2">
      {words}
      {!closed && (
        <button type="button" className="act-link ml-2" disabled={act.busy} onClick={() => act.press({ jobId, testId, reason: null })}>
          Take that back
        </button>
      )}
    </li>
  );
}

/** A fault that no act has put right: it is, without a part off; or how it leaves. */
export function FaultLeaves({ jobId, faultId, fault }: { jobId: number; faultId: string; fault: string }) {
  const right = useAct("fault-put-right");
  const leaves = useAct("fault-outcome");
  return (
    <fieldset className="mt-1 flex flex-wrap gap-1">
      <legend className="text-note font-normal">One press</legend>
      <button
        type="button"
        className={outKey}
        aria-label={`${fault}: it has been fixed`}
        disabled={right.busy}
        onClick={() => right.press({ jobId, faultId, putRight: true })}
      >
        It has been fixed
      </button>
      {faultOutcomeIds.map((outcome) => (
        <button
          key={outcome}
          type="button"
          className={outKey}
          aria-label={`${fault}: ${faultOutcomes[outcome].name}`}
          disabled={leaves.busy}
          onClick={() => leaves.press({ jobId, faultId, outcome })}
        >
          {faultOutcomes[outcome].name}
        </button>
      ))}
      <Refused of={[right, leaves]} />
    </fieldset>
  );
}

/** A return of today that should not be: the reel hangs ready again, its invoice is credited. Asked twice. */
export function TakeBack({ jobId }: { jobId: number }) {
  const [sure, setSure] = useState(false);
  const act = useAct("reopen-return");
  return (
    <p className="mt-2">
      {sure ? (
        <button type="button" className="key key-small" disabled={act.busy} onClick={() => act.press({ jobId })}>
          Undo the return (credits its invoice)
        </button>
      ) : (
        <button type="button" className="act-link min-h-10" onClick={() => setSure(true)}>
          Returned by mistake today? Undo the return
        </button>
      )}
      <Refused of={[act]} />
    </p>
  );
}

/** A check that becomes the repair, in the same job: both prices side by side, and the key. */
export function CheckOrRepair({
  jobId,
  closed,
  checkMinor,
  repairMinor,
  currency,
}: {
  jobId: number;
  closed: boolean;
  checkMinor: number;
  repairMinor: number;
  currency: string;
}) {
  const act = useAct("make-repair");
  return (
    <div className="border border-ink p-2">
      {repairMinor > 0 ? (
        <p>
          Check only <span className="num">{formatMinor(checkMinor)}</span>, or repaired for about{" "}
          <span className="num">{formatMinor(repairMinor)}</span> {currency}, tax included.
        </p>
      ) : (
        <p>
          Check only: <span className="num">{formatMinor(checkMinor)}</span> {currency}, tax included. Nothing found that needs repair.
        </p>
      )}
      {!closed && (
        <button type="button" className="act-link min-h-10" disabled={act.busy} onClick={() => act.press({ jobId })}>
          Change to a repair (tests and findings stay)
        </button>
      )}
      <Refused of={[act]} />
    </div>
  );
}

/** What storing it costs by now: on the bill by one press, never by itself. */
export function StorageOwed({ jobId, words, minor, currency }: { jobId: number; words: string; minor: number; currency: string }) {
  const act = useAct("job-line");
  return (
    <div className="border border-ink p-2">
      <p>
        {words}, <span className="num">{formatMinor(minor)}</span> {currency} before tax.
      </p>
      {minor > 0 && (
        <button
          type="button"
          className="act-link min-h-10"
          disabled={act.busy}
          onClick={() => act.press({ jobId, words, priceMinor: formatMinor(minor) })}
        >
          Add it to the bill
        </button>
      )}
      <Refused of={[act]} />
    </div>
  );
}
