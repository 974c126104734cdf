"use client";
import { useState } from "react";
import type { AgainstModel } from "@/core/sheets/edition-of-sheet";
import { Field } from "@/ui/controls/field";

export interface SheetAgainst extends AgainstModel {
  readonly modelId: string;
  readonly version: number;
  readonly hasEditions: boolean;
}
export interface EditionSaid {
  readonly name: string;
  readonly before: string;
  readonly fromYear: number | null;
  readonly mark: string;
}

interface Props {
  readonly against: SheetAgainst;
  readonly fields: Readonly<Record<string, string>>;
  readonly onChange: (said: EditionSaid) => void;
}

/** What a sheet of another year changes in a model, and what that edition is called. */
export function EditionForm({ against, fields, onChange }: Props) {
  const [said, setSaid] = useState({ name: "", before: "", fromYear: "", mark: "" });
  const { changed, same, added, silent } = against;
  const set = (more: Partial<typeof said>) => {
    const now = { ...said, ...more };
    setSaid(now);
    onChange({ ...now, fromYear: now.fromYear.trim() ? Number(now.fromYear) : null });
  };
  return (
    <div className="flex flex-col gap-2">
      <p>
        <strong className="num">{changed.length}</strong> {changed.length === 1 ? "part differs" : "parts differ"} from the model,{" "}
        <span className="num">{same}</span> {same === 1 ? "is" : "are"} the same.
      </p>
      {changed.length > 0 && (
        <table className="plain-table" aria-label="Parts that differ">
          <thead>
            <tr>
              <th>Seat</th>
              <th>Model</th>
              <th>Sheet</th>
            </tr>
          </thead>
          <tbody>
            {changed.map(({ positionId, seat, was, is }) => (
              <tr key={positionId}>
                <td>{seat}</td>
                <td className="num">{was}</td>
                <td className="num font-semibold">{is}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {added.length > 0 && <p className="text-note">Not a seat of this model, left out: {added.map(({ words }) => words).join("; ")}.</p>}
      {silent.length > 0 && (
        <details>
          <summary className="act-link min-h-11">Not on the sheet, kept as they are: {silent.length}</summary>
          <p className="text-note">{silent.join(", ")}.</p>
        </details>
      )}
      {changed.length > 0 && (
        <>
          <Field label="Name of this edition" hint="For example the years it was made: 1985 on." error={fields.name}>
            {(field) => <input {...field} value={said.name} autoComplete="off" onChange={(event) => set({ name: event.target.value })} />}
          </Field>
          {!against.hasEditions && (
            <Field label="Name for the model as it is now" hint="Blank = Earlier." error={fields.before}>
              {(field) => (
                <input {...field} value={said.before} autoComplete="off" onChange={(event) => set({ before: event.target.value })} />
              )}
            </Field>
          )}
          <div className="grid grid-cols-[6rem_1fr] gap-2">
            <Field label="From year" error={fields.fromYear}>
              {(field) => (
                <input {...field} inputMode="numeric" value={said.fromYear} onChange={(event) => set({ fromYear: event.target.value })} />
              )}
            </Field>
            <Field label="Mark that shows it on the reel" error={fields.mark}>
              {(field) => <input {...field} value={said.mark} autoComplete="off" onChange={(event) => set({ mark: event.target.value })} />}
            </Field>
          </div>
        </>
      )}
    </div>
  );
}
