"use client";
import { type DiscountClass, discountClasses } from "@/core/quote/discounts";
import { ActForm, FormChoice, FormSend, FormText } from "@/ui/controls/form";
import { RetireKey } from "@/ui/controls/retire-key";

interface Customer {
  readonly id: number;
  readonly name: string;
  readonly phone: string;
  readonly email: string;
  readonly address: string;
  readonly note: string;
  readonly discountClass: DiscountClass;
  readonly retired: boolean;
  readonly rowVersion: number;
}

const Card = () => (
  <>
    <FormText name="name" label="Name" />
    <FormText name="phone" label="Phone" />
    <FormText name="email" label="E-mail" />
    <FormText name="address" label="Address" hint="Street, place" />
    <FormText name="note" label="Note" />
  </>
);

/** A customer's card. It is saved over the version that was read, so that two windows never overwrite each other unseen. */
export function CustomerForm({ customer }: { customer: Customer }) {
  const { id, rowVersion, retired, ...values } = customer;
  return (
    <div className="flex flex-col items-start gap-2">
      <ActForm
        act="save-customer"
        label={customer.name}
        className="grid w-full grid-cols-2 items-end gap-2"
        values={values}
        also={{ id }}
        seen={{ rowVersion }}
      >
        <Card />
        <FormChoice name="discountClass" label="Discount" of={discountClasses} />
        <FormSend whenChanged>Save</FormSend>
      </ActForm>
      <RetireKey id={id} name={customer.name} retired={retired} retire="retire-customer" />
      {retired && <p className="text-note">No longer offered at the Counter; reels and reports keep the name.</p>}
    </div>
  );
}

/** A customer who has no reel here yet. */
export function NewCustomer({ after }: { after?: (id: number) => void }) {
  return (
    <ActForm
      act="add-customer"
      label="New customer"
      className="grid grid-cols-2 items-end gap-2"
      values={{ name: "", phone: "", email: "", address: "", note: "" }}
      empties
      {...(after ? { after } : {})}
    >
      <Card />
      <FormSend>Add the customer</FormSend>
    </ActForm>
  );
}
