import { sizeWords } from "@/core/anatomy/shapes";
import { isLeftHand } from "@/core/anatomy/thread";
import type { PartType, Position } from "@/core/anatomy/types";
import { setFirst } from "@/core/hands/set-first";
import type { StripAct } from "@/core/hands/strip-acts";
import { stripCautions } from "@/core/safety/act-cautions";
import { mayBeAsbestos } from "@/core/safety/linings";
import { Cautions } from "@/ui/bench/cautions";
import { Glyph } from "@/ui/glyphs/glyph";
import { LiningChoice } from "./lining-choice";

interface Props {
  readonly act: StripAct;
  readonly seats: ReadonlyMap<string, Position>;
  readonly partTypes: Readonly<Record<string, PartType>>;
  /** Which part each seat stays on when that comes off. */
  readonly ridesOn: Readonly<Record<string, string>>;
  readonly electric: boolean;
  /** What lies in the tray. */
  readonly off: ReadonlySet<string>;
  /** Parts of the act that were not there. */
  readonly absent: ReadonlySet<string>;
  readonly onAlone: (positionId: string) => void;
  readonly onAbsent: (positionId: string) => void;
  /** Pieces that came off with the act beyond what the drawing has. */
  readonly more: number;
  readonly onMore: (more: number) => void;
  readonly lining: { readonly jobId: number; readonly closed: boolean };
}

/** What comes off in one act of the hands, part by part; one that differs is taken by itself, or said not to be there. */
export function NextAct({ act, seats, partTypes, ridesOn, electric, off, absent, onAlone, onAbsent, more, onMore, lining }: Props) {
  const parts = act.positionIds.flatMap((id) => {
    const position = seats.get(id);
    const type = position && partTypes[position.partTypeId];
    return position && type ? [{ position, type }] : [];
  });
  const [first] = parts;
  if (!first) return null;
  const single = parts.length === 1;
  const doubtful = parts.find(({ type }) => mayBeAsbestos(type));
  const cautions = stripCautions(parts, electric);
  const before = setFirst(parts, off);
  const riders = (id: string) => [...seats.values()].filter((seat) => ridesOn[seat.id] === id).map(({ name }) => name);
  return (
    <div>
      <h1>{act.batch?.name ?? first.position.name}</h1>
      <Cautions said={cautions} />
      {before.length > 0 && (
        <p className="mt-1">
          <strong>First:</strong> {before.join("; ")}.
        </p>
      )}
      {doubtful && <LiningChoice {...lining} positionId={doubtful.position.id} type={doubtful.type} />}
      <ul className="mt-1 border-t border-ink" aria-label="Parts of this act">
        {parts.map(({ position, type }) => (
          <li key={position.id} className="rule-row flex items-center gap-2 py-1">
            <Glyph type={type} turned={position.turned} widthPx={single ? 96 : 44} heightPx={single ? 64 : 36} scale={single ? 3 : 1.4} />
            <div className="min-w-0 flex-1">
              {!single && <span className={absent.has(position.id) ? "line-through" : "font-semibold"}>{position.name}</span>}{" "}
              <span className="num text-note">{sizeWords(type.shape)}</span>
              {position.hole && <span className="block text-note">Hole: {position.hole}</span>}
              {position.orientation && <span className="block text-note">{position.orientation}</span>}
              {position.hides && <span className="block text-note">It may cling or hide: check the part above.</span>}
              {isLeftHand(type) && <span className="block font-semibold">Left-hand thread.</span>}
              {riders(position.id).length > 0 && <span className="block text-note">Stays on it: {riders(position.id).join(", ")}.</span>}
            </div>
            <div className="flex gap-3">
              {!single && (
                <button
                  type="button"
                  className="act-link min-h-10"
                  aria-label={`${position.name}: just this one`}
                  onClick={() => onAlone(position.id)}
                >
                  just this one
                </button>
              )}
              <button
                type="button"
                className="act-link min-h-10"
                aria-pressed={absent.has(position.id)}
                aria-label={`${position.name} is missing`}
                onClick={() => onAbsent(position.id)}
              >
                {absent.has(position.id) ? "not missing" : "missing"}
              </button>
            </div>
          </li>
        ))}
      </ul>
      {single || (
        <p className="mt-1 flex items-center gap-3 text-note">
          <span>extra, not on the drawing:</span>
          {[1, 2, 3, 4, 5].map((pieces) => (
            <button
              key={pieces}
              type="button"
              className="act-link min-h-10 min-w-8"
              aria-pressed={more === pieces}
              aria-label={`${pieces} extra, not on the drawing`}
              onClick={() => onMore(more === pieces ? 0 : pieces)}
            >
              {pieces}
            </button>
          ))}
        </p>
      )}
    </div>
  );
}
