import { notInLibrary } from "@/core/acts/counter/intake-form";
import { markWords } from "@/core/intake/marks";
import { discountClasses } from "@/core/quote/discounts";
import type { Opening } from "@/core/schedule/opening";
import { type ConditionId, conditionMarks } from "@/core/vocabulary/counter-lists";
import { Field } from "@/ui/controls/field";
import { SelectField } from "@/ui/controls/select-field";
import { Ticks } from "@/ui/controls/ticks";
import { ConditionOutline } from "./condition-outline";
import { PromiseHint } from "./promise-hint";
import { ShutDay } from "./shut-day";
import type { Intake } from "./use-intake";

/** How it looks, what it may cost, and until when. */
export function ConditionColumn({
  intake,
  currency,
  terms,
  opening,
}: {
  readonly intake: Intake;
  readonly currency: string;
  readonly terms: string;
  readonly opening: Opening;
}) {
  const { error, inHand, marks, modelId, placed, register, setInHand, setValue, tap, watch, zones } = intake;
  return (
    <fieldset className="flex flex-col gap-2">
      <legend className="text-head font-semibold">Condition, limit, date</legend>
      <Ticks
        legend="As found"
        options={conditionMarks}
        register={register("conditions")}
        error={undefined}
        onTick={(id, ticked) => {
          setInHand(ticked && id !== "clean" ? (id as ConditionId) : null);
          if (!ticked)
            setValue(
              "marks",
              marks.filter(({ mark }) => mark !== id),
            );
        }}
      />
      <ConditionOutline zones={zones} marks={placed} inHand={inHand} onTap={tap} />
      <Field
        label="Anything else, in a few words"
        hint={
          placed.length
            ? markWords(placed)
            : inHand
              ? `Tap where it is: ${conditionMarks[inHand]}.`
              : "Tick what you see, then tap the spot."
        }
        error={error("conditionNote")}
      >
        {(field) => <input {...field} {...register("conditionNote")} autoComplete="off" />}
      </Field>
      <div className="grid grid-cols-[2fr_1fr] gap-2">
        <Field label={`Spending limit (${currency}, tax included)`} hint="Leave blank to be asked before any work." error={error("limit")}>
          {(field) => <input {...field} {...register("limit")} inputMode="decimal" autoComplete="off" />}
        </Field>
        <Field label="Of which parts" hint="Leave blank for no separate limit." error={error("partsLimit")}>
          {(field) => <input {...field} {...register("partsLimit")} inputMode="decimal" autoComplete="off" />}
        </Field>
      </div>
      <div className="grid grid-cols-2 gap-2">
        <Field label="Call before replacing" hint="Name the parts. We call first whatever they cost." error={error("callFor")}>
          {(field) => <input {...field} {...register("callFor")} autoComplete="off" />}
        </Field>
        <Field label="Line breaking strain" hint="30 lb, 14 kg or 130 N." error={error("lineBreaks")}>
          {(field) => <input {...field} {...register("lineBreaks")} autoComplete="off" />}
        </Field>
      </div>
      <div className="grid grid-cols-3 gap-2">
        <SelectField label="Discount" options={discountClasses} register={register("discountClass")} error={error("discountClass")} />
        <Field label={`Deposit (${currency})`} error={error("deposit")}>
          {(field) => <input {...field} {...register("deposit")} inputMode="decimal" autoComplete="off" />}
        </Field>
        <Field label="Reel is worth" error={error("value")}>
          {(field) => <input {...field} {...register("value")} inputMode="decimal" autoComplete="off" />}
        </Field>
      </div>
      {terms && (
        <label className="flex min-h-10 cursor-pointer items-center gap-3" title={terms}>
          <input type="checkbox" {...register("termsAgreed")} className="h-5 min-h-0 w-5 accent-ink" />
          Customer agreed to our terms (otherwise they sign the receipt)
        </label>
      )}
      <div className="grid grid-cols-2 gap-2">
        <Field label="Wanted by" error={error("wantedOn")}>
          {(field) => <input {...field} {...register("wantedOn")} type="date" />}
        </Field>
        <Field
          label="Promised"
          error={error("promisedOn")}
          hint={<ShutDay opening={opening} day={watch("promisedOn")} take={(day) => setValue("promisedOn", day)} />}
        >
          {(field) => <input {...field} {...register("promisedOn")} type="date" />}
        </Field>
      </div>
      <PromiseHint
        model={modelId === notInLibrary ? "unknown" : modelId}
        kind={watch("kind")}
        depth={watch("depth")}
        chosen={watch("promisedOn")}
        take={(day) => setValue("promisedOn", day)}
        shown={(said) => setValue("shown", said && { ...said, days: [...said.days] })}
      />
      <details>
        <summary className="act-link min-h-10">Believed to be: maker, year, country</summary>
        <div className="grid grid-cols-3 gap-2">
          <Field label="Maker" error={error("madeBy")}>
            {(field) => <input {...field} {...register("madeBy")} autoComplete="off" />}
          </Field>
          <Field label="Year" error={error("madeWhen")}>
            {(field) => <input {...field} {...register("madeWhen")} autoComplete="off" />}
          </Field>
          <Field label="Origin" error={error("madeWhere")}>
            {(field) => <input {...field} {...register("madeWhere")} autoComplete="off" />}
          </Field>
        </div>
        <p className="text-note">Add a question mark if it is a guess.</p>
      </details>
    </fieldset>
  );
}
