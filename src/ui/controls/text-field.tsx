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

interface ChoiceProps<Id extends string> {
  readonly label: string;
  /** Ids with their words, in the order they are shown. */
  readonly of: Readonly<Record<Id, string>>;
  readonly value: NoInfer<Id>;
  readonly error?: string | undefined;
  readonly onChoose: (id: Id) => void;
}

/** One choice out of few, by its words. */
export function ChoiceField<Id extends string>({ label, of, value, error, onChoose }: ChoiceProps<Id>) {
  return (
    <Field label={label} error={error}>
      {(field) => (
        <select {...field} value={value} onChange={(event) => onChoose(event.target.value as Id)}>
          {Object.entries<string>(of).map(([id, words]) => (
            <option key={id} value={id}>
              {words}
            </option>
          ))}
        </select>
      )}
    </Field>
  );
}
