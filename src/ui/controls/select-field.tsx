import type { UseFormRegisterReturn } from "react-hook-form";
import { Field } from "./field";

interface Props {
  readonly label: string;
  /** Ids with their words, in the order they are shown. */
  readonly options: Readonly<Record<string, string>>;
  readonly register: UseFormRegisterReturn;
  readonly error: string | undefined;
}

/** One choice out of few, in a form. */
export function SelectField({ label, options, register, error }: Props) {
  return (
    <Field label={label} error={error}>
      {(field) => (
        <select {...field} {...register}>
          {Object.entries(options).map(([id, words]) => (
            <option key={id} value={id}>
              {words}
            </option>
          ))}
        </select>
      )}
    </Field>
  );
}
