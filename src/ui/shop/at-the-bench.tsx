"use client";
import { useState } from "react";
import type { Action } from "@/ui/act/press";
import { useAct } from "@/ui/act/use-act";
import { Refused } from "@/ui/controls/refused";
import { PersonKeys, PinForm } from "./sign-in-forms";

interface Person {
  readonly id: number;
  readonly name: string;
  readonly role: string;
  readonly pin: boolean;
}

/** Who is at the bench from now on, on this computer: a press, and the PIN where somebody has one. */
export function AtTheBench({ people, me, choose }: { people: readonly Person[]; me: number; choose: Action<null> }) {
  const [asked, setAsked] = useState<Person | null>(null);
  const act = useAct(choose, () => window.location.reload());
  return (
    <>
      <PersonKeys
        people={people}
        chosen={asked?.id ?? me}
        onChoose={(one) => {
          if (one.pin && one.id !== me) return setAsked(one);
          setAsked(null);
          if (one.id !== me) void act.press({ personId: one.id, secret: "" });
        }}
      />
      <Refused of={[act]} />
      {asked && <PinForm key={asked.id} person={asked} choose={choose} then="/shop" />}
    </>
  );
}
