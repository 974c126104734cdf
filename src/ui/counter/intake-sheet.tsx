"use client";
import Link from "next/link";
import { comesFor, depthChoices, type IntakeForm, notInLibrary, paysChoices } from "@/core/acts/counter/intake-form";
import { claims } from "@/core/diagnosis/purchase-check";
import { markWords } from "@/core/intake/marks";
import { discountClasses } from "@/core/quote/discounts";
import type { Opening } from "@/core/schedule/opening";
import {
  broughtWith,
  type ConditionId,
  complaints,
  conditionMarks,
  dragWishes,
  handleHoles,
  hands,
  lives,
} from "@/core/vocabulary/counter-lists";
import { familyWords, hasCastBrakes } from "@/core/vocabulary/families";
import { waterWords } from "@/core/vocabulary/use";
import { Field } from "@/ui/controls/field";
import { Refused } from "@/ui/controls/refused";
import { SearchField } from "@/ui/controls/search-field";
import { SelectField } from "@/ui/controls/select-field";
import { Ticks } from "@/ui/controls/ticks";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";
import { ConditionOutline } from "./condition-outline";
import { KnownReel, type ModelChoice } from "./known-reel";
import { PromiseHint } from "./promise-hint";
import { ShutDay } from "./shut-day";
import { TakenNote } from "./taken-note";
import { useIntake } from "./use-intake";

interface Props {
  readonly currency: string;
  /** The shop's terms; empty where it has none. */
  readonly terms: string;
  readonly today: string;
  readonly promise: string;
  readonly opening: Opening;
}

const unknownModel: ModelChoice = { id: notInLibrary, name: "Not in the library (no schematic)", family: "star-drag-bridge" };

const actWords: Partial<Record<IntakeForm["kind"], string>> = { donor: "Keep for parts", declined: "Record that it was sent away" };
const complaintLabels: Partial<Record<IntakeForm["kind"], string>> = {
  "purchase-check": "Buyer's question",
  declined: "Why we do not take it",
};

/** One page, keyboard first: who, which reel, what is wrong, how it is used, what came with it, how far to go, until when. */
export function IntakeSheet({ currency, terms, today, promise, opening }: Props) {
  const {
    act,
    again,
    chooseCustomer,
    chooseModel,
    customer,
    error,
    family,
    inHand,
    kind,
    known,
    lookUp,
    marks,
    model,
    modelId,
    name,
    pickReel,
    pictureMessage,
    pictures,
    placed,
    register,
    send,
    setInHand,
    setPictures,
    setValue,
    mine,
    taken,
    tap,
    theirs,
    turn,
    watch,
    zones,
  } = useIntake(promise);
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void send();
      }}
    >
      <Sheet
        fill
        act={
          <>
            <button type="submit" className="key key-main" disabled={act.busy}>
              {act.busy ? "Saving…" : (actWords[kind] ?? "Check in")}
              <span className="cap">enter</span>
            </button>
            {taken?.job && !taken.declined && (
              <>
                <a className="key" href={`/bench/${taken.job.tag}/label.pdf`} target="_blank" rel="noreferrer">
                  Print tag {taken.job.tag}
                </a>
                <a className="key" href={`/bench/${taken.job.tag}/receipt.pdf`} target="_blank" rel="noreferrer">
                  Receipt
                </a>
              </>
            )}
          </>
        }
        block={
          <CornerBlock
            cells={[
              { label: "Tag", value: taken?.job?.tag ?? "next free", large: true },
              { label: "Station", value: "Counter" },
              { label: "Day", value: today },
            ]}
          />
        }
      >
        {taken && <TakenNote key={taken.job?.tag} taken={taken} again={() => void again(taken)} mine={mine} />}
        <Refused of={[act]} beside />
        <Refused message={pictureMessage} />
        <div className="grid gap-x-6 gap-y-3 lg:grid-cols-3">
          <fieldset className="flex flex-col gap-2">
            <legend className="flex w-full justify-between text-head font-semibold">
              Owner and reel
              <Link className="act-link text-text" href="/counter/lot">
                Several reels of one model
              </Link>
            </legend>
            <SearchField
              key={`customer ${turn}`}
              label="Customer"
              from="/api/choose/customers"
              chosen={customer}
              onChoose={chooseCustomer}
              free
              error={error("customerId") ?? error("name")}
              hint={customer ? customer.glance : name ? "New customer." : "Name or phone; a new name adds a customer."}
            />
            {!customer && name && (
              <div className="grid grid-cols-2 gap-2">
                <Field label="Phone" error={error("phone")}>
                  {(field) => <input {...field} {...register("phone")} inputMode="tel" autoComplete="off" />}
                </Field>
                <Field label="E-mail" error={error("email")}>
                  {(field) => <input {...field} {...register("email")} inputMode="email" autoComplete="off" />}
                </Field>
                <Field label="Address, if an invoice wants it" error={error("address")} className="col-span-2">
                  {(field) => <input {...field} {...register("address")} autoComplete="off" />}
                </Field>
              </div>
            )}
            <SearchField
              key={`model ${taken?.reelId ?? ""}`}
              label="Model"
              from="/api/choose/models"
              chosen={model}
              onChoose={chooseModel}
              always={[unknownModel]}
              error={error("modelId")}
            />
            {modelId === notInLibrary && (
              <div className="grid grid-cols-2 gap-2">
                <Field label="Name, markings or description" error={error("unknownName")}>
                  {(field) => <input {...field} {...register("unknownName")} autoComplete="off" />}
                </Field>
                <SelectField
                  label="Family, as close as you can tell"
                  options={familyWords}
                  register={register("family")}
                  error={error("family")}
                />
              </div>
            )}
            <div className="grid grid-cols-2 gap-2">
              <Field label="Serial, as stamped" error={error("serial")}>
                {(field) => (
                  <input {...field} {...register("serial", { onBlur: () => void lookUp() })} className="num" autoComplete="off" />
                )}
              </Field>
              <SelectField label="Hand" options={hands} register={register("hand")} error={error("hand")} />
            </div>
            {known?.alike && known.alike.length > 0 && (
              <Field label="One of these? Similar serials" error={error("reelId")}>
                {(field) => (
                  <select {...field} defaultValue="" onChange={(event) => void pickReel(event.target.value)}>
                    <option value="">none of them: a new reel</option>
                    {known.alike!.map(({ id, words }) => (
                      <option key={id} value={id}>
                        {words}
                      </option>
                    ))}
                  </select>
                )}
              </Field>
            )}
            {known?.reel && <KnownReel known={known} onComeback={kind === "comeback" ? null : () => setValue("kind", "comeback")} />}
            <Ticks legend="Came with it" options={broughtWith} register={register("brought")} error={undefined} />
            <div className="grid grid-cols-2 gap-2">
              <SelectField label="Drag" options={dragWishes} register={register("dragWish")} error={error("dragWish")} />
              <SelectField label="Handle hole" options={handleHoles} register={register("handleHole")} error={error("handleHole")} />
            </div>
            {hasCastBrakes(family) && (
              <Field label="Brake setting as found (set back the same)" error={error("brakes")}>
                {(field) => <input {...field} {...register("brakes")} placeholder="blocks in, dial" autoComplete="off" />}
              </Field>
            )}
          </fieldset>

          <fieldset className="flex flex-col gap-2">
            <legend className="text-head font-semibold">Complaint and use</legend>
            <div className="grid grid-cols-2 gap-2">
              <SelectField label="Job" options={comesFor} register={register("kind")} error={error("kind")} />
              <SelectField label="Level of service" options={depthChoices} register={register("depth")} error={error("depth")} />
            </div>
            {watch("depth") === "opening" && (
              <Field
                label={`Opening it may cost up to (${currency}, tax included)`}
                hint="Leave blank for its list price. We ask about everything else."
                error={error("openingLimit")}
              >
                {(field) => <input {...field} {...register("openingLimit")} inputMode="decimal" autoComplete="off" />}
              </Field>
            )}
            {kind === "comeback" && (
              <div className="grid grid-cols-2 gap-2">
                <SelectField label="Who pays" options={paysChoices} register={register("pays")} error={error("pays")} />
                {!known?.reel || watch("reelId") ? (
                  <Field
                    label="Which of their reels"
                    hint={theirs.length ? undefined : "By its serial, or choose the customer."}
                    error={error("reelId")}
                  >
                    {(field) => (
                      <select {...field} value={watch("reelId")} onChange={(event) => void pickReel(event.target.value)}>
                        <option value="">by its serial</option>
                        {theirs.map(({ id, words }) => (
                          <option key={id} value={id}>
                            {words}
                          </option>
                        ))}
                      </select>
                    )}
                  </Field>
                ) : null}
              </div>
            )}
            {kind === "purchase-check" ? (
              <Ticks legend="Seller says" options={claims} register={register("claims")} error={error("claims")} />
            ) : (
              <Ticks legend="Customer reports" options={complaints} register={register("complaints")} error={undefined} />
            )}
            <Field label={complaintLabels[kind] ?? "In their words"} error={error("complaint")}>
              {(field) => <textarea {...field} {...register("complaint")} rows={2} />}
            </Field>
            <div className="grid grid-cols-2 gap-2">
              <SelectField label="Water" options={waterWords} register={register("water")} error={error("water")} />
              <Field label="Trips a year" error={error("tripsPerYear")}>
                {(field) => <input {...field} {...register("tripsPerYear")} inputMode="numeric" className="num" />}
              </Field>
            </div>
            <Ticks legend="History" options={lives} register={register("life")} error={undefined} />
            <Field label="Photos as received" hint={pictures.length ? `${pictures.length} ready to save at check-in.` : undefined}>
              {(field) => (
                <input
                  {...field}
                  key={taken?.reelId ?? "first"}
                  type="file"
                  multiple
                  accept="image/jpeg,image/png,image/webp"
                  onChange={(event) => setPictures([...(event.target.files ?? [])])}
                />
              )}
            </Field>
          </fieldset>

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
              <Field
                label={`Spending limit (${currency}, tax included)`}
                hint="Leave blank to be asked before any work."
                error={error("limit")}
              >
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
        </div>
      </Sheet>
    </form>
  );
}
