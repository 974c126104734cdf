"use client";
import type { ReactNode } from "react";
import type { ActName, InputNamed } from "@/core/acts/acts";
import { useAct } from "@/ui/act/use-act";
import { Key } from "@/ui/controls/keys";
import { Refused } from "@/ui/controls/refused";

/** An act that is one press: what it takes over stands beside it. */
export function OneKey<Name extends ActName>({
  act: name,
  input,
  label,
  children,
}: {
  act: Name;
  input: InputNamed<Name>;
  label?: string;
  children: ReactNode;
}) {
  const act = useAct(name);
  return (
    <>
      <Key className="key-small" busy={act.busy} onPress={() => act.press(input)} {...(label ? { label } : {})}>
        {children}
      </Key>
      <Refused of={[act]} />
    </>
  );
}
