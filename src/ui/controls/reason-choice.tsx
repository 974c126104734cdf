import { Field } from "./field";

interface Props {
  readonly label: string;
  /** The usual reasons, a press each; anything else is typed. */
  readonly reasons: readonly string[];
  readonly reason: string;
  readonly error: string | undefined;
  readonly onReason: (reason: string) => void;
}

/** A reason by one press, or in one's own words: nobody has to invent one. */
export function ReasonChoice({ label, reasons, reason, error, onReason }: Props) {
  return (
    <div className="flex flex-col gap-2">
      <div className="flex flex-wrap gap-1">
        {reasons.map((words) => (
          <button
            key={words}
            type="button"
            className="min-h-10 border border-brass bg-sheet px-2 font-semibold text-brass aria-pressed:bg-brass aria-pressed:text-sheet"
            aria-pressed={reason === words}
            onClick={() => onReason(reason === words ? "" : words)}
          >
            {words}
          </button>
        ))}
      </div>
      <Field label={label} error={error}>
        {(field) => (
          <input {...field} value={reason} maxLength={300} onChange={(event) => onReason(event.target.value)} autoComplete="off" />
        )}
      </Field>
    </div>
  );
}
