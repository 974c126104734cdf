import type { Anatomy, PartType } from "@/core/anatomy/types";
import { type BeforeBuried, beforeBuried, type SeatState } from "./before-buried";
import type { Step } from "./step";

type BuriedStep = Pick<Step, "operation" | "position" | "state" | "well">;

/** How the seats of a build stand: what is in, what lies in the tray and how. */
const statesOf = (steps: readonly BuriedStep[]): ReadonlyMap<string, SeatState> =>
  new Map(
    steps.flatMap((one): [string, SeatState][] =>
      one.operation.kind === "place" && one.position && one.well
        ? [
            [
              one.position.id,
              {
                seated: one.state === "done",
                verdict: one.well.verdict,
                renewed: one.well.renewed,
                declined: one.well.declined,
                unrepaired: one.well.unrepaired,
                found: one.well,
                foundCount: one.well.foundCount,
                leftOut: one.well.leftOutReason !== null,
              },
            ],
          ]
        : [],
    ),
  );

/** What a step would cover of bearings, tension washers and drag stack, looked over before it does; null where it covers nothing of the kind. */
export function buriedBy(
  steps: readonly BuriedStep[],
  anatomy: Anatomy,
  types: ReadonlyMap<string, PartType>,
  step: BuriedStep,
): BeforeBuried | null {
  if (step.operation.kind !== "place" || !step.position) return null;
  return beforeBuried(anatomy, types, step.position.id, statesOf(steps));
}

/**
 * What an act of several steps covers, each judged with those before it done. @returns one look for all of it: what is wrong with any of them, and
 * the rows of the first cover.
 */
export function buriedByAct(
  steps: readonly BuriedStep[],
  anatomy: Anatomy,
  types: ReadonlyMap<string, PartType>,
  operationIds: readonly string[],
): BeforeBuried | null {
  let now = steps;
  const looks: BeforeBuried[] = [];
  for (const id of operationIds) {
    const step = now.find(({ operation }) => operation.id === id);
    const look = step ? buriedBy(now, anatomy, types, step) : null;
    if (look) looks.push(look);
    now = now.map((one) => (one.operation.id === id ? { ...one, state: "done" as const } : one));
  }
  const [first] = looks;
  if (!first) return null;
  return {
    ...first,
    faults: [...new Set(looks.flatMap(({ faults }) => faults))],
    doubts: [...new Set(looks.flatMap(({ doubts }) => doubts))],
  };
}
