import type { UseFormRegisterReturn } from "react-hook-form";
import { useRoving } from "./use-roving";

interface Props {
  readonly legend: string;
  readonly options: Readonly<Record<string, string>>;
  readonly register: UseFormRegisterReturn;
  readonly error: string | undefined;
  /** Told which one was pressed last, and whether it is ticked now. */
  readonly onTick?: (id: string, ticked: boolean) => void;
}

/** A list to tick, wide enough for a finger; what is ticked is filled, not only coloured. One stop of the Tab key, arrows within. */
export function Ticks({ legend, options, register, error, onTick }: Props) {
  const entries = Object.entries(options);
  const stop = useRoving<HTMLInputElement>(entries.length);
  return (
    <fieldset>
      <legend className="text-note font-normal">{legend}</legend>
      <div className="flex flex-wrap gap-1">
        {entries.map(([id, words], i) => {
          const { ref, ...roving } = stop(i);
          return (
            <label
              key={id}
              className="flex min-h-10 cursor-pointer items-center gap-2 border border-brass px-2 font-semibold text-brass has-checked:bg-brass has-checked:text-sheet has-focus-visible:outline-3 has-focus-visible:outline-ink"
            >
              <input
                type="checkbox"
                value={id}
                {...register}
                {...roving}
                ref={(element) => {
                  register.ref(element);
                  ref(element);
                }}
                onChange={(event) => {
                  void register.onChange(event);
                  onTick?.(id, event.target.checked);
                }}
                className="h-4 min-h-0 w-4 accent-ink"
              />
              {words}
            </label>
          );
        })}
      </div>
      {error && (
        <p role="alert" className="alarm mt-1">
          {error}
        </p>
      )}
    </fieldset>
  );
}
