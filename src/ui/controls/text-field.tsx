import { Field } from "./field";

interface TextProps {
  readonly label: string;
  readonly value: string;
  readonly error?: string | undefined;
  readonly onType: (text: string) => void;
}

/** One line of text with its label and its message. */
export function TextField({ label, value, error, onType }: TextProps) {
  return (
    <Field label={label} error={error}>
      {(field) => <input {...field} value={value} onChange={(event) => onType(event.target.value)} autoComplete="off" />}
    </Field>
  );
}

interface ChoiceProps {
  readonly label: string;
  /** Ids with their words, in the order they are shown. */
  readonly of: Readonly<Record<string, string>>;
  readonly value: string;
  readonly error?: string | undefined;
  readonly onChoose: (id: string) => void;
}

/** One choice out of few, by its words. */
export function ChoiceField({ label, of, value, error, onChoose }: ChoiceProps) {
  return (
    <Field label={label} error={error}>
      {(field) => (
        <select {...field} value={value} onChange={(event) => onChoose(event.target.value)}>
          {Object.entries(of).map(([id, words]) => (
            <option key={id} value={id}>
              {words}
            </option>
          ))}
        </select>
      )}
    </Field>
  );
}
