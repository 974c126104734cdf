"use client";
import { useMemo, useState } from "react";
import { sizeWords } from "@/core/anatomy/shapes";
import { type Anatomy, type PartType, type Position, placeOperationId } from "@/core/anatomy/types";
import { confusable, judgePiece } from "@/core/teardown/judge-piece";
import type { StepAtBuild } from "@/core/teardown/step";
import { Key } from "@/ui/controls/keys";
import { Glyph } from "@/ui/glyphs/glyph";

interface Props {
  readonly anatomy: Anatomy;
  readonly partTypes: Readonly<Record<string, PartType>>;
  readonly steps: readonly StepAtBuild[];
  /** The seat the hand is at; null once every step is done and a piece is still lying there. */
  readonly seat: Position | null;
  readonly busy: boolean;
  readonly onOpen: (operationId: string) => void;
}

/**
 * The piece in the hand is not the one drawn: keyed for eared, the long screw for the short hole, or something is left over. One says which it
 * is; the sizes say whether it may go in, and where it belongs. If that seat was already filled, the wrong piece sits there: open it again.
 */
export function OtherPiece({ anatomy, partTypes, steps, seat, busy, onOpen }: Props) {
  const types = useMemo(() => new Map(Object.entries(partTypes)), [partTypes]);
  const [typed, setTyped] = useState("");
  const [held, setHeld] = useState<string | null>(null);
  const inTray = useMemo(
    () => new Set(steps.flatMap((step) => (step.operation.kind === "place" && step.position ? [step.position.id] : []))),
    [steps],
  );
  const near = useMemo(() => (seat ? new Set(confusable(anatomy, types, seat.id)) : inTray), [anatomy, types, seat, inTray]);
  const pieces = anatomy.positions
    .filter((position) => inTray.has(position.id) && position.id !== seat?.id)
    .filter((position) => (typed ? position.name.toLowerCase().includes(typed.toLowerCase()) : near.has(position.id)))
    .slice(0, 24);
  const chosen = anatomy.positions.find(({ id }) => id === held);
  const judged = chosen && seat ? judgePiece(anatomy, types, seat.id, chosen.partTypeId) : null;
  const placeOf = chosen && steps.find((step) => step.operation.id === placeOperationId(chosen.id));
  // Its own seat, or another seat of the same part, is filled already: with what?
  const filled = placeOf?.state === "done";
  return (
    <section className="mt-2 border border-ink p-2" aria-label="Another piece">
      <h3>{seat ? `Not the ${seat.name}? Which piece is it` : "A piece left over? Which one is it"}</h3>
      <label className="block text-note" htmlFor="other-piece">
        A few letters
      </label>
      {/* biome-ignore lint/a11y/noAutofocus: the key that opened this asked for it */}
      <input id="other-piece" autoFocus value={typed} onChange={(event) => setTyped(event.target.value)} autoComplete="off" />
      <ul className="mt-1 flex flex-wrap gap-1">
        {pieces.map((position) => (
          <li key={position.id}>
            <button type="button" className="key key-small" aria-pressed={held === position.id} onClick={() => setHeld(position.id)}>
              <Glyph type={partTypes[position.partTypeId]!} turned={position.turned} widthPx={40} heightPx={26} scale={1.4} />
              <span>
                {position.name} <span className="num text-note font-normal">{sizeWords(partTypes[position.partTypeId]!.shape)}</span>
              </span>
            </button>
          </li>
        ))}
      </ul>
      {chosen && (
        <div role="status" className={judged?.fits ? "mt-2" : "alarm mt-2"}>
          {judged && <p className="font-semibold">{judged.fits ? "It can go in here." : "Do not fit it here."}</p>}
          {judged && <p>{judged.words}</p>}
          {!filled && !judged?.fits && (
            <p>
              It belongs: {chosen.name}
              {chosen.hole ? `, ${chosen.hole}` : ""}. Put it back in well {placeOf?.well?.well ?? "its own"}.
            </p>
          )}
          {filled && !judged?.fits && (
            <>
              <p>
                {chosen.name} is recorded as fitted already{chosen.hole ? ` (${chosen.hole})` : ""}: another piece is fitted there instead
                {seat ? `, likely the ${seat.name}` : ""}.
              </p>
              <Key className="key-small" busy={busy} onPress={() => onOpen(placeOf!.operation.id)}>
                Open {chosen.name} again
              </Key>
            </>
          )}
        </div>
      )}
    </section>
  );
}
