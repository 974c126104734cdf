"use client";
import { useController } from "react-hook-form";
import { weekdays } from "@/core/schedule/opening";

/** The days of the week the bench works, a press each. */
export function OpenOn() {
  const { field } = useController({ name: "openOn" });
  const chosen = field.value as readonly number[];
  return (
    <fieldset>
      <legend className="text-note">Open on</legend>
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
