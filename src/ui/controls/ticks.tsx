import type { UseFormRegisterReturn } from "react-hook-form";

interface Props {
  readonly legend: string;
  readonly options: Readonly<Record<string, string>>;
  readonly register: UseFormRegisterReturn;
  readonly error: string | undefined;
}

/** A list to tick, wide enough for a finger; what is ticked is filled, not only coloured. */
export function Ticks({ legend, options, register, error }: Props) {
  return (
    <fieldset>
      <legend className="text-note font-normal">{legend}</legend>
      <div className="flex flex-wrap gap-1">
        {Object.entries(options).map(([id, words]) => (
          <label
            key={id}
            className="flex min-h-10 cursor-pointer items-center gap-2 border border-brass px-2 font-semibold text-brass has-checked:bg-brass has-checked:text-sheet has-focus-visible:outline-3 has-focus-visible:outline-ink"
          >
            <input type="checkbox" value={id} {...register} className="h-4 min-h-0 w-4 accent-ink" />
            {words}
          </label>
        ))}
      </div>
      {error && (
        <p role="alert" className="alarm mt-1">
          {error}
        </p>
      )}
    </fieldset>
  );
}
