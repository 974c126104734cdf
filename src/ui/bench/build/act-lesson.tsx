"use client";
import { useState } from "react";
import { useAct } from "@/ui/act/use-act";
import { Field } from "@/ui/controls/field";
import { Refused } from "@/ui/controls/refused";

/** One more act after this one, for every reel of the model: into the playbook by one press. */
export function ActLesson({ jobId, operationId }: { jobId: number; operationId: string }) {
  const [words, setWords] = useState("");
  const [said, setSaid] = useState("");
  const act = useAct("learn-act", ({ number }) => {
    setSaid(`In the playbook from version ${number}.`);
    setWords("");
  });
  const press = (kind: "gate" | "press") => {
    setSaid("");
    act.press({ jobId, operationId, kind, words });
  };
  return (
    <details className="mt-2">
      <summary className="cursor-pointer font-semibold text-brass">Add a step for this model</summary>
      <div className="flex flex-wrap items-end gap-1">
        <Field label="What to do, or to look at" className="min-w-56 flex-1" error={act.fields.words}>
          {(field) => (
            <input {...field} value={words} maxLength={200} onChange={(event) => setWords(event.target.value)} autoComplete="off" />
          )}
        </Field>
        <button type="button" className="key key-small" disabled={!words.trim() || act.busy} onClick={() => press("press")}>
          As a step
        </button>
        <button type="button" className="key key-small" disabled={!words.trim() || act.busy} onClick={() => press("gate")}>
          As a check
        </button>
      </div>
      <Refused of={[act]} beside />
      {said && <p role="status">{said}</p>}
    </details>
  );
}
