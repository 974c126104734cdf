"use client";
import { useState } from "react";
import { useAct } from "@/ui/act/use-act";
import { Key } from "@/ui/controls/keys";
import { Refused } from "@/ui/controls/refused";

interface Props {
  readonly letters: readonly {
    readonly ownerId: number;
    readonly owner: string;
    readonly week: string;
    readonly due: string;
    readonly reels: string;
  }[];
}

/** Whom to ask when: all of them by one press, or whoever stays ticked. */
export function Invitations({ letters }: Props) {
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set());
  const act = useAct("season-invite");
  if (!letters.length) return <p>Nobody due falls in a full week with room before it.</p>;
  const chosen = letters.filter(({ ownerId }) => !left.has(ownerId));
  return (
    <>
      <table className="plain-table">
        <thead>
          <tr>
            <th>Owner</th>
            <th>Reels</th>
            <th>Due about</th>
            <th>Invited for the week of</th>
          </tr>
        </thead>
        <tbody>
          {letters.map(({ ownerId, owner, week, due, reels }) => (
            <tr key={ownerId}>
              <td>
                <label className="inline-flex min-h-10 items-center gap-2 whitespace-nowrap">
                  <input
                    type="checkbox"
                    className="size-5"
                    checked={!left.has(ownerId)}
                    onChange={(event) => {
                      const next = new Set(left);
                      if (event.target.checked) next.delete(ownerId);
                      else next.add(ownerId);
                      setLeft(next);
                    }}
                  />
                  {owner}
                </label>
              </td>
              <td>{reels}</td>
              <td>{due}</td>
              <td>{week}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <Key busy={act.busy} disabled={!chosen.length} onPress={() => act.press({ ownerIds: chosen.map(({ ownerId }) => ownerId) })}>
        Make {chosen.length === 1 ? "1 letter" : `${chosen.length} letters`}
      </Key>
      <Refused of={[act]} />
    </>
  );
}
