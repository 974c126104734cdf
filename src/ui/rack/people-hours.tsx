"use client";
import { useMemo, useState } from "react";
import { useFormContext } from "react-hook-form";
import { daysBetween } from "@/core/day/day";
import { seenWeek } from "@/core/seen/seen";
import { useAct } from "@/ui/act/use-act";
import { ActForm, FormDay, FormSend, FormText } from "@/ui/controls/form";
import { Refused } from "@/ui/controls/refused";
import type { BenchToAsk } from "@/ui/promise/bench-to-ask";
import type { BenchQuestion } from "@/ui/promise/bench-worker";
import { Slips } from "@/ui/promise/slips";
import { useBenchReply, useBenchToAsk } from "@/ui/promise/use-bench";

interface PersonWeek {
  readonly id: number;
  readonly name: string;
  /** Monday first. */
  readonly minutes: readonly number[];
  readonly off: readonly { readonly id: number; readonly words: string }[];
}
interface Props {
  readonly people: readonly PersonWeek[];
  readonly revision: number;
  readonly today: string;
  readonly tomorrow: string;
}

const short = ["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"];
const hoursText = (minutes: number) => (minutes ? String(minutes / 60) : "");

/** When each of the people is at the bench, when they are not, and what a day off does before it is given. */
export function PeopleHours({ people, revision, today, tomorrow }: Props) {
  const asked = useBenchToAsk(`?r=${revision}`);
  const gone = useAct("remove-person-off");
  return (
    <>
      {people.map((person) => (
        <section key={person.id} aria-label={person.name} className="mt-3 border-t border-current pt-2">
          <h2>{person.name}</h2>
          <ActForm
            act="set-person-hours"
            label={`Hours of ${person.name}`}
            className="flex flex-wrap items-end gap-2"
            also={{ personId: person.id }}
            seen={{ seen: seenWeek(person.minutes) }}
            values={{ hours: Object.fromEntries(short.map((_, i) => [`d${i + 1}`, hoursText(person.minutes[i]!)])) }}
          >
            {short.map((day, i) => (
              <FormText key={day} name={`hours.d${i + 1}`} label={day} figures className="w-16" />
            ))}
            <FormSend>Save week</FormSend>
          </ActForm>
          <ul>
            {person.off.map(({ id, words }) => (
              <li key={id} className="rule-row flex items-center justify-between gap-2 py-1">
                Away {words}
                <button type="button" className="key key-small" aria-label={`Take out ${words}`} onClick={() => gone.press({ id })}>
                  Take out
                </button>
              </li>
            ))}
          </ul>
          <ActForm
            act="add-person-off"
            label={`Days off of ${person.name}`}
            className="mt-2"
            also={{ personId: person.id }}
            values={{ from: tomorrow, to: tomorrow, words: "" }}
          >
            <div className="flex flex-wrap items-end gap-2">
              <FormDay name="from" label="Away from" />
              <FormDay name="to" label="to" />
              <FormText name="words" label="What for" className="min-w-40 flex-1" />
              <FormSend>Add time off</FormSend>
            </div>
            <DayOffEffect asked={asked} personId={person.id} today={today} name={person.name} />
          </ActForm>
        </section>
      ))}
      <Refused of={[gone]} />
    </>
  );
}

/** What the typed days off would do to the promises, on a press. */
function DayOffEffect({ asked, personId, today, name }: { asked: BenchToAsk | null; personId: number; today: string; name: string }) {
  const { watch } = useFormContext<{ from: string; to: string }>();
  const [looked, setLooked] = useState(false);
  const [from, to] = watch(["from", "to"]);
  const place = asked?.people.findIndex((one) => one.personId === personId) ?? -1;
  const question = useMemo((): BenchQuestion | null => {
    if (!asked || !looked || !from || !to || to < from) return null;
    // Where nobody has hours of their own, the whole bench rests.
    const person = place >= 0 ? place : asked.people[0]?.personId === null ? null : place;
    if (person !== null && person < 0) return null;
    return {
      kind: "change",
      bench: asked.bench,
      promised: asked.hanging,
      change: { kind: "off", person, from: Math.max(0, daysBetween(today, from)), to: daysBetween(today, to) },
      seed: asked.seed,
      chance: asked.ask,
    };
  }, [asked, looked, from, to, place, today]);
  const reply = useBenchReply(question);
  const tags = useMemo(() => new Map(asked?.hanging.map(({ key, tag }) => [key, tag])), [asked]);
  return (
    <div className="min-h-10">
      <button type="button" className="act-link min-h-10" aria-expanded={looked} onClick={() => setLooked(!looked)}>
        What these days off change
      </button>
      {looked && !question && asked && <p>{name} has no hours at the bench: nothing changes.</p>}
      {reply?.kind === "effects" && <Slips effects={reply.effects} tagOf={tags} begins="Then" />}
    </div>
  );
}
