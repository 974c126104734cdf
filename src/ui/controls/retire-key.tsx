"use client";
import type { ActName } from "@/core/acts/acts";
import { useAct } from "@/ui/act/use-act";
import { Refused } from "./refused";

type Retires = Extract<ActName, `retire-${string}`>;

interface Props {
  readonly id: string | number;
  /** What is retired, for whoever hears the key instead of seeing it. */
  readonly name: string;
  readonly retired: boolean;
  readonly retire: Retires;
}

/** Takes something out of use, or puts it back: it stays in the records either way. */
export function RetireKey({ id, name, retired, retire }: Props) {
  const act = useAct<void>(retire);
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
