import type { PartType } from "@/core/anatomy/types";
import type { OilPoint, OilPointState } from "@/core/lubrication/oil-points";
import type { StepAtBuild } from "@/core/teardown/step";
import { type LeftDryReason, leftDryReasonIds, leftDryReasons } from "@/core/vocabulary/left-dry";
import { Cautions } from "@/ui/bench/cautions";
import { ProductChoice } from "./product-choice";

export interface ShownPoint extends OilPoint {
  readonly state: OilPointState;
  /** What went on in place of the rule's product. */
  readonly instead: string | null;
  /** Why it was left out, where somebody said so. */
  readonly why: LeftDryReason | null;
  /** Seats it is behind. */
  readonly behind: readonly string[];
}

interface Props {
  readonly points: readonly ShownPoint[];
  readonly closed: boolean;
  /** What went in over a point that is still to do, by point. */
  readonly missed: ReadonlyMap<string, Pick<StepAtBuild, "operation" | "position">>;
  readonly onMark: (positionId: string, state: ShownPoint["state"], why?: ShownPoint["why"]) => void;
  readonly onReopen: (operationId: string) => void;
  readonly typeOf: (positionId: string) => PartType | undefined;
  readonly onProduct: (positionId: string, product: string | null, onPurpose: boolean) => void;
}

interface WhyProps {
  readonly name: string;
  readonly why: LeftDryReason | null;
  readonly onChoose: (why: LeftDryReason | null) => void;
}

/** Why a place gets nothing: said by one press where somebody wants it said, never asked for. */
function WhyLeftDry({ name, why, onChoose }: WhyProps) {
  return (
    <span role="group" aria-label={`${name}: why it gets nothing`} className="flex flex-wrap gap-1 py-1">
      {leftDryReasonIds.map((id) => (
        <button key={id} type="button" aria-pressed={why === id} className="key key-small" onClick={() => onChoose(why === id ? null : id)}>
          {leftDryReasons[id]}
        </button>
      ))}
    </span>
  );
}

const stateWords = { waiting: "", oiled: "oiled", "left-out": "left out" } as const;

/** Places that get their drop with the part left in: what, how much, how one gets there. All in one go by the main key, or point by point. */
export function OilPoints({ points, closed, missed, onMark, onReopen, typeOf, onProduct }: Props) {
  const cautions = [...new Set(points.flatMap((point) => point.cautions))];
  return (
    <section aria-label="Oil points">
      <h2>
        Oil points <span className="num text-note">{points.filter(({ state }) => state === "waiting").length} to do</span>
      </h2>
      <Cautions said={cautions} />
      <ul className="border-t border-ink">
        {points.map(({ positionId, name, advice, way, state, instead, why }) => {
          const type = typeOf(positionId);
          const over = state === "waiting" ? missed.get(positionId) : undefined;
          return (
            <li key={positionId} className="rule-row flex items-center gap-3 py-1">
              <span className="min-w-0 flex-1">
                <strong className={state === "left-out" ? "line-through" : ""}>{name}</strong>{" "}
                {instead === null ? (
                  <span>
                    {advice.product}, {advice.amount}
                  </span>
                ) : (
                  <span>
                    <strong>{instead === "nothing" ? "left dry" : instead}</strong>, not {advice.product}
                  </span>
                )}
                <span className="block text-note">
                  {over
                    ? `missed: the ${(over.position?.name ?? over.operation.words).toLowerCase()} went in over it`
                    : [way, advice.overruled && `not ${advice.overruled}`].filter(Boolean).join("; ")}
                </span>
                {state === "left-out" && !closed && (
                  <WhyLeftDry name={name} why={why} onChoose={(reason) => onMark(positionId, "left-out", reason)} />
                )}
                {type && !closed && state !== "left-out" && (
                  <ProductChoice
                    name={name}
                    type={type}
                    ruled={advice.product}
                    instead={instead}
                    onChoose={(product, onPurpose) => onProduct(positionId, product, onPurpose)}
                  />
                )}
              </span>
              <span className="text-note">{closed && why ? leftDryReasons[why] : stateWords[state]}</span>
              {!closed && (
                <span className="flex gap-2">
                  {state === "waiting" ? (
                    <>
                      {over ? (
                        <button
                          type="button"
                          className="key key-small"
                          aria-label={`${name}: open it again`}
                          onClick={() => onReopen(over.operation.id)}
                        >
                          Open it again
                        </button>
                      ) : (
                        <button
                          type="button"
                          className="key key-small"
                          aria-label={`${name}: oiled`}
                          onClick={() => onMark(positionId, "oiled")}
                        >
                          Oiled
                        </button>
                      )}
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
          );
        })}
      </ul>
    </section>
  );
}
