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
      <summary className="act-link min-h-10">{name} wants their data, or to be erased</summary>
      <a className="act-link" href={`/ledger/customer/${id}`} download>
        All their data, as one file
      </a>
      <p className="mt-2">
        Erasing removes name, phone, e-mail, notes, who collected and paid, and their own words. Reels keep their history without a name.{" "}
        {invoiceYears > 0
          ? `Invoices keep only the name, until the end of the year ${invoiceYears} years after the last one.`
          : "Invoices keep no name."}{" "}
        Pictures of reels are kept. Older backups still hold the data until they are deleted, at most a year; restoring one erases it again.
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
