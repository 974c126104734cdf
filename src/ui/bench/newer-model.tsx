"use client";
import { useAct } from "@/ui/act/use-act";
import { Refused } from "@/ui/controls/refused";

/** The model was changed since this job was opened: what differs, taken over for this reel by one press; what is done stays. */
export function NewerModel({ jobId, changes }: { readonly jobId: number; readonly changes: readonly string[] }) {
  const act = useAct("follow-model");
  return (
    <details className="mb-2">
      <summary className="act-link min-h-10">
        The model has changed since: {changes.length} {changes.length === 1 ? "difference" : "differences"}
      </summary>
      <ul className="list-disc pl-5">
        {changes.slice(0, 12).map((words) => (
          <li key={words}>{words}</li>
        ))}
        {changes.length > 12 && <li>and {changes.length - 12} more</li>}
      </ul>
      <button type="button" className="key key-small mt-1" disabled={act.busy} onClick={() => act.press({ jobId })}>
        Use it for this reel
      </button>
      <Refused of={[act]} />
    </details>
  );
}
