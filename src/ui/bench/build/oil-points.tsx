import type { OilPoint, OilPointState } from "@/core/lubrication/oil-points";
import { Cautions } from "@/ui/bench/cautions";

export interface ShownPoint extends OilPoint {
  readonly state: OilPointState;
}

interface Props {
  readonly points: readonly ShownPoint[];
  readonly closed: boolean;
  readonly onMark: (positionId: string, state: ShownPoint["state"]) => void;
}

const stateWords = { waiting: "", oiled: "oiled", "left-out": "left out" } as const;

/** Places that get their drop with the part left in: what, how much, how one gets there. All in one go by the main key, or point by point. */
export function OilPoints({ points, closed, onMark }: Props) {
  const cautions = [...new Set(points.flatMap((point) => point.cautions))];
  return (
    <section aria-label="Oil points">
      <h2>
        Oil points <span className="num text-note">{points.filter(({ state }) => state === "waiting").length} to do</span>
      </h2>
      <Cautions said={cautions} />
      <ul className="border-t border-ink">
        {points.map(({ positionId, name, advice, way, state }) => (
          <li key={positionId} className="rule-row flex items-center gap-3 py-1">
            <span className="min-w-0 flex-1">
              <strong className={state === "left-out" ? "line-through" : ""}>{name}</strong>{" "}
              <span>
                {advice.product}, {advice.amount}
              </span>
              <span className="block text-note">{[way, advice.overruled && `not ${advice.overruled}`].filter(Boolean).join("; ")}</span>
            </span>
            <span className="text-note">{stateWords[state]}</span>
            {!closed && (
              <span className="flex gap-2">
                {state === "waiting" ? (
                  <>
                    <button
                      type="button"
                      className="key key-small"
                      aria-label={`${name}: oiled`}
                      onClick={() => onMark(positionId, "oiled")}
                    >
                      Oiled
                    </button>
                    <button
                      type="button"
                      className="act-link min-h-10"
                      aria-label={`${name}: leave out`}
                      onClick={() => onMark(positionId, "left-out")}
                    >
                      leave out
                    </button>
                  </>
                ) : (
                  <button
                    type="button"
                    className="act-link min-h-10"
                    aria-label={`${name}: not yet`}
                    onClick={() => onMark(positionId, "waiting")}
                  >
                    not yet
                  </button>
                )}
              </span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
