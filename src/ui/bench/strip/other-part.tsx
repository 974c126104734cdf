import type { Anatomy } from "@/core/anatomy/types";
import type { Strip } from "./use-strip";

/** A part that came off before its turn, found by a few letters of its name. */
export function OtherPart({ anatomy, strip }: { anatomy: Pick<Anatomy, "positions">; strip: Strip }) {
  const { aside, off } = strip;
  const letters = aside.filter.toLowerCase();
  const found = letters
    ? anatomy.positions.filter(({ id, name }) => !off.has(id) && name.toLowerCase().includes(letters)).slice(0, 20)
    : [];
  return (
    <>
      <label className="mt-3 block text-note" htmlFor="other-part">
        Something else came off? Type a few letters
      </label>
      <input id="other-part" value={aside.filter} onChange={(event) => strip.change({ filter: event.target.value })} autoComplete="off" />
      <ul className="mt-1 max-h-48 overflow-auto">
        {found.map(({ id, name }) => (
          <li key={id} className="rule-row">
            <button
              type="button"
              className="min-h-10 w-full text-left font-semibold text-brass aria-pressed:text-ink"
              aria-pressed={id === aside.picked?.positionId}
              onClick={() => strip.pick(id, true)}
            >
              {name}
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}
