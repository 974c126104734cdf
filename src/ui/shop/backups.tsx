"use client";
import { useState } from "react";
import type { Action, ActionResult } from "@/ui/act/press";
import { useAct } from "@/ui/act/use-act";
import { Refused } from "@/ui/controls/refused";
import { ChoiceField } from "@/ui/controls/text-field";

interface Props {
  /** Newest first. */
  readonly copies: readonly { readonly name: string; readonly words: string }[];
  /** How old the newest is, in words. */
  readonly age: string;
  /** A week without a copy is an alarm. */
  readonly alarm: boolean;
  readonly backUp: () => Promise<ActionResult<void>>;
  readonly restore: Action<string>;
}

/** The copies of the shop's data: how old the newest is, one more at once, and the way back to any of them. */
export function Backups({ copies, age, alarm, backUp, restore }: Props) {
  const [chosen, setChosen] = useState("");
  const [said, setSaid] = useState("");
  const making = useAct(backUp as Action<void>, () => setSaid("Backed up and checked."));
  const restoring = useAct(restore, () => {
    setChosen("");
    setSaid("The shop is restored. The state before is kept as a backup.");
  });
  return (
    <section id="backups">
      <h2>Backups</h2>
      <p className={alarm ? "alarm" : ""}>{age}</p>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <button type="button" className="key key-small" disabled={making.busy} onClick={() => making.press({})}>
          {making.busy ? "Backing up…" : "Back up now"}
        </button>
        {copies.length > 0 && (
          <ChoiceField
            label="Go back to"
            of={{ "": "choose a backup", ...Object.fromEntries(copies.map(({ name, words }) => [name, words])) }}
            value={chosen}
            onChoose={setChosen}
          />
        )}
      </div>
      {chosen && (
        <p className="alarm mt-2">
          Everything entered since then is replaced; the present state is backed up first.{" "}
          <button type="button" className="key key-small" disabled={restoring.busy} onClick={() => restoring.press({ name: chosen })}>
            Restore this backup
          </button>
        </p>
      )}
      {said && <p role="status">{said}</p>}
      <Refused of={[making, restoring]} />
    </section>
  );
}
