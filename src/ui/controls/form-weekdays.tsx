"use client";
import { useController } from "react-hook-form";
import { weekdays } from "@/core/schedule/opening";

/** Days of the week in a form, a press each. */
export function FormWeekdays({ name: of, label }: { readonly name: string; readonly label: string }) {
  const { field } = useController({ name: of });
  const chosen = field.value as readonly number[];
  return (
    <fieldset>
      <legend className="text-note">{label}</legend>
      <div className="flex flex-wrap gap-1">
        {weekdays.map((name, i) => {
          const on = chosen.includes(i + 1);
          return (
            <button
              key={name}
              type="button"
              className="key key-small"
              aria-label={`${name.slice(0, 3)}, ${name}`}
              aria-pressed={on}
              onClick={() => field.onChange(on ? chosen.filter((each) => each !== i + 1) : [...chosen, i + 1].sort())}
            >
              {name.slice(0, 3)}
            </button>
          );
        })}
      </div>
    </fieldset>
  );
}
