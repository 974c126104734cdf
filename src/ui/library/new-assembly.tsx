import { useState } from "react";
import { Field } from "@/ui/controls/field";

const sides = { handle: "handle side", tail: "tail side", frame: "frame" } as const;

/** A name and a side: an assembly more. */
export function NewAssembly({ onAdd }: { onAdd: (name: string, side: keyof typeof sides) => void }) {
  const [name, setName] = useState("");
  const [side, setSide] = useState<keyof typeof sides>("handle");
  return (
    <form
      className="flex w-full items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (name.trim()) onAdd(name.trim().slice(0, 60), side);
        setName("");
      }}
    >
      <Field label="A new assembly" className="flex-1">
        {(field) => <input {...field} value={name} onChange={(event) => setName(event.target.value)} autoComplete="off" />}
      </Field>
      <Field label="on the" className="w-28">
        {(field) => (
          <select {...field} value={side} onChange={(event) => setSide(event.target.value as keyof typeof sides)}>
            {Object.entries(sides).map(([id, words]) => (
              <option key={id} value={id}>
                {words}
              </option>
            ))}
          </select>
        )}
      </Field>
      <button type="submit" className="key key-small" disabled={!name.trim()}>
        Add
      </button>
    </form>
  );
}
