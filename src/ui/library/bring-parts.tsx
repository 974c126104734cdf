"use client";
import { useState } from "react";
import type { PartsPreview } from "@/core/acts/library/preview-parts";
import { useAct } from "@/ui/act/use-act";
import { FileField } from "@/ui/controls/file-field";
import { Refused } from "@/ui/controls/refused";

/** A parts list from a spreadsheet: looked at first, faults by row and column, all of it taken or none. */
export function BringParts({
  meanings,
}: {
  /** What a column can mean, with its words. */
  meanings: Readonly<Record<string, string>>;
}) {
  const [text, setText] = useState("");
  const [mapping, setMapping] = useState<Readonly<Record<string, string>>>({});
  const [preview, setPreview] = useState<PartsPreview | null>(null);
  const [naming, setNaming] = useState(false);
  const [done, setDone] = useState<number | null>(null);
  const looking = useAct("preview-parts", setPreview);
  const bringing = useAct("bring-parts-in", ({ count }) => {
    setPreview(null);
    setDone(count);
  });
  return (
    <div className="flex flex-col gap-2">
      <h2>Import parts from a spreadsheet</h2>
      <p className="text-note">
        CSV with the columns number, name, kind; and price, material, role, outside, inside, thickness, length, teeth … where you have them.
      </p>
      <FileField
        label="Parts list"
        accept="text/csv,.csv,.tsv,.txt"
        onText={(read) => {
          setText(read);
          setPreview(null);
          setDone(null);
          setMapping({});
          looking.press({ text: read, mapping: {} });
        }}
      />
      <Refused of={[looking, bringing]} />
      {done !== null && <p role="status">{done} parts are in the catalogue now.</p>}
      {preview && (
        <div className="border-2 border-ink p-3">
          <p>
            {preview.rows} rows{preview.ignored.length > 0 && `; not read: ${preview.ignored.join(", ")}`}.
          </p>
          <details
            open={naming || preview.faults.some((fault) => fault.row === 1)}
            onToggle={(event) => setNaming(event.currentTarget.open)}
          >
            <summary className="cursor-pointer font-semibold text-brass">What each column is</summary>
            {preview.columns.map(({ column, meaning }) => (
              <label key={column} className="mt-1 flex items-center gap-2">
                <span className="w-1/2 truncate">{column}</span>
                <select
                  aria-label={`Column ${column} is`}
                  value={meaning}
                  disabled={looking.busy}
                  onChange={(event) => {
                    const next = { ...mapping, [column]: event.target.value };
                    setMapping(next);
                    looking.press({ text, mapping: next });
                  }}
                >
                  <option value="">not read</option>
                  {Object.entries(meanings).map(([id, words]) => (
                    <option key={id} value={id}>
                      {words}
                    </option>
                  ))}
                </select>
              </label>
            ))}
          </details>
          {preview.faults.length > 0 ? (
            <>
              <p className="font-semibold">Nothing was imported. Fix these and choose the file again:</p>
              <ul className="max-h-48 overflow-auto">
                {preview.faults.map((fault) => (
                  <li key={`${fault.row} ${fault.column} ${fault.message}`} className="alarm mt-1">
                    Row {fault.row}, {fault.column}: {fault.message}
                  </li>
                ))}
              </ul>
            </>
          ) : (
            <>
              <ul className="max-h-48 overflow-auto">
                {preview.parts.map((part) => (
                  <li key={part.number} className="rule-row">
                    <span className="num">{part.number}</span> {part.name} <span className="num text-note">{part.sizes}</span>
                  </li>
                ))}
              </ul>
              <button type="button" className="key mt-2" disabled={bringing.busy} onClick={() => bringing.press({ text, mapping })}>
                Bring {preview.parts.length} parts in
              </button>
            </>
          )}
        </div>
      )}
    </div>
  );
}
