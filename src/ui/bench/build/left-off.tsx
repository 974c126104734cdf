"use client";
import { useState } from "react";
import { leftOffReasons } from "@/core/vocabulary/build-reasons";
import { useAct } from "@/ui/act/use-act";
import { ReasonChoice } from "@/ui/controls/reason-choice";
import { Refused } from "@/ui/controls/refused";

interface Props {
  readonly jobId: number;
  readonly operationId: string;
  readonly name: string;
  /** The reel goes out without it only on its owner's word. */
  readonly load: boolean;
  /** Its piece is here. */
  readonly here: boolean;
  /** It was not there when the reel came: a new one can be asked for; null for any other. */
  readonly wanted: { readonly positionId: string } | null;
  readonly onDone: () => void;
}

/** A step that was left for later, or whose piece is not here: it is done now, or left off by a word that the report says. */
export function LeftOff({ jobId, operationId, name, load, here, wanted, onDone }: Props) {
  const [reason, setReason] = useState("");
  const act = useAct("step-left-off", onDone);
  const order = useAct("foresee", onDone);
  return (
    <section className="mt-2 border border-ink p-2" aria-label="Left off">
      <p className="font-semibold">
        {wanted
          ? `${name}: missing when the reel arrived.`
          : here
            ? `${name}: do it now, or leave it off. The parts that cover it have to wait.`
            : `The new ${name} is not here yet. Fit it at Parts, or leave it off; the parts that cover it have to wait.`}
        {load && " It carries load: the reel may only go out without it if its owner agrees."}
      </p>
      {wanted && (
        <button
          type="button"
          className="key key-small"
          disabled={order.busy}
          onClick={() => order.press({ jobId, positionId: wanted.positionId, wanted: true })}
        >
          Needs a new one
        </button>
      )}
      {/* Folded, so that the step itself and its cautions stay in sight. */}
      <details>
        <summary className="act-link min-h-10">Leave it off, and why</summary>
        <ReasonChoice
          label="Reason for leaving it off (printed in the report)"
          reasons={leftOffReasons}
          reason={reason}
          error={act.fields.reason}
          onReason={setReason}
        />
        <button
          type="button"
          className="key key-small mt-2"
          disabled={act.busy || !reason.trim()}
          onClick={() => act.press({ jobId, operationId, reason: reason.trim() })}
        >
          Leave it off
        </button>
      </details>
      <Refused of={[act, order]} beside />
    </section>
  );
}
