"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { kindWords, type PartKind, sizeLabel, wordSizes } from "@/core/anatomy/shapes";
import { typicalShapes } from "@/core/anatomy/typical-shape";
import { Field } from "@/ui/controls/field";
import { ActForm, FormChoice, FormSend, FormText } from "@/ui/controls/form";
import { MaterialField } from "@/ui/controls/material-field";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";

const own = (list: readonly string[]) => Object.fromEntries(list.map((one) => [one, one]));

/** A catalogue entry typed by hand: its kind says which sizes it has, each begins as the kind's usual one. */
export function NewPartSheet({ number, currency }: { number: string; currency: string }) {
  const router = useRouter();
  const [kind, setKind] = useState<PartKind>("washer");
  const shape = typicalShapes[kind];
  const sizes = Object.fromEntries(Object.entries(shape).flatMap(([key, value]) => (key === "kind" ? [] : [[key, String(value)]])));
  return (
    <Sheet fill block={<CornerBlock cells={[{ label: "Kind", value: kindWords[kind], large: true }]} />}>
      <h1>New part</h1>
      <div className="mt-3 flex max-w-3xl flex-col gap-4">
        <Field label="Kind" className="max-w-72">
          {(field) => (
            <select {...field} value={kind} onChange={(event) => setKind(event.target.value as PartKind)}>
              {Object.entries(kindWords).map(([id, words]) => (
                <option key={id} value={id}>
                  {words}
                </option>
              ))}
            </select>
          )}
        </Field>
        <ActForm
          key={kind}
          act="add-part"
          label="New part"
          className="flex flex-col gap-3"
          values={{ number, name: "", material: "", price: "", thread: "", sizes }}
          also={{ kind }}
          after={({ id }) => router.push(`/library/part/${encodeURIComponent(id)}`)}
        >
          <div className="grid gap-3 sm:grid-cols-3">
            <FormText name="number" label="Part number" />
            <FormText name="name" label="Name" className="sm:col-span-2" />
            <MaterialField shape={{ kind }} label="Material" />
            <FormText name="price" label={`Price, ${currency}`} figures />
            <FormChoice name="thread" label="Thread" of={{ "": "none or right-hand", left: "left-hand", right: "right-hand" }} />
          </div>
          <h2>Sizes</h2>
          <div className="grid gap-3 sm:grid-cols-3">
            {Object.keys(sizes).map((key) =>
              wordSizes[key] ? (
                <FormChoice key={key} name={`sizes.${key}`} label={sizeLabel(key)} of={own(wordSizes[key])} />
              ) : (
                <FormText key={key} name={`sizes.${key}`} label={sizeLabel(key)} figures />
              ),
            )}
          </div>
          <FormSend large>Add the part</FormSend>
        </ActForm>
      </div>
    </Sheet>
  );
}
