"use client";
import { ActForm, FormChoice, FormSend, FormText } from "@/ui/controls/form";

export interface ShownCorrection {
  readonly id: number;
  readonly words: string;
}

/** What is added to a job that was handed back: it is not changed any more. */
export function Corrections({ jobId, kept }: { jobId: number; kept: readonly ShownCorrection[] }) {
  return (
    <section aria-label="Added after the return" className="mt-4">
      <h2>Added after the return</h2>
      <ul>
        {kept.map(({ id, words }) => (
          <li key={id} className="rule-row py-1">
            {words}
          </li>
        ))}
      </ul>
      <ActForm
        act="correct-job"
        label="Added after the return"
        className="mt-2 flex flex-col gap-2"
        values={{ words: "", amountMinor: "", paidBy: "" }}
        also={{ jobId }}
        empties
      >
        <FormText name="words" label="Correction or later note" />
        <div className="flex items-end gap-2">
          <FormText name="amountMinor" label="Extra charge (minus for a reduction)" figures className="flex-1" />
          <FormChoice name="paidBy" label="Money" of={{ "": "not paid yet", cash: "cash", card: "card", transfer: "transfer" }} />
          <FormSend>Add</FormSend>
        </div>
      </ActForm>
    </section>
  );
}
