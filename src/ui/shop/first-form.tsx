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
      label="Set up your shop"
      className="flex max-w-3xl flex-col gap-4"
      values={{ ...values }}
      after={() => router.push("/first/doors")}
    >
      <h1>Set up your shop</h1>
      <p>
        Everything you enter is saved in <code className="num">{directory}</code> on this computer and is not sent anywhere.
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
        <FormChoice name="locale" label="Date format" of={locales} />
      </div>
      <FormSecret
        name="passphrase"
        label="Passphrase"
        hint="Three or four words. Needed to sign in from a phone or another computer, not on this one. You can set it later."
        autoComplete="new-password"
      />
      <p className="text-note">Prices of services, ways of working, people and suppliers: at Shop and Stores, whenever you like.</p>
      <FormSend main>Create the shop</FormSend>
    </ActForm>
  );
}
