"use client";
import { useState } from "react";
import { readText } from "@/core/bring-in/read-text";
import { mostBytes, readTable, type TextTable } from "@/core/bring-in/table";
import { Field } from "./field";

export interface TableFile {
  readonly name: string;
  readonly table: TextTable;
  /** How its letters are kept. */
  readonly encoding: string;
}

interface Props {
  readonly label: string;
  readonly hint?: string;
  /** What to do with a file that is too big, in words; nothing where nothing helps. */
  readonly tooBig?: string;
  /** Told of what was read, and of nothing while a file is chosen and where it cannot be read. */
  readonly onFile: (file: TableFile | null) => void;
}

/** A spreadsheet's file, read here: whatever parts its cells and however its letters are kept. What it cannot be read for stands at it. */
export function TableFileField({ label, hint, tooBig = "", onFile }: Props) {
  const [unread, setUnread] = useState<string>();
  const read = async (chosen: File) => {
    setUnread(undefined);
    onFile(null);
    if (chosen.size > mostBytes) return setUnread(`This file has more than ${mostBytes / 1024 / 1024} MB${tooBig && `: ${tooBig}`}.`);
    const { text, encoding } = readText(new Uint8Array(await chosen.arrayBuffer()));
    const table = readTable(text);
    if (!table.ok) return setUnread(table.message);
    onFile({ name: chosen.name, table: table.value, encoding });
  };
  return (
    <Field label={label} error={unread} {...(hint ? { hint } : {})}>
      {(field) => (
        <input
          {...field}
          type="file"
          accept=".csv,.txt,.tsv,text/csv,text/plain"
          onChange={(event) => {
            const chosen = event.target.files?.[0];
            event.target.value = "";
            if (chosen) void read(chosen);
          }}
        />
      )}
    </Field>
  );
}
