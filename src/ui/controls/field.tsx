import { type ReactElement, type ReactNode, useId } from "react";

interface FieldProps {
  readonly label: string;
  readonly hint?: ReactNode;
  readonly error?: string | undefined;
  readonly className?: string;
  readonly children: (props: { id: string; "aria-invalid": boolean; "aria-describedby": string | undefined }) => ReactElement;
}

/** A labelled field with its message beside it: what is wrong stands where it was typed. */
export function Field({ label, hint, error, className = "", children }: FieldProps) {
  const id = useId();
  const described = error ? `${id}-error` : hint ? `${id}-hint` : undefined;
  return (
    <div className={className}>
      <label htmlFor={id} className="block text-note">
        {label}
      </label>
      {children({ id, "aria-invalid": Boolean(error), "aria-describedby": described })}
      {hint && !error && (
        <p id={`${id}-hint`} className="text-note">
          {hint}
        </p>
      )}
      {error && (
        <p id={`${id}-error`} role="alert" className="alarm mt-1 text-text">
          {error}
        </p>
      )}
    </div>
  );
}
