"use client";
import { useRouter } from "next/navigation";
import Papa from "papaparse";
import { type ClipboardEvent, useState } from "react";
import { filledDown, isBlank, type LotColumn, type LotFault, type LotRow, lotColumns, lotColumnWords } from "@/core/lots/lot-rows";
import type { Opening } from "@/core/schedule/opening";
import type { DragWish } from "@/core/vocabulary/counter-lists";
import { dragWishes, lives } from "@/core/vocabulary/counter-lists";
import { type DepthId, depths } from "@/core/vocabulary/job-kinds";
import type { UseFactor, Water } from "@/core/vocabulary/use";
import { waterWords } from "@/core/vocabulary/use";
import { useAct } from "@/ui/act/use-act";
import { Field } from "@/ui/controls/field";
import { Refused } from "@/ui/controls/refused";
import { type Choice, SearchField } from "@/ui/controls/search-field";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";
import { ShutDay } from "./shut-day";

interface Props {
  readonly currency: string;
  readonly promise: string;
  readonly opening: Opening;
}

const blank: LotRow = { serial: "", mark: "", complaint: "", condition: "", depth: "", drag: "" };
/** Words that stand for a choice in a cell. */
const cellWords: Partial<Record<LotColumn, readonly string[]>> = { depth: Object.values(depths), drag: Object.values(dragWishes) };
const blanks = (count: number) => Array.from({ length: count }, () => blank);

/** Like reels from one sender: said once what they share, then one line a reel, typed or pasted from a spreadsheet. */
export function LotIntakeSheet({ currency, promise, opening }: Props) {
  const router = useRouter();
  const [form, setForm] = useState({
    name: "",
    customerId: "",
    customerName: "",
    modelId: "",
    water: "salt" as Water,
    tripsPerYear: "100",
    life: ["fleet"] as UseFactor[],
    dragWish: "shop" as DragWish,
    depth: "" as DepthId | "",
    limit: "",
    promisedOn: promise,
  });
  const [customer, setCustomer] = useState<Choice | null>(null);
  const [model, setModel] = useState<Choice | null>(null);
  const [rows, setRows] = useState<readonly LotRow[]>(blanks(12));
  const [faults, setFaults] = useState<readonly LotFault[]>([]);
  const [at, setAt] = useState<{ row: number; column: LotColumn }>({ row: 0, column: "serial" });
  const act = useAct("open-lot", (answer) => {
    if ("faults" in answer) setFaults(answer.faults);
    else router.push(`/bench/lot/${answer.id}`);
  });
  const filled = rows.filter((row) => !isBlank(row)).length;
  const setCell = (row: number, column: LotColumn, text: string) => {
    setRows((rows) => rows.map((other, i) => (i === row ? { ...other, [column]: text } : other)));
    setFaults((faults) => faults.filter((fault) => fault.row !== row + 1 || fault.column !== column));
  };
  const paste = (event: ClipboardEvent<HTMLInputElement>, row: number, column: LotColumn) => {
    const text = event.clipboardData.getData("text/plain");
    const { data } = Papa.parse<string[]>(text.replace(/\r?\n$/, ""), { delimiter: "\t" });
    if (data.length < 2 && (data[0]?.length ?? 0) < 2) return;
    event.preventDefault();
    const from = lotColumns.indexOf(column);
    const next = [...rows, ...blanks(Math.max(0, row + data.length - rows.length))];
    data.forEach((cells, i) => {
      const line = { ...next[row + i]! };
      cells.forEach((cell, j) => {
        const into = lotColumns[from + j];
        if (into) line[into] = cell.trim();
      });
      next[row + i] = line;
    });
    setRows(next);
    setFaults([]);
  };
  const fillDown = () => setRows((rows) => filledDown(rows, at));
  const set = (change: Partial<typeof form>) => setForm((form) => ({ ...form, ...change }));
  const choice = (name: "water" | "dragWish" | "depth", label: string, options: Readonly<Record<string, string>>) => (
    <Field label={label} error={act.fields[name]}>
      {(field) => (
        <select {...field} value={form[name]} onChange={(event) => set({ [name]: event.target.value })}>
          {Object.entries(options).map(([id, words]) => (
            <option key={id} value={id}>
              {words}
            </option>
          ))}
        </select>
      )}
    </Field>
  );
  const text = (name: "name" | "tripsPerYear" | "limit", label: string) => (
    <Field label={label} error={act.fields[name]}>
      {(field) => <input {...field} value={form[name]} onChange={(event) => set({ [name]: event.target.value })} autoComplete="off" />}
    </Field>
  );
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        act.press({ ...form, rows });
      }}
    >
      <Sheet
        fill
        act={
          <button type="submit" className="key key-main" disabled={act.busy || !filled}>
            {act.busy ? "Saving…" : `Check in ${filled} ${filled === 1 ? "reel" : "reels"}`}
          </button>
        }
        block={
          <CornerBlock
            cells={[
              { label: "Reels", value: String(filled), large: true },
              { label: "Station", value: "Counter" },
            ]}
          />
        }
      >
        <div className="grid gap-6 lg:grid-cols-[300px_minmax(0,1fr)]">
          <div className="flex flex-col gap-2">
            <h1>A lot</h1>
            {text("name", "Name of the lot")}
            <SearchField
              label="Customer"
              from="/api/choose/customers"
              chosen={customer}
              onChoose={(choice, typed) => {
                setCustomer(choice);
                set({ customerId: choice?.id ?? "", customerName: choice ? "" : typed });
              }}
              free
              error={act.fields.customerId}
              hint={customer ? "" : "A new name adds a customer."}
            />
            <SearchField
              label="Model"
              from="/api/choose/models"
              chosen={model}
              onChoose={(choice) => {
                setModel(choice);
                set({ modelId: choice?.id ?? "" });
              }}
              error={act.fields.modelId}
            />
            <div className="grid grid-cols-2 gap-2">
              {choice("water", "Water", waterWords)}
              {text("tripsPerYear", "Trips a year")}
            </div>
            <fieldset className="flex flex-wrap gap-1">
              <legend className="text-note font-normal">History</legend>
              {(Object.entries(lives) as [keyof typeof lives, string][]).map(([id, words]) => (
                <button
                  key={id}
                  type="button"
                  className="key key-small"
                  aria-pressed={form.life.includes(id)}
                  onClick={() => set({ life: form.life.includes(id) ? form.life.filter((one) => one !== id) : [...form.life, id] })}
                >
                  {words}
                </button>
              ))}
            </fieldset>
            <div className="grid grid-cols-2 gap-2">
              {choice("depth", "Level of service", { "": "shop default", ...depths })}
              {choice("dragWish", "Drag", dragWishes)}
            </div>
            <div className="grid grid-cols-2 gap-2">
              {text("limit", `Limit per reel (${currency})`)}
              <Field
                label="Promised"
                error={act.fields.promisedOn}
                hint={<ShutDay opening={opening} day={form.promisedOn} take={(promisedOn) => set({ promisedOn })} />}
              >
                {(field) => (
                  <input {...field} type="date" value={form.promisedOn} onChange={(event) => set({ promisedOn: event.target.value })} />
                )}
              </Field>
            </div>
          </div>
          <div className="min-w-0">
            <div className="mb-2 flex flex-wrap items-end gap-2">
              <p className="flex-1">Type, or paste from a spreadsheet into any cell. Nothing is checked in until every row is right.</p>
              <button type="button" className="key key-small" onClick={fillDown}>
                Fill down from row {at.row + 1}, {lotColumnWords[at.column].toLowerCase()}
              </button>
              <button type="button" className="key key-small" onClick={() => setRows((rows) => [...rows, ...blanks(10)])}>
                Ten more rows
              </button>
            </div>
            <Refused of={[act]} beside />
            {faults.length > 0 && (
              <p role="alert" className="alarm">
                {faults.length} {faults.length === 1 ? "cell is" : "cells are"} wrong; nothing was checked in. Fix the marked cells.
              </p>
            )}
            {(["depth", "drag"] as const).map((column) => (
              <datalist key={column} id={`lot-${column}`}>
                {cellWords[column]!.map((words) => (
                  <option key={words} value={words} />
                ))}
              </datalist>
            ))}
            <div className="max-h-[470px] overflow-auto border border-ink">
              <table className="w-full border-collapse">
                <thead className="sticky top-0 bg-sheet">
                  <tr>
                    <th className="w-10 border-b-2 border-ink text-note font-normal">Row</th>
                    {lotColumns.map((column) => (
                      <th key={column} className="border-b-2 border-ink text-left text-note font-normal">
                        {lotColumnWords[column]}
                      </th>
                    ))}
                  </tr>
                </thead>
                <tbody>
                  {rows.map((row, i) => (
                    // A row of the grid is its place in it.
                    // biome-ignore lint/suspicious/noArrayIndexKey: see above
                    <tr key={i}>
                      <td className="num border-b border-ink text-center text-note">{i + 1}</td>
                      {lotColumns.map((column) => {
                        const fault = faults.find((one) => one.row === i + 1 && one.column === column);
                        return (
                          <td key={column} className="border-b border-l border-ink align-top">
                            <input
                              aria-label={`${lotColumnWords[column]}, row ${i + 1}`}
                              aria-invalid={Boolean(fault)}
                              value={row[column]}
                              className={column === "serial" ? "num" : ""}
                              style={{ minHeight: 32, padding: "4px 6px", borderWidth: fault ? 2 : 0 }}
                              autoComplete="off"
                              {...(cellWords[column] ? { list: `lot-${column}` } : {})}
                              onFocus={() => setAt({ row: i, column })}
                              onPaste={(event) => paste(event, i, column)}
                              onChange={(event) => setCell(i, column, event.target.value)}
                            />
                            {fault && (
                              <p role="alert" className="alarm text-note">
                                {fault.message}
                              </p>
                            )}
                          </td>
                        );
                      })}
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
          </div>
        </div>
      </Sheet>
    </form>
  );
}
