"use client";
import { createContext, type FocusEvent, type ReactNode, useContext, useEffect, useRef, useState } from "react";
import { type DefaultValues, type FieldValues, FormProvider, useForm, useFormContext } from "react-hook-form";
import type { ActName, AnswerNamed, InputNamed } from "@/core/acts/acts";
import type { Action } from "@/ui/act/press";
import { useAct } from "@/ui/act/use-act";
import { Field } from "./field";
import { Refused } from "./refused";

interface FormState {
  readonly faults: Readonly<Record<string, string>>;
  readonly busy: boolean;
  readonly changed: boolean;
}
const State = createContext<FormState>({ faults: {}, busy: false, changed: false });

interface Props<T extends FieldValues, R, I> {
  /** What the fields begin with; their names are the input's. */
  readonly values: T;
  /** Sent along with what was typed: whose card it is. */
  readonly also?: { readonly [Field in keyof I]?: unknown };
  /**
   * What the row was when `values` were read of it (`core/seen`, or its version), sent along as well. It moves on only while nothing
   * is typed: a page made anew under a half-typed form does not let it save over what it never showed.
   */
  readonly seen?: { readonly [Field in keyof I]?: unknown };
  readonly after?: (value: R) => void;
  /** A form for something new is empty again once it is in. */
  readonly empties?: boolean;
  readonly label?: string;
  readonly className?: string;
  /** What was typed is kept when the hand goes elsewhere, without a press of its own. */
  readonly keepsTyped?: boolean;
  readonly children: ReactNode;
}

/**
 * A form of one act: what is typed goes to the action as it stands, and the action's own schema says what is wrong with it, beside the field,
 * which is brought into sight. Nothing typed is lost by a refusal.
 */
export function ActForm<T extends FieldValues & { readonly [Field in keyof InputNamed<Name>]?: unknown }, Name extends ActName>(
  props: Props<T, AnswerNamed<Name>, InputNamed<Name>> & { readonly act: Name },
): ReactNode;
export function ActForm<T extends FieldValues, R>(props: Props<T, R, Record<string, unknown>> & { readonly act: Action<R> }): ReactNode;
export function ActForm<T extends FieldValues, R>({
  act: doing,
  values,
  also,
  seen,
  after,
  empties,
  label,
  className = "",
  keepsTyped = false,
  children,
}: Props<T, R, Record<string, unknown>> & { readonly act: ActName | Action<R> }) {
  const form = useForm<T>({ defaultValues: values as DefaultValues<T> });
  const act = useAct<R>(doing, (value) => {
    if (empties) form.reset(values);
    else form.reset(form.getValues());
    after?.(value);
  });
  const read = useRef(seen);
  const { isDirty } = form.formState;
  useEffect(() => {
    if (isDirty || JSON.stringify(seen) === JSON.stringify(read.current)) return;
    read.current = seen;
    form.reset(values);
  });
  const element = useRef<HTMLFormElement>(null);
  useEffect(() => {
    if (!Object.keys(act.fields).length) return;
    const wrong = element.current?.querySelector<HTMLElement>('[aria-invalid="true"]');
    wrong?.focus();
    wrong?.scrollIntoView({ block: "nearest" });
  }, [act.fields]);
  const named = Object.keys(act.fields).some((name) => name in values);
  return (
    <FormProvider {...form}>
      <State.Provider value={{ faults: act.fields, busy: act.busy, changed: isDirty }}>
        <form
          ref={element}
          noValidate
          aria-label={label}
          className={className}
          {...(keepsTyped
            ? {
                onBlur: ({ currentTarget, relatedTarget }: FocusEvent<HTMLFormElement>) => {
                  if (isDirty && !(relatedTarget instanceof Node && currentTarget.contains(relatedTarget))) currentTarget.requestSubmit();
                },
              }
            : {})}
          onSubmit={(event) => {
            event.preventDefault();
            void form.handleSubmit((typed) => act.press({ ...also, ...read.current, ...typed }))();
          }}
        >
          {children}
          <Refused of={[act]} beside={named} />
        </form>
      </State.Provider>
    </FormProvider>
  );
}

interface FieldProps {
  readonly name: string;
  readonly label: string;
  readonly hint?: ReactNode;
  readonly className?: string;
}

interface TextProps extends FieldProps {
  readonly figures?: boolean;
  /** What the browser may fill in (WHATWG names). */
  readonly autoComplete?: string;
}

/** A secret in a form: hidden, pasted like any text, shown by a press. */
export function FormSecret({ name, label, hint, className = "", figures = false, autoComplete }: TextProps) {
  const { register } = useFormContext();
  const { faults } = useContext(State);
  const [shown, setShown] = useState(false);
  return (
    <Field label={label} error={faults[name]} hint={hint} className={className}>
      {(field) => (
        <span className="flex">
          <input
            {...field}
            {...register(name)}
            type={shown ? "text" : "password"}
            autoComplete={autoComplete}
            className="min-w-0 flex-1"
            {...(figures ? { inputMode: "numeric" as const } : {})}
          />
          <button
            type="button"
            className="key key-small"
            aria-pressed={shown}
            aria-label={`Show ${label}`}
            onClick={() => setShown(!shown)}
          >
            {shown ? "Hide" : "Show"}
          </button>
        </span>
      )}
    </Field>
  );
}

/** One line of text in a form; `figures` where numbers are typed. */
export function FormText({ name, label, hint, className = "", figures = false, autoComplete = "off" }: TextProps) {
  const { register } = useFormContext();
  const { faults } = useContext(State);
  return (
    <Field label={label} error={faults[name]} hint={hint} className={className}>
      {(field) => (
        <input {...field} {...register(name)} autoComplete={autoComplete} {...(figures ? { inputMode: "decimal" as const } : {})} />
      )}
    </Field>
  );
}

/** Several lines of text. @param rows how many stand open. */
export function FormArea({ name, label, hint, className = "", rows }: FieldProps & { readonly rows: number }) {
  const { register } = useFormContext();
  const { faults } = useContext(State);
  return (
    <Field label={label} error={faults[name]} hint={hint} className={className}>
      {(field) => <textarea {...field} {...register(name)} rows={rows} />}
    </Field>
  );
}

/** A day in a form. */
export function FormDay({ name, label, hint, className = "" }: FieldProps) {
  const { register } = useFormContext();
  const { faults } = useContext(State);
  return (
    <Field label={label} error={faults[name]} hint={hint} className={className}>
      {(field) => <input {...field} {...register(name)} type="date" />}
    </Field>
  );
}

/** One choice out of few in a form, by its words. */
export function FormChoice({ name, label, hint, className = "", of }: FieldProps & { readonly of: Readonly<Record<string, string>> }) {
  const { register } = useFormContext();
  const { faults } = useContext(State);
  return (
    <Field label={label} error={faults[name]} hint={hint} className={className}>
      {(field) => (
        <select {...field} {...register(name)}>
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

/** Yes or no in a form. */
export function FormTick({ name, label }: Pick<FieldProps, "name" | "label">) {
  const { register } = useFormContext();
  return (
    <label className="flex min-h-10 items-center gap-3">
      <input type="checkbox" {...register(name)} className="h-5 min-h-0 w-5 accent-ink" />
      {label}
    </label>
  );
}

/** Any number of a few, ticked. */
export function FormTicks({ name, label, of }: Pick<FieldProps, "name" | "label"> & { readonly of: Readonly<Record<string, string>> }) {
  const { register } = useFormContext();
  return (
    <fieldset className="flex flex-wrap gap-1">
      <legend className="text-note font-normal">{label}</legend>
      {Object.entries(of).map(([id, words]) => (
        <label
          key={id}
          className="flex min-h-9 cursor-pointer items-center gap-2 border border-brass px-2 text-brass has-checked:bg-brass has-checked:text-sheet has-focus-visible:outline-3 has-focus-visible:outline-ink"
        >
          <input type="checkbox" value={id} {...register(name)} className="h-4 min-h-0 w-4 accent-ink" />
          {words}
        </label>
      ))}
    </fieldset>
  );
}

interface SendProps {
  readonly children: ReactNode;
  /** There is nothing to save until something was typed. */
  readonly whenChanged?: boolean;
  readonly large?: boolean;
  /** The one main act of its page. */
  readonly main?: boolean;
}

/** Sends the form. */
export function FormSend({ children, whenChanged, large, main }: SendProps) {
  const { busy, changed } = useContext(State);
  return (
    <button type="submit" className={`key ${main ? "key-main" : large ? "" : "key-small"}`} disabled={busy || (whenChanged && !changed)}>
      {children}
    </button>
  );
}
