"use client";
import { useRouter } from "next/navigation";
import { familyWords } from "@/core/vocabulary/families";
import type { Action } from "@/ui/act/press";
import { ActForm, FormChoice, FormSend, FormText } from "@/ui/controls/form";

/** A new model begins as a copy of its family and is edited at its drawing. */
export function StartModel({ start }: { start: Action<{ id: string }> }) {
  const router = useRouter();
  return (
    <div id="new-model">
      <h2>A new model from its family</h2>
      <ActForm
        action={start}
        label="A new model from its family"
        className="mt-2 flex flex-col gap-2"
        values={{ family: "star-drag-bridge", maker: "", name: "", prefix: "" }}
        after={({ id }) => router.push(`/library/${id}`)}
      >
        <FormChoice name="family" label="Family" of={familyWords} />
        <FormText name="maker" label="Maker" />
        <FormText name="name" label="Model" />
        <FormText name="prefix" label="Part numbers begin with" />
        <FormSend large>Create the model</FormSend>
      </ActForm>
    </div>
  );
}
