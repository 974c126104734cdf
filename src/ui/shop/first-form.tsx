"use client";
import { useRouter } from "next/navigation";
import { locales } from "@/core/vocabulary/locales";
import { ActForm, FormChoice, FormSecret, FormSend, FormText } from "@/ui/controls/form";
import { FormWeekdays } from "@/ui/controls/form-weekdays";

interface Props {
  /** Where everything will lie. */
  readonly directory: string;
  readonly values: Readonly<
    Record<
      "shopName" | "currency" | "taxBasisPoints" | "ratePerHourMinor" | "benchHoursPerDay" | "personName" | "locale" | "passphrase",
      string
    >
  > & { readonly openOn: readonly number[] };
}

/** A few fields: everything else has a usual value and is at Shop. */
export function FirstForm({ directory, values }: Props) {
  const router = useRouter();
  return (
    <ActForm
      act="found-shop"
      label="A shop begins"
      className="flex max-w-3xl flex-col gap-4"
      values={{ ...values }}
      after={() => router.push("/first/doors")}
    >
      <h1>A shop begins</h1>
      <p>
        Everything you write lies in <code className="num">{directory}</code> on this computer and goes nowhere else.
      </p>
      <div className="grid grid-cols-2 gap-3">
        <FormText name="shopName" label="Name of the shop, as on the tags" />
        <FormText name="personName" label="Your name" />
      </div>
      <div className="grid grid-cols-4 gap-3">
        <FormText name="currency" label="Currency" />
        <FormText name="ratePerHourMinor" label="Hourly rate" figures />
        <FormText name="taxBasisPoints" label="Tax, %" figures />
        <FormText name="benchHoursPerDay" label="Bench hours a day" figures />
      </div>
      <div className="grid grid-cols-[2fr_1fr] gap-3">
        <FormWeekdays name="openOn" label="Open on" />
        <FormChoice name="locale" label="Dates are written" of={locales} />
      </div>
      <FormSecret
        name="passphrase"
        label="Passphrase"
        hint="Three or four words. Asked for when you come in from a phone or another computer; on this one nobody is asked. It may wait."
        autoComplete="new-password"
      />
      <p className="text-note">Prices of services, ways of working, people and suppliers: at Shop and Stores, whenever you like.</p>
      <FormSend main>Begin</FormSend>
    </ActForm>
  );
}
