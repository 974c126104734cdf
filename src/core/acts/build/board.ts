import { boardOf, shows } from "@/core/acts/act/board";
import { failedWithout, stepsOfAct, withSteps } from "@/core/teardown/act-of-steps";
import { nothingTold, type SeatOutcome } from "@/core/teardown/seat-outcome";
import type { Step } from "@/core/teardown/step";
import type { LeftDryReason } from "@/core/vocabulary/left-dry";
import { gateFailed } from "./gate-failed";
import { oilPoints } from "./oil-points";
import { seatOutcome } from "./seat-outcome";
import { stepSkipped } from "./step-skipped";
import { stepUndone } from "./step-undone";
import { stepsDone } from "./steps-done";

/** After everything the server has timed: a press of this page is the newest. */
const justNow = (id: string): string => `~${id}`;

/** Only what was told. */
const named = <T extends object>(told: T): Partial<{ [K in keyof T]: Exclude<T[K], undefined> }> =>
  Object.fromEntries(Object.entries(told).filter(([, value]) => value !== undefined)) as Partial<{
    [K in keyof T]: Exclude<T[K], undefined>;
  }>;

/** The steps of a build as hands leave them. */
export const buildBoard = <S extends Step & { readonly outcome?: SeatOutcome }>() =>
  boardOf<readonly S[]>([
    shows(stepsDone, (steps, { operationIds }, id) =>
      withSteps(steps, operationIds, { state: "done", act: operationIds[0] ?? "", at: justNow(id) }),
    ),
    shows(gateFailed, (steps, { operationId }, id) =>
      withSteps(steps, [operationId], { state: "failed", act: operationId, at: justNow(id) }),
    ),
    shows(stepSkipped, (steps, { operationId }, id) =>
      withSteps(steps, [operationId], { state: "skipped", act: operationId, at: justNow(id) }),
    ),
    shows(seatOutcome, (steps, { positionId, onPurpose: _, jobId: __, ...told }) =>
      steps.map((step) =>
        step.position?.id === positionId ? { ...step, outcome: { ...nothingTold, ...step.outcome, ...named(told) } } : step,
      ),
    ),
    shows(stepUndone, (steps, { operationId }) => {
      const opened = stepsOfAct(steps, operationId);
      return withSteps(steps, [...opened, ...failedWithout(steps, opened)], { state: "waiting", act: null, at: null });
    }),
  ]);

/** A place to oil, with what became of it. */
interface MarkedPoint {
  readonly positionId: string;
  readonly state: "waiting" | "oiled" | "left-out";
  readonly instead?: string | null;
  readonly why?: LeftDryReason | null;
}

/** The oil points of a job as hands leave them. */
export const oilBoard = <P extends MarkedPoint>() =>
  boardOf<readonly P[]>([
    shows(seatOutcome, (points, { positionId, product }) =>
      product === undefined ? points : points.map((point) => (point.positionId === positionId ? { ...point, instead: product } : point)),
    ),
    shows(oilPoints, (points, { positionIds, state, why = null }) => {
      const reason = state === "left-out" ? why : null;
      return points.map((point) => {
        const same = point.state === state && (point.why ?? null) === reason;
        return positionIds.includes(point.positionId) && !same ? { ...point, state, why: reason } : point;
      });
    }),
  ]);
