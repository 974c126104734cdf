"use client";
import { useAct } from "@/ui/act/use-act";
import { ActForm, FormDay, FormSend, FormText } from "@/ui/controls/form";
import { Refused } from "@/ui/controls/refused";

interface Props {
  readonly days: readonly { readonly id: number; readonly words: string }[];
  readonly today: string;
}

/** Holidays and fairs: days on which nothing is promised and the rack leaves out. */
export function ShutDays({ days, today }: Props) {
  const gone = useAct("remove-shut-days");
  return (
    <section id="opening">
      <h2>Holidays</h2>
      <ul>
        {days.map(({ id, words }) => (
          <li key={id} className="rule-row flex items-center justify-between gap-2 py-1">
            {words}
            <button type="button" className="key key-small" aria-label={`Take out ${words}`} onClick={() => gone.press({ id })}>
              Take out
            </button>
          </li>
        ))}
      </ul>
      <ActForm
        act="add-shut-days"
        label="Holidays"
        className="mt-2 flex items-end gap-2"
        values={{ from: today, to: today, words: "" }}
        empties
      >
        <FormDay name="from" label="First day" />
        <FormDay name="to" label="Last day" />
        <FormText name="words" label="What for" className="flex-1" />
        <FormSend>Add</FormSend>
      </ActForm>
      <Refused of={[gone]} />
    </section>
  );
}
