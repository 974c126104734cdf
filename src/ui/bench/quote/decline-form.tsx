"use client";
import { useState } from "react";
import { useAct } from "@/ui/act/use-act";
import { Field } from "@/ui/controls/field";
import { Refused } from "@/ui/controls/refused";

interface Props {
  readonly jobId: number;
  readonly reason: string | null;
}

/** Sends the reel back unrepaired with a reason, or takes it on after all. Nothing is billed for it but what was fitted. */
export function DeclineForm({ jobId, reason }: Props) {
  const [open, setOpen] = useState(false);
  const [words, setWords] = useState("");
  const act = useAct("decline", () => setOpen(false));
  if (reason !== null)
    return (
      <div role="status" className="border-2 border-ink p-2">
        <p>
          Return unrepaired: <strong>{reason}</strong>
        </p>
        <button type="button" className="act-link min-h-10" disabled={act.busy} onClick={() => act.press({ jobId, reason: null })}>
          Take the job after all
        </button>
        <Refused of={[act]} />
      </div>
    );
  if (!open)
    return (
      <button type="button" className="act-link min-h-10 self-start" onClick={() => setOpen(true)}>
        Return unrepaired
      </button>
    );
  return (
    <form
      className="flex flex-col gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        act.press({ jobId, reason: words });
      }}
    >
      <Field label="Why it is returned unrepaired" error={act.fields.reason ?? act.message ?? undefined}>
        {(field) => <input {...field} value={words} onChange={(event) => setWords(event.target.value)} autoComplete="off" />}
      </Field>
      <button type="submit" className="key key-small self-start" disabled={act.busy}>
        Return it
      </button>
    </form>
  );
}
