import Link from "next/link";
import { type ReactElement, type ReactNode, useId } from "react";
import type { WayOut } from "@/core/vocabulary/way-out";
import { wayLink } from "./way-link";

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

interface RefusedProps {
  readonly message?: string | null;
  readonly way?: WayOut | null;
  /** Acts of one sheet: the first that was refused speaks. */
  readonly of?: readonly RefusedAct[];
  /** The fields beside it show their own messages; only what belongs to none of them, or has a way out, is said here. */
  readonly beside?: boolean;
}
interface RefusedAct {
  readonly message: string | null;
  readonly way: WayOut | null;
  readonly fields: Readonly<Record<string, string>>;
}

/** What a whole act was refused with, when it belongs to no field, and the way to where it can be put right. */
export function Refused({ message, way, of = [], beside = false }: RefusedProps) {
  const act = of.find((one) => one.message);
  const refused = message ? { message, way } : act;
  if (!refused) return null;
  const atField = beside && act && Object.keys(act.fields).length > 0;
  if (atField && !refused.way) return null;
  const out = refused.way ? wayLink(refused.way) : null;
  return (
    <div role="alert" className="alarm whitespace-pre-line text-text">
      {!atField && refused.message}
      {out && (
        <Link className="act-link ml-2" href={out.href}>
          {out.words}
        </Link>
      )}
    </div>
  );
}
