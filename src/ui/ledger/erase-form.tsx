"use client";
import { useState } from "react";
import { useAct } from "@/ui/act/use-act";
import { Refused } from "@/ui/controls/refused";

interface Props {
  readonly id: number;
  readonly name: string;
  /** For how many years an invoice keeps the name. */
  readonly invoiceYears: number;
}

/** What is held of one person, out; and, when they ask for it, gone. */
export function EraseForm({ id, name, invoiceYears }: Props) {
  const [sure, setSure] = useState(false);
  const act = useAct("erase-customer");
  return (
    <details>
      <summary className="act-link min-h-10">{name} asks what is held of them, or to be forgotten</summary>
      <a className="act-link" href={`/ledger/customer/${id}`} download>
        Everything held of them, as one file
      </a>
      <p className="mt-2">
        Erasing takes out name, phone, e-mail, note, who collected and paid, and what was written down in their words. Reels keep their
        history, under nobody's name.{" "}
        {invoiceYears > 0
          ? `Invoices keep the name alone, to the end of the year ${invoiceYears} years after the last one.`
          : "Invoices keep no name."}{" "}
        Pictures of reels stay. Copies of the shop made before still know them until those copies are thinned out, at most a year; whoever
        restores one has them erased again.
      </p>
      {sure ? (
        <button type="button" className="key key-small" disabled={act.busy} onClick={() => act.press({ id })}>
          Erase {name} for good
        </button>
      ) : (
        <button type="button" className="key key-small" onClick={() => setSure(true)}>
          Erase
        </button>
      )}
      <Refused of={[act]} />
    </details>
  );
}
