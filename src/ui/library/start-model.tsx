"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { familyWords } from "@/core/families/family-ids";
import type { Action } from "@/ui/act/press";
import { useAct } from "@/ui/act/use-act";
import { Refused } from "@/ui/controls/field";
import { ChoiceField, TextField } from "@/ui/controls/text-field";

/** A new model begins as a copy of its family and is edited at its drawing. */
export function StartModel({ start }: { start: Action<{ id: string }> }) {
  const router = useRouter();
  const [typed, setTyped] = useState({ maker: "", name: "", prefix: "", family: "star-drag-bridge" });
  const act = useAct(start, ({ id }) => router.push(`/library/${id}`));
  const input = (name: "maker" | "name" | "prefix", label: string) => (
    <TextField label={label} value={typed[name]} error={act.fields[name]} onType={(said) => setTyped({ ...typed, [name]: said })} />
  );
  return (
    <form
      className="flex flex-col gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        act.press(typed);
      }}
    >
      <h2>A new model from its family</h2>
      <ChoiceField
        label="Family"
        of={familyWords}
        value={typed.family}
        error={act.fields.family}
        onChoose={(family) => setTyped({ ...typed, family })}
      />
      {input("maker", "Maker")}
      {input("name", "Model")}
      {input("prefix", "Part numbers begin with")}
      <button type="submit" className="key" disabled={act.busy}>
        Start it
      </button>
      <Refused message={Object.keys(act.fields).length ? null : act.message} />
    </form>
  );
}
