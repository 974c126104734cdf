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
  const making = useAct(backUp as Action<void>, () => setSaid("Copied and looked over."));
  const restoring = useAct(restore, () => {
    setChosen("");
    setSaid("The shop is as it was then. What was there before lies among the copies.");
  });
  return (
    <section id="backups">
      <h2>Backups</h2>
      <p className={alarm ? "alarm" : ""}>{age}</p>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <button type="button" className="key key-small" disabled={making.busy} onClick={() => making.press({})}>
          {making.busy ? "Copying …" : "Back up now"}
        </button>
        {copies.length > 0 && (
          <ChoiceField
            label="Go back to"
            of={{ "": "choose a copy", ...Object.fromEntries(copies.map(({ name, words }) => [name, words])) }}
            value={chosen}
            onChoose={setChosen}
          />
        )}
      </div>
      {chosen && (
        <p className="alarm mt-2">
          Everything written since then goes out of sight; a copy of how it is now is made first.{" "}
          <button type="button" className="key key-small" disabled={restoring.busy} onClick={() => restoring.press({ name: chosen })}>
            Restore this copy
          </button>
        </p>
      )}
      {said && <p role="status">{said}</p>}
      <Refused of={[making, restoring]} />
    </section>
  );
}
