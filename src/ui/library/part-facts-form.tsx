"use client";
import { useState } from "react";
import type { Action } from "@/ui/act/press";
import { useAct } from "@/ui/act/use-act";
import { Field, Refused } from "@/ui/controls/field";

interface Props {
  readonly partTypeId: string;
  readonly price: string;
  readonly supersededBy: string;
  readonly hazard: string;
  readonly save: Action<void>;
}

/** What of a part may change without its being another part. Its sizes are changed at a schematic, where they become a new entry. */
export function PartFactsForm({ partTypeId, price, supersededBy, hazard, save }: Props) {
  const [typed, setTyped] = useState({ price, supersededBy, hazard });
  const act = useAct(save);
  const same = typed.price === price && typed.supersededBy === supersededBy && typed.hazard === hazard;
  const input = (name: keyof typeof typed, label: string, className = "") => (
    <Field label={label} error={act.fields[name]}>
      {(field) => (
        <input
          {...field}
          className={className}
          value={typed[name]}
          onChange={(event) => setTyped({ ...typed, [name]: event.target.value })}
          autoComplete="off"
        />
      )}
    </Field>
  );
  return (
    <form
      className="mt-3 flex flex-col gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        act.press({ partTypeId, ...typed });
      }}
    >
      {input("price", "Price, for jobs opened from now on", "num")}
      {input("supersededBy", "Sold now as number", "num")}
      {input("hazard", "Hazard in handling it")}
      <Refused message={Object.keys(act.fields).length ? null : act.message} />
      <button type="submit" className="key key-small" disabled={act.busy || same}>
        Save
      </button>
    </form>
  );
}
