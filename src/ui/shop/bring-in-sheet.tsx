"use client";
import Papa from "papaparse";
import { useMemo, useState } from "react";
import { kindWords } from "@/core/anatomy/shapes";
import {
  type BringInKind,
  bringInKindIds,
  bringInKinds,
  type ColumnsOf,
  faultWords,
  guessColumns,
  kindOfColumns,
  leftOutRows,
  type RowFault,
  rowsOf,
  templateColumns,
} from "@/core/bring-in/kinds";
import { partOfWords } from "@/core/bring-in/part-of-words";
import { mostRows, type TextTable } from "@/core/bring-in/table";
import { useAct } from "@/ui/act/use-act";
import { Refused } from "@/ui/controls/refused";
import { TabRail } from "@/ui/controls/tab-rail";
import { type TableFile, TableFileField } from "@/ui/controls/table-file-field";
import { ChoiceField } from "@/ui/controls/text-field";

interface Props {
  readonly earlier: readonly { readonly id: number; readonly words: string; readonly undone: string | null }[];
}

const separators: Readonly<Record<string, string>> = { ";": "semicolons", ",": "commas", "\t": "tabs", "|": "bars" };
/** Rows as a file to keep. */
const asFile = (rows: readonly (readonly string[])[]) =>
  `data:text/csv;charset=utf-8,${encodeURIComponent(`\uFEFF${Papa.unparse(rows as string[][])}`)}`;
/** What a part is taken for by its words, and that its size is only usual where none stands there. */
const readAs = (name: string) => {
  const { kind, sized } = partOfWords(name);
  return `${kindWords[kind]}${kind === "unsorted" || sized ? "" : ", size not said"}`;
};
const shownRows = 8;
const shownFaults = 30;

/** A file, its columns named by hand where their headings do not say it, a look at what comes, and all of it in by one press or none. */
export function BringInSheet({ earlier }: Props) {
  const [kind, setKind] = useState<BringInKind>("customers");
  const [file, setFile] = useState<TableFile | null>(null);
  const [columns, setColumns] = useState<ColumnsOf>({});
  const [beside, setBeside] = useState<readonly RowFault[]>([]);
  const [said, setSaid] = useState("");
  const [noCopy, setNoCopy] = useState(false);
  const [left, setLeft] = useState<string[][] | null>(null);
  const choose = (now: BringInKind, table: TextTable | undefined) => {
    setKind(now);
    setColumns(table ? guessColumns(now, table.columns) : {});
    setBeside([]);
    setSaid("");
  };
  const take = (read: TableFile | null) => {
    setFile(read);
    setLeft(null);
    if (read) choose(kindOfColumns(read.table.columns, kind), read.table);
  };
  const made = useMemo(() => (file ? rowsOf(kind, file.table.rows, columns, file.table.lines) : null), [file, kind, columns]);
  const faults = made?.faults.length ? made.faults : beside;
  const act = useAct("bring-in", (value) => {
    if ("faults" in value) return setBeside(value.faults);
    setNoCopy("noCopy" in value);
    if ("noCopy" in value) return;
    if (file && value.left.length) setLeft(leftOutRows(file.table, value.left));
    const came = (file?.table.rows.length ?? 0) - new Set(value.left.map(({ row }) => row)).size;
    setSaid(`Brought in: ${came} row${came === 1 ? "" : "s"} of ${file?.name}.`);
    setFile(null);
    setBeside([]);
  });
  const undoing = useAct("undo-bring-in", () => setSaid("Import undone."));
  const fields = Object.entries(bringInKinds[kind].fields) as [string, { readonly words: string; readonly must?: true }][];
  const out = new Set(faults.map(({ row }) => row)).size;
  const brought = ({ name, table }: TableFile) => ({ kind, file: name, columns, rows: table.rows, lines: table.lines });
  const faultAt = (row: number, field: string) => faults.find((fault) => fault.row === row && fault.field === field);
  return (
    <div className="mt-2 flex flex-col gap-6">
      <h1>Bring in</h1>
      <TabRail
        label="What to import"
        tabs={bringInKindIds.map((id) => ({ id, name: bringInKinds[id].name }))}
        chosen={kind}
        onChoose={(id) => choose(id as BringInKind, file?.table)}
      >
        <div className="flex flex-col gap-4">
          <p>
            Columns: {fields.map(([, { words, must }]) => (must ? `${words} (required)` : words)).join(", ")}. In any order, with any
            headings.{" "}
            <a className="act-link" download={`${kind}.csv`} href={asFile([templateColumns(kind)])}>
              An empty file with these columns
            </a>
          </p>
          <TableFileField
            label="A spreadsheet's file (CSV or XLSX)"
            paste
            hint={`First row: what the columns are called. Up to ${mostRows} rows, any separator and text encoding.`}
            tooBig="bring it in with several"
            onFile={take}
          />
          {file && made && (
            <>
              <p>
                {file.name}: <span className="num">{file.table.rows.length}</span> {file.table.rows.length === 1 ? "row" : "rows"},{" "}
                {file.encoding}, separated by {separators[file.table.separator] ?? "cells"}.
              </p>
              <div className="grid grid-cols-2 gap-3 lg:grid-cols-4">
                {fields.map(([id, { words, must }]) => (
                  <ChoiceField<string>
                    key={id}
                    label={`${words}${must ? "" : " (optional)"}`}
                    of={{ "": "no column", ...Object.fromEntries(file.table.columns.map((column, i) => [String(i), column])) }}
                    value={columns[id] === undefined ? "" : String(columns[id])}
                    error={faultAt(1, id)?.message}
                    onChoose={(at) => {
                      const { [id]: _, ...rest } = columns;
                      setColumns(at === "" ? rest : { ...rest, [id]: Number(at) });
                      setBeside([]);
                    }}
                  />
                ))}
              </div>
              {made.rows.length > 0 && (
                <table className="plain-table">
                  <thead>
                    <tr>
                      <th>Line</th>
                      {fields.map(([id, { words }]) => (columns[id] === undefined ? null : <th key={id}>{words}</th>))}
                      {kind === "parts" && <th>read as</th>}
                    </tr>
                  </thead>
                  <tbody>
                    {made.rows.slice(0, shownRows).map((row, i) => (
                      // biome-ignore lint/suspicious/noArrayIndexKey: a file's rows stand where they stand
                      <tr key={i}>
                        <td className="num">{file.table.lines[i]}</td>
                        {fields.map(([id]) => (columns[id] === undefined ? null : <td key={id}>{row[id]}</td>))}
                        {kind === "parts" && <td className="text-note">{readAs(row.name ?? "")}</td>}
                      </tr>
                    ))}
                  </tbody>
                </table>
              )}
              {made.rows.length > shownRows && <p className="text-note">and {made.rows.length - shownRows} more</p>}
              {made.rows.length > 0 && faults.length > 0 && (
                <div role="alert" className="alarm">
                  <p>These rows cannot be imported. Fix them in the file, choose another column, or leave them out:</p>
                  <ul>
                    {faults.slice(0, shownFaults).map(({ row, field, message }) => (
                      <li key={`${row} ${field}`}>{faultWords(kind, { row, field, message }, file.table.columns, columns)}</li>
                    ))}
                  </ul>
                  {faults.length > shownFaults && <p>and {faults.length - shownFaults} more</p>}
                  {out < file.table.rows.length && (
                    <button
                      type="button"
                      className="key mt-2"
                      disabled={act.busy}
                      onClick={() => act.press({ ...brought(file), leaveOut: true })}
                    >
                      Bring in {file.table.rows.length - out}, leave {out} out
                    </button>
                  )}
                </div>
              )}
              <button
                type="button"
                className="key key-main"
                disabled={act.busy || !made.rows.length || faults.length > 0}
                onClick={() => act.press(brought(file))}
              >
                Bring in {file.table.rows.length} row{file.table.rows.length === 1 ? "" : "s"}
              </button>
            </>
          )}
          <Refused of={[act]} />
          {noCopy && file && (
            <p role="alert" className="alarm">
              The shop could not be backed up first, so nothing was imported. Run npm run doctor to see why; then press again, or{" "}
              <button
                type="button"
                className="act-link"
                onClick={() => act.press({ ...brought(file), leaveOut: faults.length > 0, uncopied: true })}
              >
                import without a backup
              </button>
            </p>
          )}
          {said && <p role="status">{said}</p>}
          {left && (
            <a className="act-link" download="left-out.csv" href={asFile(left)}>
              The {left.length - 1} left out, each with its reason
            </a>
          )}
        </div>
      </TabRail>
      {earlier.length > 0 && (
        <section>
          <h2>Brought in before</h2>
          <Refused of={[undoing]} />
          <ul>
            {earlier.map(({ id, words, undone }) => (
              <li key={id} className="rule-row flex flex-wrap items-center gap-4 py-2">
                <span>{words}</span>
                {undone ? (
                  <span className="text-note">taken back {undone}</span>
                ) : (
                  <button
                    type="button"
                    className="key key-small"
                    disabled={undoing.busy}
                    aria-label={`Undo this import: ${words}`}
                    onClick={() => undoing.press({ id })}
                  >
                    Undo this import
                  </button>
                )}
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}
