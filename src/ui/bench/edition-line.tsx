"use client";
import { useAct } from "@/ui/act/use-act";
import { Field } from "@/ui/controls/field";
import { Refused } from "@/ui/controls/refused";

export interface EditionChoice {
  readonly id: string;
  readonly source: "chosen" | "serial" | "year" | "assumed";
  readonly year: number | null;
  readonly options: readonly { readonly id: string; readonly name: string; readonly mark: string }[];
}

const sourceWords: Record<EditionChoice["source"], string> = {
  chosen: "seen on this reel",
  serial: "from the serial",
  year: "from the year of the serial",
  assumed: "assumed: check for the mark",
};

/** Which edition of its model lies here and how that is known; one press says what was seen on it. */
export function EditionLine({ jobId, edition, closed }: { jobId: number; edition: EditionChoice; closed: boolean }) {
  const act = useAct("choose-edition");
  const here = edition.options.find((option) => option.id === edition.id);
  return (
    <div className="mb-3 flex flex-wrap items-end gap-x-4 gap-y-1">
      <Field label="Edition" className="w-64">
        {(field) => (
          <select
            {...field}
            value={edition.id}
            disabled={closed || act.busy}
            onChange={(event) => act.press({ jobId, editionId: event.target.value })}
          >
            {edition.options.map((option) => (
              <option key={option.id} value={option.id}>
                {option.name}
              </option>
            ))}
          </select>
        )}
      </Field>
      <p className="pb-2">
        <span className={edition.source === "assumed" ? "border border-dashed border-ink px-1" : ""}>{sourceWords[edition.source]}</span>
        {edition.year && <span className="num"> {edition.year}</span>}
        {here?.mark && <span>. Its mark: {here.mark}</span>}
      </p>
      {edition.source === "assumed" && !closed && (
        <button type="button" className="key key-small" disabled={act.busy} onClick={() => act.press({ jobId, editionId: edition.id })}>
          Confirm this edition
        </button>
      )}
      <Refused of={[act]} />
    </div>
  );
}
