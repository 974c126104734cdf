"use client";
import type { ReactNode } from "react";
import type { Action } from "@/ui/act/press";
import { useAct } from "@/ui/act/use-act";
import { Key } from "@/ui/controls/keys";
import { Refused } from "@/ui/controls/refused";

/** An act that is one press: what it takes over stands beside it. */
export function OneKey({
  act: action,
  input,
  label,
  children,
}: {
  act: Action<unknown>;
  input: unknown;
  label?: string;
  children: ReactNode;
}) {
  const act = useAct(action);
  return (
    <>
      <Key className="key-small" busy={act.busy} onPress={() => act.press(input)} {...(label ? { label } : {})}>
        {children}
      </Key>
      <Refused of={[act]} />
    </>
  );
}
