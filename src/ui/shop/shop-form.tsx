"use client";
import { useForm } from "react-hook-form";
import { formatMinor, parseMinor } from "@/core/money/money";
import { type Discounts, discountClasses } from "@/core/quote/discounts";
import { benchWays, type Ways } from "@/core/ways/ways";
import type { Action } from "@/ui/act/press";
import { useAct } from "@/ui/act/use-act";
import { Field, Refused } from "@/ui/controls/field";
import { SelectField } from "@/ui/controls/select-field";

interface Settings {
  readonly shopName: string;
  readonly ratePerHourMinor: number;
  readonly taxBasisPoints: number;
  readonly currency: string;
  readonly benchHoursPerDay: number;
  readonly dragWay: "greased" | "dry";
  readonly footSwitchKey: string;
  readonly shortcuts: boolean;
  readonly discounts: Discounts;
  readonly ways: Omit<Ways, "drag">;
}

/** Basis points of a percentage as typed; null when it is none. */
function percentOf(text: string): number | null {
  const percent = Number(text.trim().replace(",", "."));
  return text.trim() === "" || !Number.isFinite(percent) ? null : Math.round(percent * 100);
}

/** The shop's rules. A job keeps the rates it was opened with; a change holds for the next reel. */
export function ShopForm({ settings, save }: { settings: Settings; save: Action<void> }) {
  const form = useForm({
    defaultValues: {
      ...settings,
      rate: formatMinor(settings.ratePerHourMinor),
      tax: String(settings.taxBasisPoints / 100),
      benchHoursPerDay: String(settings.benchHoursPerDay),
      club: String(settings.discounts.club / 100),
      trade: String(settings.discounts.trade / 100),
      friend: String(settings.discounts.friend / 100),
    },
  });
  const act = useAct(save);
  const { register } = form;
  const send = form.handleSubmit(({ rate, tax, benchHoursPerDay, club, trade, friend, ...rest }) => {
    const rateMinor = parseMinor(rate);
    if (rateMinor === null) return form.setError("rate", { message: "An amount such as 45 or 45.50." });
    const percent = Number(tax.replace(",", "."));
    if (!Number.isFinite(percent) || tax.trim() === "") return form.setError("tax", { message: "A percentage such as 20 or 8.1." });
    const hours = Number(benchHoursPerDay.replace(",", "."));
    if (!Number.isFinite(hours)) return form.setError("benchHoursPerDay", { message: "Hours such as 6 or 5.5." });
    const off = { club: percentOf(club), trade: percentOf(trade), friend: percentOf(friend) };
    for (const who of ["club", "trade", "friend"] as const)
      if (off[who] === null) return form.setError(who, { message: "A percentage such as 10, or 0." });
    return act.press({
      ...rest,
      ratePerHourMinor: rateMinor,
      taxBasisPoints: Math.round(percent * 100),
      benchHoursPerDay: hours,
      discounts: off,
    });
  });
  const typed = form.formState.errors;
  return (
    <form
      noValidate
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        void send();
      }}
    >
      <h1>Rules of the shop</h1>
      <Field label="Name of the shop, as on the tags" error={act.fields.shopName}>
        {(field) => <input {...field} {...register("shopName")} />}
      </Field>
      <div className="grid grid-cols-3 gap-3">
        <Field label="Bench hour costs" error={typed.rate?.message ?? act.fields.ratePerHourMinor}>
          {(field) => <input {...field} {...register("rate")} inputMode="decimal" />}
        </Field>
        <Field label="Tax, %" error={typed.tax?.message ?? act.fields.taxBasisPoints}>
          {(field) => <input {...field} {...register("tax")} inputMode="decimal" />}
        </Field>
        <Field label="Currency" error={act.fields.currency}>
          {(field) => <input {...field} {...register("currency")} className="num" />}
        </Field>
      </div>
      <div className="grid grid-cols-3 gap-3">
        <Field label="Bench hours a day" error={typed.benchHoursPerDay?.message ?? act.fields.benchHoursPerDay}>
          {(field) => <input {...field} {...register("benchHoursPerDay")} inputMode="decimal" />}
        </Field>
        <Field label="Drag, when nobody says otherwise" error={act.fields.dragWay}>
          {(field) => (
            <select {...field} {...register("dragWay")}>
              <option value="greased">greased</option>
              <option value="dry">dry</option>
            </select>
          )}
        </Field>
        <Field label="Foot switch types" hint="The name of its key, such as PageDown" error={act.fields.footSwitchKey}>
          {(field) => <input {...field} {...register("footSwitchKey")} className="num" />}
        </Field>
      </div>
      <div className="grid grid-cols-3 gap-3">
        {(["club", "trade", "friend"] as const).map((who) => (
          <Field
            key={who}
            label={`Off for a ${discountClasses[who]}, %`.replace("a trade", "trade")}
            error={typed[who]?.message ?? act.fields.discounts}
          >
            {(field) => <input {...field} {...register(who)} inputMode="decimal" />}
          </Field>
        ))}
      </div>
      <fieldset>
        <legend className="font-semibold">Ways of working, where practitioners differ</legend>
        <div className="grid grid-cols-2 gap-3">
          {(Object.keys(settings.ways) as Exclude<keyof Ways, "drag">[]).map((way) => (
            <SelectField
              key={way}
              label={benchWays[way].name}
              options={benchWays[way].choices}
              register={register(`ways.${way}`)}
              error={undefined}
            />
          ))}
        </div>
      </fieldset>
      <label className="flex min-h-10 items-center gap-3">
        <input type="checkbox" {...register("shortcuts")} className="h-5 min-h-0 w-5 accent-ink" />
        Single keys act as shortcuts
      </label>
      <button type="submit" className="key" disabled={act.busy}>
        Keep these rules
      </button>
      <Refused of={[act]} beside />
    </form>
  );
}
