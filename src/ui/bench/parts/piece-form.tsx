import { useEffect, useRef } from "react";
import { sizeHint } from "@/core/anatomy/typed-size";
import type { PartType } from "@/core/anatomy/types";
import { seatKind } from "@/core/interchange/bush-or-bearing";
import { pieceSources } from "@/core/vocabulary/piece-sources";
import { ActForm, FormChoice, FormSend, FormText, FormTick, FormTicks } from "@/ui/controls/form";
import { MaterialField } from "@/ui/controls/material-field";

interface Props {
  readonly jobId: number;
  readonly positionId: string;
  readonly type: PartType;
  /** The old one is not off yet. */
  readonly inReel: boolean;
  /** It was asked for: it lies open, the hand in its first field. */
  readonly open: boolean;
  /** Other seats that take such a part, by name. */
  readonly others: Readonly<Record<string, string>>;
}

const sources = Object.fromEntries(Object.entries(pieceSources).map(([id, { name }]) => [id, name]));

/** A piece from anywhere: a drawer, a shop counter, the customer's pocket, the lathe. No number is needed; its size is checked at the seat. */
export function PieceForm({ jobId, positionId, type, inReel, open, others }: Props) {
  const hint = sizeHint(type.shape);
  const kind = seatKind(type);
  const fold = useRef<HTMLDetailsElement>(null);
  useEffect(() => {
    if (open) fold.current?.querySelector("select")?.focus();
  }, [open]);
  return (
    <details open={open} ref={fold}>
      <summary className="act-link min-h-10">A piece from elsewhere</summary>
      <ActForm
        act="use-piece"
        label="A piece from elsewhere"
        className="flex flex-col gap-2"
        values={{
          source: "drawer",
          kind: "",
          also: [] as string[],
          size: "",
          material: "",
          closure: type.shape.kind === "bearing" ? type.shape.closure : "",
          priceMinor: "",
          anyway: false,
        }}
        also={{ jobId, positionId }}
        empties
      >
        <FormChoice name="source" label="It comes from" of={sources} />
        {kind && (
          <FormChoice
            name="kind"
            label="It is"
            of={kind === "bush" ? { "": "a bush, as here", bearing: "a ball bearing" } : { "": "a ball bearing, as here", bush: "a bush" }}
          />
        )}
        <div className="grid grid-cols-2 gap-2">
          <FormText name="size" label={hint ? `Size: ${hint}, mm` : "Size, in your words"} hint="Blank = same as original" figures />
          <MaterialField shape={type.shape} label="Material" hint={`Empty: ${type.material}`} />
        </div>
        {type.shape.kind === "bearing" && (
          <FormChoice name="closure" label="Bearing type" of={{ open: "open", shielded: "shielded", sealed: "sealed: no oil" }} />
        )}
        {Object.keys(others).length > 0 && <FormTicks name="also" label="Also fit the same at" of={others} />}
        <FormText
          name="priceMinor"
          label={Object.keys(others).length > 0 ? "Price of one, before tax" : "Price before tax"}
          hint="Blank = no charge; the customer's own part is free"
          figures
        />
        <FormTick name="anyway" label="Fit anyway, size differs" />
        <FormSend>{inReel ? "Set aside for this seat" : "Fit this piece"}</FormSend>
      </ActForm>
    </details>
  );
}
