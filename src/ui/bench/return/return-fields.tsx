import { type OldParts, oldPartsWords, type PaidWay, paidWords } from "@/core/hand-back/hand-back";
import { ChoiceField, TextField } from "@/ui/controls/text-field";

export interface HandBack {
  readonly signedBy: string;
  readonly paidBy: PaidWay | "";
  readonly paidNote: string;
  readonly oldParts: OldParts | "";
}

const none = { "": "not said" } as const;
const unpaid = { "": "not paid yet" } as const;

/** Who took it, how it was paid (a note, no card is handled here), and what became of the old parts. */
export function HandBackFields({
  value,
  errors,
  onChange,
}: {
  value: HandBack;
  errors: Readonly<Record<string, string>>;
  onChange: (change: Partial<HandBack>) => void;
}) {
  return (
    <>
      <TextField label="Collected by" value={value.signedBy} error={errors.signedBy} onType={(signedBy) => onChange({ signedBy })} />
      <div className="grid grid-cols-2 gap-2">
        <ChoiceField
          label="Paid"
          of={{ ...unpaid, ...paidWords }}
          value={value.paidBy}
          error={errors.paidBy}
          onChoose={(paidBy) => onChange({ paidBy })}
        />
        <TextField label="Payment note" value={value.paidNote} error={errors.paidNote} onType={(paidNote) => onChange({ paidNote })} />
      </div>
      <ChoiceField
        label="Old parts"
        of={{ ...none, ...oldPartsWords }}
        value={value.oldParts}
        error={errors.oldParts}
        onChoose={(oldParts) => onChange({ oldParts })}
      />
    </>
  );
}

/** What is sent of it: what was not said is nothing. */
export const handBackInput = ({ signedBy, paidBy, paidNote, oldParts }: HandBack) => ({
  signedBy,
  paidBy: paidBy || null,
  paidNote,
  oldParts: oldParts || null,
});
