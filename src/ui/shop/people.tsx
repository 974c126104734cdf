"use client";
import { seenPerson } from "@/core/seen/seen";
import { ActForm, FormChoice, FormSecret, FormSend, FormText } from "@/ui/controls/form";
import { RetireKey } from "@/ui/controls/retire-key";

export interface ShownPerson {
  readonly id: number;
  readonly name: string;
  readonly role: "owner" | "bench" | "counter";
}
type WithSecrets = ShownPerson & { readonly passphrase: boolean; readonly pin: boolean };

const roles = { bench: "bench", counter: "counter", owner: "owner" };

interface Props {
  readonly people: readonly WithSecrets[];
  readonly me: ShownPerson;
  readonly former: readonly ShownPerson[];
}

/** Names, roles and secrets of who works here, and who did. An owner sees to everybody's, others to their own secrets. */
export function People({ people, me, former }: Props) {
  const owner = me.role === "owner";
  return (
    <>
      {owner && (
        <details className="mt-2">
          <summary className="act-link min-h-10">Names and roles</summary>
          {people.map(({ id, name, role }) => (
            <div key={id} className="rule-row flex items-end gap-2 py-1">
              <ActForm
                act="change-person"
                label={name}
                className="flex flex-1 items-end gap-2"
                values={{ name, role }}
                also={{ id }}
                seen={{ seen: seenPerson({ name, role }) }}
              >
                <FormText name="name" label="Name" className="flex-1" />
                <FormChoice name="role" label="Role" of={roles} />
                <FormSend whenChanged>Save</FormSend>
              </ActForm>
              <RetireKey id={id} name={name} retired={false} retire="retire-person" />
            </div>
          ))}
          <ActForm act="add-person" label="Add a person" className="mt-3 flex items-end gap-2" values={{ name: "", role: "bench" }} empties>
            <FormText name="name" label="Add a person" className="flex-1" />
            <FormChoice name="role" label="Role" of={roles} />
            <FormSend>Add</FormSend>
          </ActForm>
          {former.map(({ id, name }) => (
            <p key={id} className="rule-row flex items-center justify-between py-1">
              {name}, left <RetireKey id={id} name={name} retired retire="retire-person" />
            </p>
          ))}
        </details>
      )}
      <details className="mt-2">
        <summary className="act-link min-h-10">PIN and passphrase</summary>
        <p className="text-note">
          The PIN is needed to be chosen on this computer and to unlock a phone. The passphrase signs in from another device. Leave the new
          one blank to remove it.
        </p>
        {people
          .filter(({ id }) => owner || id === me.id)
          .map((person) => (
            <SecretForms key={person.id} person={person} own={person.id === me.id} />
          ))}
      </details>
    </>
  );
}

function SecretForms({ person, own }: { person: WithSecrets; own: boolean }) {
  return (
    <fieldset className="rule-row py-1">
      <legend className="font-semibold">{person.name}</legend>
      {(["pin", "passphrase"] as const).map((kind) => {
        const words = kind === "pin" ? "PIN" : "passphrase";
        const has = person[kind];
        return (
          <ActForm
            key={`${kind} ${has}`}
            act="set-secret"
            label={`${person.name}: ${words}`}
            className="flex flex-wrap items-end gap-2"
            values={{ before: "", now: "" }}
            also={{ personId: person.id, kind }}
            empties
          >
            {own && has && (
              <FormSecret
                name="before"
                label={`Old ${words}`}
                figures={kind === "pin"}
                autoComplete="current-password"
                className="flex-1"
              />
            )}
            <FormSecret
              name="now"
              label={has ? `New ${words}` : `${kind === "pin" ? "PIN" : "Passphrase"}, none yet`}
              figures={kind === "pin"}
              autoComplete="new-password"
              className="flex-1"
            />
            <FormSend>Set</FormSend>
          </ActForm>
        );
      })}
    </fieldset>
  );
}
