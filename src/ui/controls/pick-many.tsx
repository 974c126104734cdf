"use client";
import { Field } from "./field";

interface Props {
  readonly label: string;
  readonly options: Readonly<Record<string, string>>;
  readonly chosen: readonly string[];
  readonly onChange: (chosen: string[]) => void;
}

/** Several out of many: what is chosen stands as keys that take it away again, the rest waits in a list. */
export function PickMany({ label, options, chosen, onChange }: Props) {
  return (
    <div>
      <Field label={label}>
        {(field) => (
          <select {...field} value="" onChange={(event) => event.target.value && onChange([...chosen, event.target.value])}>
            <option value="">{chosen.length ? "and …" : "none; add …"}</option>
            {Object.entries(options)
              .filter(([id]) => !chosen.includes(id))
              .map(([id, words]) => (
                <option key={id} value={id}>
                  {words}
                </option>
              ))}
          </select>
        )}
      </Field>
      {chosen.length > 0 && (
        <ul className="mt-1 flex flex-wrap gap-1">
          {chosen.map((id) => (
            <li key={id}>
              <button
                type="button"
                className="key key-small"
                aria-label={`${label}: take ${options[id] ?? id} away`}
                onClick={() => onChange(chosen.filter((other) => other !== id))}
              >
                {options[id] ?? id} ✕
              </button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
