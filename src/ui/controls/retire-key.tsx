"use client";
import type { Action } from "@/ui/act/press";
import { useAct } from "@/ui/act/use-act";
import { Refused } from "./refused";

interface Props<I> {
  readonly id: I;
  /** What is retired, for whoever hears the key instead of seeing it. */
  readonly name: string;
  readonly retired: boolean;
  readonly retire: Action<void>;
}

/** Takes something out of use, or puts it back: it stays in the records either way. */
export function RetireKey<I extends string | number>({ id, name, retired, retire }: Props<I>) {
  const act = useAct(retire);
  return (
    <>
      <button
        type="button"
        className="key key-small"
        disabled={act.busy}
        aria-label={retired ? `Use ${name} again` : `Retire ${name}`}
        onClick={() => act.press({ id, retired: !retired })}
      >
        {retired ? "Use again" : "Retire"}
      </button>
      <Refused of={[act]} />
    </>
  );
}
