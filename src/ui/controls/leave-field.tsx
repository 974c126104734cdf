"use client";
import { useState } from "react";
import { Field } from "./field";

interface Props {
  readonly label: string;
  readonly value: string;
  /** Takes what was typed when the field is left; gives back what is wrong with it, or null. What was typed stays either way. */
  readonly onLeave: (text: string) => string | null;
  readonly decimal?: boolean;
  readonly className?: string;
}

/** A field whose text counts once it is left or Enter is pressed: a drawing is not drawn anew at every letter. */
export function LeaveField({ label, value, onLeave, decimal = false, className }: Props) {
  const [fault, setFault] = useState<string | null>(null);
  return (
    <Field label={label} error={fault ?? undefined} {...(className ? { className } : {})}>
      {(field) => (
        <input
          {...field}
          {...(decimal ? { inputMode: "decimal" as const } : {})}
          defaultValue={value}
          autoComplete="off"
          onBlur={(event) => setFault(event.target.value === value ? null : onLeave(event.target.value.trim()))}
          onKeyDown={(event) => event.key === "Enter" && event.currentTarget.blur()}
        />
      )}
    </Field>
  );
}

/** The number somebody typed, with a comma or a point; undefined for an empty field, null for what is none. */
export function typedNumber(text: string): number | undefined | null {
  if (text === "") return undefined;
  const value = Number(text.replace(",", "."));
  return Number.isFinite(value) ? value : null;
}
