"use client";
import Link from "next/link";
import { useEffect, useRef, useState } from "react";
import { type FieldErrors, useForm } from "react-hook-form";
import { claims } from "@/core/diagnosis/purchase-check";
import { markWords } from "@/core/intake/marks";
import { outlineOf, type ZoneId } from "@/core/intake/outlines";
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
import { familyWords } from "@/core/vocabulary/families";
import { waterWords } from "@/core/vocabulary/use";
import type { Action } from "@/ui/act/press";
import { useAct } from "@/ui/act/use-act";
import { sendFile } from "@/ui/act/use-upload";
import { Field, Refused } from "@/ui/controls/field";
import { SearchField } from "@/ui/controls/search-field";
import { SelectField } from "@/ui/controls/select-field";
import { Ticks } from "@/ui/controls/ticks";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";
import { ConditionOutline } from "./condition-outline";
import { comesFor, depthChoices, type IntakeForm, intakeFormSchema, notInLibrary, paysChoices } from "./intake.schema";
import { type CustomerChoice, type Known, KnownReel, type ModelChoice, type OfferedReel } from "./known-reel";
import { PromiseHint } from "./promise-hint";
import { ShutDay } from "./shut-day";
import { type TakenIn, TakenNote } from "./taken-note";

interface Props {
  readonly currency: string;
  readonly today: string;
  readonly promise: string;
  readonly opening: Opening;
  readonly takeIn: Action<TakenIn>;
}

const unknownModel: ModelChoice = { id: notInLibrary, name: "Not in the library (no schematic)", family: "star-drag-bridge" };

const actWords: Partial<Record<IntakeForm["kind"], string>> = { donor: "Keep for parts", declined: "Record that it was sent away" };
const complaintLabels: Partial<Record<IntakeForm["kind"], string>> = {
  "purchase-check": "Buyer's question",
  declined: "Why we do not take it",
};

/** Sends the pictures after the job has its number. @returns what went wrong, in words. */
async function sendPictures(jobId: number, pictures: readonly File[]): Promise<string | null> {
  const lost: string[] = [];
  for (const picture of pictures) {
    const result = await sendFile("/api/photos", "photo", picture, { jobId });
    if (!result.ok) lost.push(`${picture.name}: ${result.message}`);
  }
  return lost.length ? `The reel is checked in, but not all photos were saved. ${lost.join(" ")} Add them at Test.` : null;
}

/** One page, keyboard first: who, which reel, what is wrong, how it is used, what came with it, how far to go, until when. */
export function IntakeSheet({ currency, today, promise, opening, takeIn }: Props) {
  const empty: IntakeForm = {
    customerId: "",
    name: "",
    phone: "",
    email: "",
    modelId: "",
    unknownName: "",
    family: "star-drag-bridge",
    serial: "",
    reelId: "",
    madeBy: "",
    madeWhen: "",
    madeWhere: "",
    hand: "right",
    kind: "repair",
    depth: "usual",
    claims: [],
    complaints: [],
    complaint: "",
    water: "salt",
    tripsPerYear: "20",
    brought: [],
    conditions: [],
    marks: [],
    discountClass: "none",
    deposit: "",
    value: "",
    callFor: "",
    lineBreaks: "",
    pays: "",
    life: [],
    conditionNote: "",
    brakes: "",
    dragWish: "shop",
    handleHole: "as-found",
    limit: "",
    wantedOn: "",
    promisedOn: promise,
  };
  const form = useForm<IntakeForm>({
    defaultValues: empty,
    resolver: (values) => {
      const parsed = intakeFormSchema.safeParse(values);
      if (parsed.success) return { values: parsed.data as IntakeForm, errors: {} };
      const errors: FieldErrors<IntakeForm> = {};
      for (const issue of parsed.error.issues)
        errors[issue.path[0] as keyof IntakeForm] ??= { type: "typed", message: issue.message } as never;
      return { values: {}, errors };
    },
  });
  const [customer, setCustomer] = useState<CustomerChoice | null>(null);
  const [model, setModel] = useState<ModelChoice | null>(null);
  const [taken, setTaken] = useState<(TakenIn & { name: string; who: CustomerChoice | null }) | null>(null);
  // Counts whose turn it is at the page, so that a search field shows what is chosen for it.
  const [turn, setTurn] = useState(0);
  const [known, setKnown] = useState<Known | null>(null);
  // Reels of the customer's that our own work may have come back with, where no serial tells.
  const [theirs, setTheirs] = useState<readonly OfferedReel[]>([]);
  const [inHand, setInHand] = useState<ConditionId | null>(null);
  const [pictures, setPictures] = useState<readonly File[]>([]);
  const [pictureMessage, setPictureMessage] = useState<string | null>(null);
  const asked = useRef("");
  const act = useAct(takeIn, (answer) => {
    const values = form.getValues();
    setTaken({ ...answer, name: values.name || (customer?.name ?? ""), who: customer });
    setTurn((before) => before + 1);
    setCustomer(null);
    setModel(null);
    setKnown(null);
    setTheirs([]);
    setInHand(null);
    asked.current = "";
    form.reset(empty);
    if (answer.job && !answer.declined) void sendPictures(answer.job.id, pictures).then(setPictureMessage);
    setPictures([]);
  });
  const { register, watch, setValue, formState } = form;
  const error = (name: keyof IntakeForm) => (formState.errors[name]?.message as string | undefined) ?? act.fields[name];

  const chooseCustomer = (choice: CustomerChoice | null, typed: string) => {
    setCustomer(choice);
    setValue("customerId", choice?.id ?? "");
    setValue("name", choice ? "" : typed);
    setValue("discountClass", choice?.discountClass ?? "none");
  };
  /** The next reel of the same owner: one who was new a moment ago is found by name. */
  const again = async ({ who, name: newName }: { who: CustomerChoice | null; name: string }) => {
    const response = who ? null : await fetch(`/api/choose/customers?q=${encodeURIComponent(newName)}`).catch(() => null);
    const found = who ?? (response?.ok ? ((await response.json()) as CustomerChoice[]).find((one) => one.name === newName) : null);
    if (!found) return;
    chooseCustomer(found, "");
    setTurn((before) => before + 1);
  };
  const chooseModel = (choice: ModelChoice | null) => {
    setModel(choice);
    setValue("modelId", choice?.id ?? "");
  };
  const lookUp = async () => {
    const serial = form.getValues("serial").trim();
    if (serial === asked.current) return;
    asked.current = serial;
    setValue("reelId", "");
    if (!serial) return setKnown(null);
    await know(`serial=${encodeURIComponent(serial)}`);
  };
  /** A reel out of the book, where its serial does not tell it. */
  const pickReel = async (id: string) => {
    setValue("reelId", id);
    if (id) await know(`reel=${id}`);
  };
  const know = async (query: string) => {
    const response = await fetch(`/api/reels?${query}`).catch(() => null);
    const answer = response ? ((await response.json()) as Known) : null;
    setKnown(answer);
    if (answer?.reel) {
      setValue("hand", answer.reel.hand);
      chooseModel(answer.reel.model);
      if (!form.getValues("customerId") && !form.getValues("name")) chooseCustomer(answer.reel.owner, "");
    }
  };

  // Marks of another family's outline do not go along.
  const send = form.handleSubmit((values) => act.press({ ...values, marks: placed }));
  const [name, modelId, kind, marks] = [watch("name"), watch("modelId"), watch("kind"), watch("marks")];
  const family = model && modelId !== notInLibrary ? model.family : watch("family");
  const customerId = watch("customerId");
  const comesBack = kind === "comeback";
  useEffect(() => {
    setTheirs([]);
    if (!comesBack || !customerId) return;
    let over = false;
    void fetch(`/api/reels?customer=${customerId}`)
      .then((response) => response.json())
      .then(({ reels }: { reels: OfferedReel[] }) => {
        if (!over) setTheirs(reels);
      })
      .catch(() => undefined);
    return () => {
      over = true;
    };
  }, [comesBack, customerId]);
  const zones = outlineOf(family);
  const placed = marks.filter(({ zone }) => zones.some(({ id }) => id === zone));
  const tap = (zone: ZoneId) => {
    if (!inHand) return;
    const there = marks.some((mark) => mark.zone === zone && mark.mark === inHand);
    setValue("marks", there ? marks.filter((mark) => mark.zone !== zone || mark.mark !== inHand) : [...marks, { mark: inHand, zone }]);
  };
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
        {taken && <TakenNote taken={taken} again={() => void again(taken)} />}
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
                <Field label="Markings, or what it looks like" error={error("unknownName")}>
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
              <Field label="One of these? Its serial may be read so" error={error("reelId")}>
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
            {family.startsWith("baitcaster") && (
              <Field label="Brake setting as found (goes back so)" error={error("brakes")}>
                {(field) => <input {...field} {...register("brakes")} placeholder="blocks in, dial" autoComplete="off" />}
              </Field>
            )}
          </fieldset>

          <fieldset className="flex flex-col gap-2">
            <legend className="text-head font-semibold">Complaint and use</legend>
            <div className="grid grid-cols-2 gap-2">
              <SelectField label="Job" options={comesFor} register={register("kind")} error={error("kind")} />
              <SelectField label="How deep" options={depthChoices} register={register("depth")} error={error("depth")} />
            </div>
            {kind === "comeback" && (
              <div className="grid grid-cols-2 gap-2">
                <SelectField label="Who pays" options={paysChoices} register={register("pays")} error={error("pays")} />
                {!known?.reel || watch("reelId") ? (
                  <Field
                    label="Which reel of theirs"
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
                    : "Tick what you see, then tap where it is."
              }
              error={error("conditionNote")}
            >
              {(field) => <input {...field} {...register("conditionNote")} autoComplete="off" />}
            </Field>
            <Field label={`Spending limit (${currency}, tax included)`} hint="Empty: ask before any work." error={error("limit")}>
              {(field) => <input {...field} {...register("limit")} inputMode="decimal" autoComplete="off" />}
            </Field>
            <div className="grid grid-cols-2 gap-2">
              <Field label="Call before renewing" hint="Parts by name, whatever the sum." error={error("callFor")}>
                {(field) => <input {...field} {...register("callFor")} autoComplete="off" />}
              </Field>
              <Field label="Its line breaks at" hint="30 lb, 14 kg or 130 N." error={error("lineBreaks")}>
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
            />
            <details>
              <summary className="act-link min-h-10">What the reel is taken for: maker, year, origin</summary>
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
              <p className="text-note">A question mark at the end says that it is a guess.</p>
            </details>
          </fieldset>
        </div>
      </Sheet>
    </form>
  );
}
