"use client";
import { useState } from "react";
import { type DiscountClass, discountClasses } from "@/core/estimate/discounts";
import type { Action } from "@/ui/act/press";
import { useAct } from "@/ui/act/use-act";
import { Refused } from "@/ui/controls/field";
import { ChoiceField, TextField } from "@/ui/controls/text-field";

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
    <TextField label={label} value={typed[name]} error={act.fields[name]} onType={(said) => setTyped({ ...typed, [name]: said })} />
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
      <ChoiceField
        label="Discount"
        of={discountClasses}
        value={typed.discountClass}
        error={act.fields.discountClass}
        onChoose={(id) => setTyped({ ...typed, discountClass: id as DiscountClass })}
      />
      <button type="submit" className="key key-small" disabled={act.busy}>
        Keep the card
      </button>
      <Refused message={Object.keys(act.fields).length ? null : act.message} />
    </form>
  );
}
