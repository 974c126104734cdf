"use client";
import { useState } from "react";
import type { ActName } from "@/core/acts/acts";
import { useAct } from "@/ui/act/use-act";
import { Refused } from "@/ui/controls/refused";
import { type Choice, SearchField } from "@/ui/controls/search-field";

interface Props {
  /** What it is for, as the line that opens it. */
  readonly title: string;
  readonly label: string;
  readonly words: string;
  /** Said below, before it is done. */
  readonly note?: string;
  /** The field of the act that takes the card. */
  readonly field: string;
  readonly also: Readonly<Record<string, unknown>>;
  readonly act: Extract<ActName, "merge-customers" | "change-owner">;
  readonly after?: (id: string) => void;
}

/** Another customer chosen by a few letters, and an act done with that card. */
export function PickCustomer({ title, label, words, note, field, also, act, after }: Props) {
  const [card, setCard] = useState<Choice | null>(null);
  const doing = useAct<void>(act, () => {
    if (card) after?.(card.id);
    setCard(null);
  });
  return (
    <details>
      <summary className="act-link min-h-10">{title}</summary>
      <div className="flex max-w-xl items-end gap-2">
        <div className="flex-1">
          <SearchField label={label} from="/api/choose/customers" chosen={card} onChoose={setCard} error={doing.fields[field]} />
        </div>
        <button
          type="button"
          className="key key-small"
          disabled={doing.busy || !card}
          onClick={() => card && doing.press({ ...also, [field]: Number(card.id) })}
        >
          {words}
        </button>
      </div>
      {note && <p className="text-note">{note}</p>}
      <Refused of={[doing]} beside />
    </details>
  );
}
