"use client";
import { useState } from "react";
import type { Position } from "@/core/anatomy/types";
import { useAct } from "@/ui/act/use-act";
import type { BenchHead } from "@/ui/bench/bench-sheet";
import { Field } from "@/ui/controls/field";
import { Refused } from "@/ui/controls/refused";

/** Note for this model, for every reel of its model: one press puts it into the playbook as the next version. */
export function LessonForm({ head, position }: { head: BenchHead; position: Position }) {
  const [words, setWords] = useState("");
  const [said, setSaid] = useState("");
  const act = useAct("learn", ({ number }) => {
    setSaid(`In the playbook from version ${number}.`);
    setWords("");
  });
  const press = (about: "caution" | "trap" | "confirmed") => {
    setSaid("");
    act.press({ jobId: head.jobId, positionId: position.id, about, words });
  };
  const unsure = [...(position.guessed ? ["the seat"] : []), ...position.verify];
  if (head.closed) return null;
  return (
    <div className="flex flex-col gap-1 border-t border-ink pt-2">
      <Field label="What should every job on this model show here?" error={act.fields.words}>
        {(field) => (
          <input {...field} value={words} maxLength={200} onChange={(event) => setWords(event.target.value)} autoComplete="off" />
        )}
      </Field>
      <div className="flex flex-wrap gap-1">
        <button type="button" className="key key-small" disabled={!words.trim() || act.busy} onClick={() => press("caution")}>
          As a caution
        </button>
        <button type="button" className="key key-small" disabled={!words.trim() || act.busy} onClick={() => press("trap")}>
          As a trap
        </button>
        {unsure.length > 0 && (
          <button type="button" className="key key-small border-dashed" disabled={act.busy} onClick={() => press("confirmed")}>
            Verified: {unsure.join(", ")}
          </button>
        )}
      </div>
      <Refused of={[act]} beside />
      {said && <p role="status">{said}</p>}
    </div>
  );
}
