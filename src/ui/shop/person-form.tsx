"use client";
import { useState } from "react";
import type { Action } from "@/ui/act/press";
import { useAct } from "@/ui/act/use-act";
import { Field, Refused } from "@/ui/controls/field";

/** Adds someone who works here. */
export function PersonForm({ add }: { add: Action<number> }) {
  const [name, setName] = useState("");
  const [role, setRole] = useState("bench");
  const act = useAct(add, () => setName(""));
  return (
    <form
      className="mt-3 flex items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        act.press({ name, role });
      }}
    >
      <Field label="Someone new" error={act.fields.name} className="flex-1">
        {(field) => <input {...field} value={name} onChange={(event) => setName(event.target.value)} autoComplete="off" />}
      </Field>
      <Field label="Role">
        {(field) => (
          <select {...field} value={role} onChange={(event) => setRole(event.target.value)}>
            <option value="bench">bench</option>
            <option value="counter">counter</option>
            <option value="owner">owner</option>
          </select>
        )}
      </Field>
      <button type="submit" className="key key-small" disabled={act.busy}>
        Add
      </button>
      <Refused of={[act]} beside />
    </form>
  );
}
