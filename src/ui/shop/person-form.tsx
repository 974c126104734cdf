"use client";
import type { Action } from "@/ui/act/press";
import { ActForm, FormChoice, FormSend, FormText } from "@/ui/controls/form";

/** Adds someone who works here. */
export function PersonForm({ add }: { add: Action<number> }) {
  return (
    <ActForm action={add} label="Someone new" className="mt-3 flex items-end gap-2" values={{ name: "", role: "bench" }} empties>
      <FormText name="name" label="Someone new" className="flex-1" />
      <FormChoice name="role" label="Role" of={{ bench: "bench", counter: "counter", owner: "owner" }} />
      <FormSend>Add</FormSend>
    </ActForm>
  );
}
