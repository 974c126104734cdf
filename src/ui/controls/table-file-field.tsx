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
  /** A list can be pasted as well. */
  readonly paste?: true;
  /** Told of what was read, and of nothing while a file is chosen and where it cannot be read. */
  readonly onFile: (file: TableFile | null) => void;
}

/** A workbook is a packed file: its first two letters say so. */
const isWorkbook = (bytes: Uint8Array) => bytes[0] === 0x50 && bytes[1] === 0x4b;

/** A spreadsheet's file, read here: whatever parts its cells and however its letters are kept. What it cannot be read for stands at it. */
export function TableFileField({ label, hint, tooBig = "", paste, onFile }: Props) {
  const [unread, setUnread] = useState<string>();
  const take = ({ text, encoding }: ReturnType<typeof readText>, name: string) => {
    const table = readTable(text);
    if (!table.ok) return setUnread(table.message);
    onFile({ name, table: table.value, encoding });
  };
  const read = async (chosen: File) => {
    setUnread(undefined);
    onFile(null);
    if (chosen.size > mostBytes) return setUnread(`This file has more than ${mostBytes / 1024 / 1024} MB${tooBig && `: ${tooBig}`}.`);
    const bytes = new Uint8Array(await chosen.arrayBuffer());
    if (isWorkbook(bytes)) {
      const { readWorkbook } = await import("./read-workbook");
      const table = await readWorkbook(bytes);
      if (!table.ok) return setUnread(table.message);
      return onFile({ name: chosen.name, table: table.value, encoding: "XLSX" });
    }
    take(readText(bytes), chosen.name);
  };
  return (
    <div>
      <Field label={label} error={unread} {...(hint ? { hint } : {})}>
        {(field) => (
          <input
            {...field}
            type="file"
            accept=".csv,.txt,.tsv,.xlsx,text/csv,text/plain"
            onChange={(event) => {
              const chosen = event.target.files?.[0];
              event.target.value = "";
              if (chosen) void read(chosen);
            }}
          />
        )}
      </Field>
      {paste && (
        <Field label="or paste the list here">
          {(field) => (
            <textarea
              {...field}
              rows={2}
              placeholder="with its first row: what the columns are called"
              onPaste={(event) => {
                const text = event.clipboardData.getData("text/plain");
                if (!text.includes("\n")) return;
                event.preventDefault();
                setUnread(undefined);
                take({ text, encoding: "UTF-8" }, "what was pasted");
              }}
            />
          )}
        </Field>
      )}
    </div>
  );
}
