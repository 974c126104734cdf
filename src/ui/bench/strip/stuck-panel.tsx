"use client";
import { useState } from "react";
import type { PartType, Position } from "@/core/anatomy/types";
import type { StuckHelp } from "@/core/hands/stuck";
import { cautionsAt } from "@/core/safety/cautions";
import { Cautions } from "@/ui/bench/cautions";
import { Field } from "@/ui/controls/field";
import { Key } from "@/ui/controls/keys";

interface Props {
  readonly jobId: number;
  readonly position: Position;
  readonly type: PartType;
  readonly help: StuckHelp;
  /** Serves it where it sits; the reason stands in the report. */
  readonly serve: (reason: string) => void;
  readonly onDone: () => void;
  /** It broke in the hand: it lies in the tray, a new one is wanted, its owner is told. */
  readonly broke: () => void;
}

/** A part that does not come: what to free first, why it may sit fast, how to hold it, and serving it where it sits. Never force. */
export function StuckPanel({ position, type, help, serve, onDone, broke }: Props) {
  const [reason, setReason] = useState("would not come off");
  return (
    <form
      className="mt-2 flex flex-col gap-2 border border-ink p-2"
      onSubmit={(event) => {
        event.preventDefault();
        serve(reason.trim() || "would not come off");
      }}
    >
      <p className="font-semibold">Stuck: stop, do not force it.</p>
      {help.freeFirst.length > 0 && <p>Free it first: {help.freeFirst.join(", ")}.</p>}
      <ul className="list-disc pl-5">
        {help.causes.map((cause) => (
          <li key={cause}>{cause.charAt(0).toUpperCase() + cause.slice(1)}</li>
        ))}
      </ul>
      <p>{help.hold.join(" ")}</p>
      <Cautions said={cautionsAt({ at: "stuck", type })} />
      <Field label={`${position.name} stays in, because`}>
        {(field) => (
          <input {...field} value={reason} maxLength={200} onChange={(event) => setReason(event.target.value)} autoComplete="off" />
        )}
      </Field>
      <div className="flex gap-2">
        <button type="submit" className="key key-small">
          Service in place
        </button>
        <Key onPress={onDone} className="key-small">
          It came off
        </Key>
        <Key onPress={broke} className="key-small" label={`It broke coming off: ${position.name}`}>
          It broke coming off
        </Key>
      </div>
    </form>
  );
}
