"use client";
import { useState } from "react";
import type { Action } from "@/ui/act/press";
import { useAct } from "@/ui/act/use-act";
import { ActForm, FormSecret, FormSend, FormText } from "@/ui/controls/form";
import { Refused } from "@/ui/controls/refused";

type Entry = Action<null>;
/** Whole pages follow: what another person left on the screen goes with them. */
const goTo = (then: string) => () => window.location.assign(then);

/** Name and passphrase, from another device. */
export function SignIn({ then, come }: { then: string; come: Entry }) {
  return (
    <ActForm act={come} label="Sign in" className="flex max-w-md flex-col gap-3" values={{ name: "", secret: "" }} after={goTo(then)}>
      <h1>Sign in</h1>
      <FormText name="name" label="Your name, as at Shop" autoComplete="username" />
      <FormSecret name="secret" label="Passphrase" autoComplete="current-password" />
      <FormSend main>Sign in</FormSend>
      <p className="text-note">No passphrase yet? Set one on the bench computer, or add this phone by QR code: Shop, People.</p>
    </ActForm>
  );
}

/** The same person, after half an hour without a press. */
export function Wake({ then, wake }: { then: string; wake: Entry }) {
  return (
    <ActForm act={wake} label="Locked" className="flex max-w-md flex-col gap-3" values={{ secret: "" }} after={goTo(then)}>
      <h1>Locked: enter PIN</h1>
      <p>Locked after half an hour without a press. Enter your PIN or passphrase:</p>
      <FormSecret name="secret" label="PIN or passphrase" autoComplete="current-password" />
      <FormSend main>Go on</FormSend>
    </ActForm>
  );
}

interface Here {
  readonly id: number;
  readonly name: string;
  readonly role: string;
  readonly pin: boolean;
}

/** Who is at the bench, on this computer: one press, and a PIN where that person has one. */
export function ChooseHere({ then, people, choose }: { then: string; people: readonly Here[]; choose: Entry }) {
  const [asked, setAsked] = useState<Here | null>(null);
  const act = useAct(choose, goTo(then));
  return (
    <section>
      <h1>Who is at the bench</h1>
      <PersonKeys
        people={people}
        chosen={asked?.id ?? null}
        onChoose={(one) => (one.pin ? setAsked(one) : act.press({ personId: one.id, secret: "" }))}
      />
      {asked && <PinForm key={asked.id} person={asked} choose={choose} then={then} />}
      <Refused of={[act]} />
    </section>
  );
}

/** The same at Shop, where somebody is there already. */
export function PersonKeys({
  people,
  chosen,
  onChoose,
}: {
  people: readonly Here[];
  chosen: number | null;
  onChoose: (one: Here) => void;
}) {
  return (
    <div className="mt-2 flex flex-wrap gap-2">
      {people.map((one) => (
        <button key={one.id} type="button" className="key" aria-pressed={one.id === chosen} onClick={() => onChoose(one)}>
          {one.name} <span className="text-note font-normal">{one.role}</span>
        </button>
      ))}
    </div>
  );
}

/** The PIN of whoever was chosen. */
export function PinForm({ person, choose, then }: { person: Here; choose: Entry; then: string }) {
  return (
    <ActForm
      act={choose}
      label={`${person.name} at the bench`}
      className="mt-3 flex max-w-sm items-end gap-2"
      values={{ secret: "" }}
      also={{ personId: person.id }}
      after={goTo(then)}
    >
      <FormSecret name="secret" label={`PIN of ${person.name}`} figures autoComplete="off" className="flex-1" />
      <FormSend>At the bench</FormSend>
    </ActForm>
  );
}

/** A phone comes in by the QR it was shown. */
export function Join({ token, name, shop, join }: { token: string; name: string; shop: string; join: Entry }) {
  return (
    <ActForm act={join} label="Sign in" className="flex max-w-md flex-col gap-3" values={{}} also={{ token }} after={goTo("/")}>
      <h1>{shop}</h1>
      <p>
        This phone is signed in as <strong>{name}</strong>for twelve hours. After half an hour without a press it asks for the PIN.
      </p>
      <FormSend main>Sign in as {name}</FormSend>
    </ActForm>
  );
}
