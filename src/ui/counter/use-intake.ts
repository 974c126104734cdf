import { useEffect, useRef, useState } from "react";
import { type FieldErrors, useForm } from "react-hook-form";
import type { TakenIn } from "@/core/acts/counter/intake";
import { emptyForm, type IntakeForm, intakeFormSchema, notInLibrary } from "@/core/acts/counter/intake-form";
import { outlineOf, type ZoneId } from "@/core/intake/outlines";
import type { ConditionId } from "@/core/vocabulary/counter-lists";
import { useAct } from "@/ui/act/use-act";
import { sendFile } from "@/ui/act/use-upload";
import type { CustomerChoice, Known, ModelChoice, OfferedReel } from "./known-reel";

/** Sends the pictures after the job has its number. @returns what went wrong, in words. */
async function sendPictures(jobId: number, pictures: readonly File[]): Promise<string | null> {
  const lost: string[] = [];
  for (const picture of pictures) {
    const result = await sendFile("/api/photos", "photo", picture, { jobId });
    if (!result.ok) lost.push(`${picture.name}: ${result.message}`);
  }
  return lost.length ? `The reel is checked in, but not all photos were saved. ${lost.join(" ")} Add them at Test.` : null;
}

/** What is typed at intake and what is known by it: the customer, the reel by its serial, its owner's others; and the act that takes it in. */
export function useIntake(promise: string) {
  const form = useForm<IntakeForm>({
    defaultValues: emptyForm(promise),
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
  const [mine, setMine] = useState<readonly string[]>([]);
  // Counts whose turn it is at the page, so that a search field shows what is chosen for it.
  const [turn, setTurn] = useState(0);
  const [known, setKnown] = useState<Known | null>(null);
  // Reels of the customer's that our own work may have come back with, where no serial tells.
  const [theirs, setTheirs] = useState<readonly OfferedReel[]>([]);
  const [inHand, setInHand] = useState<ConditionId | null>(null);
  const [pictures, setPictures] = useState<readonly File[]>([]);
  const [pictureMessage, setPictureMessage] = useState<string | null>(null);
  const asked = useRef("");
  const act = useAct("intake", (answer) => {
    const values = form.getValues();
    setTaken({ ...answer, name: values.name || (customer?.name ?? ""), who: customer });
    const tag = answer.job?.tag;
    if (tag) setMine((mine) => [...mine, tag]);
    setTurn((before) => before + 1);
    setCustomer(null);
    setModel(null);
    setKnown(null);
    setTheirs([]);
    setInHand(null);
    asked.current = "";
    form.reset(emptyForm(promise));
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
    const isMarked = marks.some((mark) => mark.zone === zone && mark.mark === inHand);
    setValue("marks", isMarked ? marks.filter((mark) => mark.zone !== zone || mark.mark !== inHand) : [...marks, { mark: inHand, zone }]);
  };
  return {
    act,
    again,
    chooseCustomer,
    chooseModel,
    customer,
    error,
    family,
    inHand,
    mine,
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
    taken,
    tap,
    theirs,
    turn,
    watch,
    zones,
  };
}

export type Intake = ReturnType<typeof useIntake>;
