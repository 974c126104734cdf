"use client";
import { useState } from "react";
import type { PartType, Position } from "@/core/anatomy/types";
import { cautionsAt } from "@/core/safety/cautions";
import type { Action } from "@/ui/act/press";
import { useAct } from "@/ui/act/use-act";
import { Cautions } from "@/ui/bench/cautions";
import { Field, Refused } from "@/ui/controls/field";
import { Key } from "@/ui/controls/keys";

interface Props {
  readonly jobId: number;
  readonly position: Position;
  readonly type: PartType;
  /** Screws and clips that may hold it unseen, still in the reel. */
  readonly holders: readonly string[];
  readonly serve: Action<void>;
  readonly onDone: () => void;
}

/** A part that will not come: what may still hold it, what to beware of, and serving it where it sits, recorded. Never force. */
export function StuckPanel({ jobId, position, type, holders, serve, onDone }: Props) {
  const [reason, setReason] = useState(position.inPlace ? "cannot be drawn here" : "");
  const act = useAct(serve, onDone);
  return (
    <form
      className="mt-2 flex flex-col gap-2 border border-ink p-2"
      onSubmit={(event) => {
        event.preventDefault();
        act.press({ jobId, positionId: position.id, reason });
      }}
    >
      <p className="font-semibold">Stuck: stop, do not force it.</p>
      <ul className="list-disc pl-5">
        {holders.length > 0 && <li>Still in, and it may hold it: {holders.join(", ")}.</li>}
        <li>A hidden screw: under a trim ring, under the handle, inside the spool's well?</li>
        {type.thread === "left" || type.shape.kind === "cap" || type.shape.kind === "nut" || type.shape.kind === "pinion" ? (
          <li>{type.thread === "left" ? "Its thread is left-hand." : "Is its thread left-hand?"}</li>
        ) : null}
        <li>Seized: oil on the thread, warmth, time; come back to it.</li>
      </ul>
      <Cautions said={cautionsAt({ at: "stuck", type })} />
      <Field label="Serve in place, because" error={act.fields.reason}>
        {(field) => (
          <input {...field} value={reason} maxLength={200} onChange={(event) => setReason(event.target.value)} autoComplete="off" />
        )}
      </Field>
      <Refused of={[act]} beside />
      <div className="flex gap-2">
        <button type="submit" className="key key-small" disabled={act.busy}>
          Serve in place
        </button>
        <Key onPress={onDone} className="key-small">
          It came off
        </Key>
      </div>
    </form>
  );
}
