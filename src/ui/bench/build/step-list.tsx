"use client";
import { memo, useDeferredValue, useEffect, useRef } from "react";
import { givenAt } from "@/core/lubrication/given";
import { lubricantUse } from "@/core/lubrication/lubricant-for";
import type { StepAtBuild } from "@/core/teardown/step";
import type { ShownPoint } from "./oil-points";

interface Props {
  readonly steps: readonly StepAtBuild[];
  /** Places that are oiled with their part left in. */
  readonly points: readonly ShownPoint[];
  /** The steps of the act under the hand. */
  readonly acting: readonly StepAtBuild[];
  /** Parts that go in the other way round than they came off, and whether no order has fewer. */
  readonly inversions: number;
  readonly proven: boolean;
  /** @param alone a step that is done already is looked at by itself. */
  readonly onChoose: (operationId: string, alone: boolean) => void;
}

const stateWords = { waiting: "", done: "done", failed: "did not pass", skipped: "left in the tray for now" } as const;

/** The whole way back with what is done of it, why it goes this way, and what it takes of oil and grease. It follows a press by a moment. */
export function StepList(props: Props) {
  return (
    <List
      {...props}
      steps={useDeferredValue(props.steps)}
      points={useDeferredValue(props.points)}
      acting={useDeferredValue(props.acting)}
    />
  );
}

const List = memo(function List({ steps, points, acting, inversions, proven, onChoose }: Props) {
  const uses = lubricantUse([
    ...steps.map((step) => (step.operation.kind === "place" ? step.lubricant : null)),
    // What stays in takes its share too.
    ...points.map(({ advice, instead, state }) => (state === "left-out" ? null : givenAt(advice, instead))),
  ]);
  const here = new Set(acting.map(({ operation }) => operation.id));
  const hereId = (acting.find(({ operation }) => operation.kind === "place") ?? acting[0])?.operation.id;
  const listRef = useRef<HTMLOListElement>(null);
  useEffect(() => {
    const list = listRef.current;
    const row = hereId ? list?.querySelector<HTMLElement>(`[data-step="${hereId}"]`) : null;
    // Only the list scrolls, never the page under the gloved hand.
    if (list && row) list.scrollTop = row.offsetTop - list.offsetTop - list.clientHeight / 3;
  }, [hereId]);
  return (
    <>
      <div className={steps.length ? "" : "hidden"}>
        <span className="num text-head font-medium">
          {steps.filter(({ state }) => state === "done").length}/{steps.length}
        </span>{" "}
        steps done
        <details className="text-note">
          <summary className="cursor-pointer">Why this order</summary>
          {inversions === 0
            ? "Exactly the reverse of the teardown."
            : `The reverse of the teardown, but ${inversions} ${inversions === 1 ? "pair is" : "pairs are"} swapped so that every check comes before it is covered${proven ? "; no order swaps fewer" : ""}.`}
        </details>
      </div>
      {uses.length > 0 && (
        <p className="text-note">
          Lubricants in total:{" "}
          {uses
            .map(({ product, drops, dabs }) =>
              [
                product,
                drops && `${drops} drop${drops === 1 ? "" : "s"}`,
                dabs && `${dabs} ${dabs === 1 ? "film or dab" : "films or dabs"}`,
              ]
                .filter(Boolean)
                .join(" "),
            )
            .join("; ")}
          .
        </p>
      )}
      <ol className={steps.length ? "mt-1 max-h-[460px] overflow-auto border-t border-ink" : "hidden"} ref={listRef}>
        {steps.map((step, index) => (
          <StepRow
            key={step.operation.id}
            step={step}
            number={index + 1}
            here={here.has(step.operation.id)}
            current={step.operation.id === hereId}
            onChoose={onChoose}
          />
        ))}
      </ol>
    </>
  );
});

interface RowProps extends Pick<Props, "onChoose"> {
  readonly step: StepAtBuild;
  readonly number: number;
  readonly here: boolean;
  readonly current: boolean;
}

/** The step itself was left off by a word, not one that goes with another. */
const leftOff = ({ state, well, note }: StepAtBuild) => state === "skipped" && (note !== "" || (well?.leftOutReason ?? null) !== null);

const StepRow = memo(function StepRow({ step, number, here, current, onChoose }: RowProps) {
  return (
    <li className="rule-row" data-step={step.operation.id}>
      <button
        type="button"
        className={`flex min-h-9 w-full items-center gap-2 text-left ${here ? "bg-ink text-sheet" : ""}`}
        aria-current={current ? "step" : undefined}
        onClick={() => onChoose(step.operation.id, step.state !== "waiting")}
      >
        <span className="num w-8 shrink-0 text-right text-note">{number}</span>
        <span className={step.state === "done" || here ? "" : "font-semibold text-brass"}>
          {step.operation.kind === "gate" && "Check: "}
          {step.operation.words}
        </span>
        <span className="ml-auto pr-1 text-note whitespace-nowrap">
          {leftOff(step)
            ? "left off"
            : step.notDue
              ? step.operation.kind === "lubricate"
                ? "the seal stays whole"
                : "a part stays out"
              : stateWords[step.state]}
        </span>
      </button>
    </li>
  );
});
