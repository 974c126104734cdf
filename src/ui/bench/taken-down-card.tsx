"use client";
import type { TakenDownCard as Card } from "@/core/history/taken-down-card";
import { useAct } from "@/ui/act/use-act";
import { Key } from "@/ui/controls/keys";
import { Refused } from "@/ui/controls/refused";

export interface CardToRead extends Omit<Card, "lastOn" | "person"> {
  readonly last: string;
}

/** A reel taken down again after weeks: one card with what is off, soaking, waited for, what the customer said, and the next move. */
export function TakenDownCard({ jobId, card }: { jobId: number; card: CardToRead }) {
  const act = useAct("taken-down");
  return (
    <section aria-label="Picked up again" className="mb-4 grid grid-cols-[auto_1fr] gap-x-4 border-2 border-ink p-3">
      <h2 className="col-span-2">Picked up again: last touched {card.last}</h2>
      {(
        [
          ["Off", card.off],
          ["In the bath", card.soaking],
          ["Waiting for", card.waiting],
          ["Customer said", `“${card.said}”`],
          ["Next move", card.next],
        ] as const
      ).map(([label, words]) => (
        <p key={label} className="contents">
          <span className="text-note">{label}</span>
          <strong>{words}</strong>
        </p>
      ))}
      <Refused of={[act]} />
      <Key className="key-small mt-2 justify-self-start" busy={act.busy} onPress={() => act.press({ jobId })}>
        Continue
      </Key>
    </section>
  );
}
