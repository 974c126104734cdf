"use client";
import { useState } from "react";
import { type DiscountClass, discountClasses } from "@/core/estimate/discounts";
import type { Action } from "@/ui/act/press";
import { useAct } from "@/ui/act/use-act";
import { Field, Refused } from "@/ui/controls/field";

interface Customer {
  readonly id: number;
  readonly name: string;
  readonly phone: string;
  readonly email: string;
  readonly note: string;
  readonly discountClass: DiscountClass;
  readonly rowVersion: number;
}

/** A customer's card. It is saved over the version that was read, so that two windows never overwrite each other unseen. */
export function CustomerForm({ customer, save }: { customer: Customer; save: Action<void> }) {
  const [typed, setTyped] = useState(customer);
  const act = useAct(save);
  const input = (name: "name" | "phone" | "email" | "note", label: string) => (
    <Field label={label} error={act.fields[name]}>
      {(field) => (
        <input {...field} value={typed[name]} onChange={(event) => setTyped({ ...typed, [name]: event.target.value })} autoComplete="off" />
      )}
    </Field>
  );
  return (
    <form
      className="grid grid-cols-2 gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        act.press({ ...typed, rowVersion: customer.rowVersion });
      }}
    >
      {input("name", "Name")}
      {input("phone", "Phone")}
      {input("email", "E-mail")}
      {input("note", "Note")}
      <Field label="Discount" error={act.fields.discountClass}>
        {(field) => (
          <select
            {...field}
            value={typed.discountClass}
            onChange={(event) => setTyped({ ...typed, discountClass: event.target.value as DiscountClass })}
          >
            {Object.entries(discountClasses).map(([id, words]) => (
              <option key={id} value={id}>
                {words}
              </option>
            ))}
          </select>
        )}
      </Field>
      <button type="submit" className="key key-small" disabled={act.busy}>
        Keep the card
      </button>
      <Refused message={Object.keys(act.fields).length ? null : act.message} />
    </form>
  );
}
