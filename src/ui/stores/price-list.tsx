"use client";
import { useState } from "react";
import type { TextTable } from "@/core/bring-in/table";
import { formatMinor } from "@/core/money/money";
import { guessPriceColumns, jumpPercent, type PriceListTold, type PriceRow } from "@/core/ordering/price-list";
import { useAct } from "@/ui/act/use-act";
import { Refused } from "@/ui/controls/refused";
import { type TableFile, TableFileField } from "@/ui/controls/table-file-field";
import { ChoiceField } from "@/ui/controls/text-field";

interface Props {
  readonly supplier: { readonly id: string; readonly name: string };
}

type Columns = ReturnType<typeof guessPriceColumns>;
const shown = 40;

/** A supplier's price list from its file: what it changes is looked at first, and taken over by one press. */
export function PriceList({ supplier }: Props) {
  const [table, setTable] = useState<TextTable | null>(null);
  const [columns, setColumns] = useState<Columns>({ number: -1, price: -1, pack: -1 });
  const [seen, setSeen] = useState<PriceListTold | null>(null);
  const [said, setSaid] = useState("");
  const looking = useAct("look-at-price-list", setSeen);
  const taking = useAct("take-price-list", ({ prices }) => {
    setSaid(`${prices === 1 ? "1 price" : `${prices} prices`} taken over.`);
    setTable(null);
    setSeen(null);
  });
  const rowsOf = (from: TextTable, at: Columns): PriceRow[] =>
    from.rows.map((row) => ({ number: row[at.number] ?? "", price: row[at.price] ?? "", pack: at.pack < 0 ? "" : (row[at.pack] ?? "") }));
  const ask = (from: TextTable, at: Columns) => {
    setColumns(at);
    setSeen(null);
    if (at.number >= 0 && at.price >= 0) looking.press({ supplierId: supplier.id, rows: rowsOf(from, at) });
  };
  const begin = (file: TableFile | null) => {
    setSaid("");
    setTable(file?.table ?? null);
    if (file) ask(file.table, guessPriceColumns(file.table.columns));
  };
  return (
    <details className="mt-1">
      <summary className="act-link min-h-10">Price list of {supplier.name}</summary>
      <TableFileField label={`Price list of ${supplier.name} (CSV)`} onFile={begin} />
      <Refused of={[looking, taking]} />
      {said && <p role="status">{said}</p>}
      {table && (
        <div className="mt-2 flex flex-wrap gap-3">
          {(
            [
              ["number", "Part number"],
              ["price", "Price"],
              ["pack", "Pieces for it, if said"],
            ] as const
          ).map(([id, label]) => (
            <ChoiceField<string>
              key={id}
              label={label}
              of={{ "-1": "no column", ...Object.fromEntries(table.columns.map((column, i) => [String(i), column])) }}
              value={String(columns[id])}
              onChoose={(value) => ask(table, { ...columns, [id]: Number(value) })}
            />
          ))}
        </div>
      )}
      {seen && table && (
        <div className="mt-2 flex flex-col gap-2">
          <p>
            {seen.known} of {table.rows.length} rows match parts in the catalogue.
          </p>
          <Told
            title={`Changed by more than ${jumpPercent} %`}
            count={seen.counts.jumps}
            rows={seen.jumps.map(
              (line) =>
                `${line.number} ${line.name}: ${formatMinor(Math.round(line.before!))} a piece until now, ${formatMinor(Math.round(line.priceMinor / line.pack))} in the list (${line.change! > 0 ? "+" : "−"}${Math.abs(line.change!).toFixed(0)} %)`,
            )}
          />
          <Told
            title="Under an earlier number"
            count={seen.counts.moved}
            rows={seen.moved.map(({ under, number, name }) => `${under} is sold as ${number} ${name}: its price goes there`)}
          />
          <Told
            title="Cannot be read: left out"
            count={seen.counts.faults}
            rows={seen.faults.map(({ row, number, message }) => `row ${row}, ${number}: ${message}`)}
          />
          <Told
            title="Not in the catalogue: left out"
            count={seen.counts.unknown}
            rows={seen.unknown.map(({ row, number }) => `row ${row}: ${number || "no number"}`)}
          />
          <button
            type="button"
            className="key self-start"
            disabled={taking.busy || !seen.known}
            onClick={() => taking.press({ supplierId: supplier.id, rows: rowsOf(table, columns) })}
          >
            Take over {seen.known === 1 ? "1 price" : `${seen.known} prices`}
          </button>
        </div>
      )}
    </details>
  );
}

function Told({ title, count, rows }: { title: string; count: number; rows: readonly string[] }) {
  if (!rows.length) return null;
  return (
    <section aria-label={title}>
      <h3>
        {title} ({count})
      </h3>
      <ul className="text-note">
        {rows.slice(0, shown).map((row) => (
          <li key={row}>{row}</li>
        ))}
        {count > shown && <li>and {count - shown} more</li>}
      </ul>
    </section>
  );
}
