"use client";
import type { PartShape } from "@/core/anatomy/shapes";
import { liningMaterialIds } from "@/core/vocabulary/lining-materials";
import { FormChoice, FormText } from "./form";

interface Props {
  readonly shape: Pick<PartShape, "kind">;
  readonly label: string;
  readonly hint?: string;
}

const linings: Readonly<Record<string, string>> = { "": "choose", ...Object.fromEntries(liningMaterialIds.map((id) => [id, id])) };

/** What a part is made of, in a form: a friction lining's from the list, because so much hangs on it; any other in words. */
export const MaterialField = ({ shape, label, hint }: Props) =>
  shape.kind === "friction-washer" ? (
    <FormChoice name="material" label={label} hint={hint} of={linings} />
  ) : (
    <FormText name="material" label={label} hint={hint} />
  );
