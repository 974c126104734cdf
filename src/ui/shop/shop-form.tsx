"use client";
import { useFormContext } from "react-hook-form";
import { formatMinor } from "@/core/money/money";
import type { Discounts, discountClasses } from "@/core/quote/discounts";
import { type PriceList, pricedServiceIds, pricedServices, usualServiceMinutes } from "@/core/quote/price-list";
import { type ForceUnit, forceUnits } from "@/core/units/say-measure";
import { familyIds, familyWords } from "@/core/vocabulary/families";
import { type Locale, locales } from "@/core/vocabulary/locales";
import { benchWays, type Ways } from "@/core/ways/ways";
import { ActForm, FormArea, FormChoice, FormSend, FormText, FormTick } from "@/ui/controls/form";
import { FormWeekdays } from "@/ui/controls/form-weekdays";

interface Settings {
  readonly shopName: string;
  readonly address: string;
  readonly phone: string;
  readonly taxNumber: string;
  readonly bank: string;
  readonly terms: string;
  readonly counterTerms: string;
  readonly storagePerWeekMinor: number;
  readonly neverFetched: string;
  readonly warrantyMonths: number;
  readonly payWithinDays: number;
  readonly ratePerHourMinor: number;
  readonly taxBasisPoints: number;
  readonly currency: string;
  readonly benchHoursPerDay: number;
  readonly promiseChance: number;
  readonly openOn: readonly number[];
  readonly locale: Locale;
  readonly dragWay: "greased" | "dry";
  readonly footSwitchKey: string;
  readonly shortcuts: boolean;
  readonly shownForce: ForceUnit;
  readonly simulated: boolean;
  readonly backupTo: string;
  readonly invoiceYears: number;
  readonly discounts: Discounts;
  readonly ways: Omit<Ways, "drag">;
  readonly prices: PriceList;
}

const promiseChances = {
  "0.5": "50 %",
  "0.6": "60 %",
  "0.7": "70 %",
  "0.8": "80 %",
  "0.9": "90 %",
  "0.95": "95 %",
} as const;
const percent = (basisPoints: number) => String(basisPoints / 100);

/** The shop's rules. A job keeps the rates it was opened with; a change holds for the next reel. */
export function ShopForm({ settings, seen }: { settings: Settings; seen: string }) {
  return (
    <ActForm
      act="save-settings"
      label="Rules of the shop"
      className="flex flex-col gap-3"
      seen={{ seen }}
      values={{
        ...settings,
        ratePerHourMinor: formatMinor(settings.ratePerHourMinor),
        taxBasisPoints: percent(settings.taxBasisPoints),
        benchHoursPerDay: String(settings.benchHoursPerDay),
        promiseChance: String(settings.promiseChance),
        payWithinDays: String(settings.payWithinDays),
        invoiceYears: String(settings.invoiceYears),
        storagePerWeekMinor: formatMinor(settings.storagePerWeekMinor),
        warrantyMonths: String(settings.warrantyMonths),
        discounts: {
          club: percent(settings.discounts.club),
          trade: percent(settings.discounts.trade),
          friend: percent(settings.discounts.friend),
        },
        prices: {
          fixed: Object.fromEntries(
            familyIds.map((family) => [
              family,
              Object.fromEntries(
                pricedServiceIds.map((service) => {
                  const minor = settings.prices.fixed[family]?.[service];
                  return [service, minor === undefined ? "" : formatMinor(minor)];
                }),
              ),
            ]),
          ),
          smallestMinor: formatMinor(settings.prices.smallestMinor),
          consumablesMinor: formatMinor(settings.prices.consumablesMinor),
          measured: settings.prices.measured,
        },
      }}
    >
      <h1>Rules of the shop</h1>
      <FormText name="shopName" label="Name of the shop, as on the tags" />
      <fieldset id="papers">
        <legend className="font-semibold">On tags, letters and invoices</legend>
        <div className="grid grid-cols-3 gap-3">
          <FormText name="address" label="Address of the shop" hint="Street, town (a comma starts a new line)" className="col-span-2" />
          <FormText name="phone" label="Phone of the shop" />
          <FormText name="taxNumber" label="Tax number" />
          <FormText name="bank" label="Bank and account" className="col-span-2" />
          <FormText name="payWithinDays" label="Payment due within, days" figures />
          <FormText name="terms" label="Terms, as printed on invoices" className="col-span-2" />
        </div>
      </fieldset>
      <fieldset id="terms">
        <legend className="font-semibold">Counter terms</legend>
        <div className="grid grid-cols-3 gap-3">
          <FormArea
            name="counterTerms"
            label="Terms, as printed on the receipt"
            hint="Spending limits, liability, who keeps the old parts."
            rows={3}
            className="col-span-3"
          />
          <FormText name="storagePerWeekMinor" label="Storage a week, after three reminders" figures />
          <FormText name="neverFetched" label="If it is never collected" className="col-span-2" />
          <FormText name="warrantyMonths" label="Warranty on our work, months" figures />
        </div>
      </fieldset>
      <h2 id="money">Rates and hours</h2>
      <div className="grid grid-cols-3 gap-3">
        <FormText name="ratePerHourMinor" label="Hourly rate" figures />
        <FormText name="taxBasisPoints" label="Tax, %" figures />
        <FormText name="currency" label="Currency" />
      </div>
      <div className="grid grid-cols-3 gap-3">
        <FormText name="benchHoursPerDay" label="Bench hours a day" figures />
        <FormChoice name="promiseChance" label="Confidence for promised dates" of={promiseChances} />
        <FormChoice name="locale" label="Date format" of={locales} />
        <FormChoice name="dragWay" label="Drag, unless agreed otherwise" of={{ greased: "greased", dry: "dry" }} />
        <FormChoice name="shownForce" label="Pulls are shown in" hint="Every field takes N, kg and lb." of={forceUnits} />
        <FormText name="footSwitchKey" label="Foot switch sends key" hint="Name of the key, for example PageDown" />
      </div>
      <FormWeekdays name="openOn" label="Open on" />
      <div className="grid grid-cols-3 gap-3">
        {(["club", "trade", "friend"] as const).map((who) => (
          <FormText key={who} name={`discounts.${who}`} label={`${discountWords[who]}, %`} figures />
        ))}
      </div>
      <details>
        <summary className="act-link min-h-10">Price list of services</summary>
        <p className="text-note">Before tax. Blank = usual minutes at the hourly rate. Fault work and parts are extra.</p>
        <PriceTable />
        <div className="mt-2 grid grid-cols-2 gap-3">
          <FormText name="prices.smallestMinor" label="Minimum labour charge" figures />
          <FormText name="prices.consumablesMinor" label="Oil, grease and cleaner per opened reel" figures />
          <FormTick name="prices.measured" label="Bill measured minutes, never more than quoted" />
        </div>
      </details>
      <fieldset id="ways">
        <legend className="font-semibold">Ways of working</legend>
        <div className="grid grid-cols-2 gap-3">
          {(Object.keys(settings.ways) as Exclude<keyof Ways, "drag">[]).map((way) => (
            <FormChoice key={way} name={`ways.${way}`} label={benchWays[way].name} of={benchWays[way].choices} />
          ))}
        </div>
      </fieldset>
      <h2 id="this-program">This program</h2>
      <FormText
        name="backupTo"
        label="Second place for daily backups"
        hint="Folder path, for example a USB stick. Leave blank for none. It may be unplugged for days."
      />
      <FormTick name="simulated" label="Simulated instruments and desks, to try things out" />
      <p className="text-note">
        They make up readings and answers. These are marked everywhere and are never used for this shop's own figures.
      </p>
      <FormText
        name="invoiceYears"
        label="Keep names on invoices for, years"
        hint="After a customer asks to be erased. Local tax law sets the period."
        figures
      />
      <FormTick name="shortcuts" label="Single keys act as shortcuts" />
      <FormSend large>Save</FormSend>
    </ActForm>
  );
}

/** The shop's own price of each service, by family. */
function PriceTable() {
  const { register } = useFormContext();
  return (
    <table className="plain-table">
      <thead>
        <tr>
          <th>Family</th>
          {pricedServiceIds.map((service) => (
            <th key={service}>{pricedServices[service]}</th>
          ))}
        </tr>
      </thead>
      <tbody>
        {familyIds.map((family) => (
          <tr key={family}>
            <td>{familyWords[family]}</td>
            {pricedServiceIds.map((service) => (
              <td key={service}>
                <input
                  {...register(`prices.fixed.${family}.${service}`)}
                  aria-label={`${pricedServices[service]}, ${familyWords[family]}`}
                  placeholder={`${usualServiceMinutes(family, service)} min`}
                  className="num min-h-9 w-24"
                  inputMode="decimal"
                  autoComplete="off"
                />
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const discountWords = { club: "Club discount", trade: "Trade discount", friend: "Friends' discount" } as const satisfies Partial<
  Record<keyof typeof discountClasses, string>
>;
