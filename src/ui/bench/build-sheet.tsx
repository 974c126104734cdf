"use client";
import { useState } from "react";
import { sizeWords } from "@/core/anatomy/shapes";
import type { Operation, PartType, Position } from "@/core/anatomy/types";
import type { Action } from "@/ui/act/press";
import { useAct } from "@/ui/act/use-act";
import { Refused } from "@/ui/controls/field";
import { Key, MainKey } from "@/ui/controls/keys";
import { type BenchHead, BenchSheet } from "./bench-sheet";
import { NextLink } from "./next-link";
import type { ShownWell } from "./tray-sheet";

export interface ShownStep {
  readonly operation: Operation;
  readonly position: Position | null;
  readonly state: "waiting" | "done" | "failed" | "skipped";
  readonly note: string;
  readonly well: ShownWell | null;
}

interface Props {
  readonly head: BenchHead;
  readonly steps: readonly ShownStep[];
  readonly currentId: string | null;
  readonly conflict: string | null;
  readonly partTypes: Readonly<Record<string, PartType>>;
  readonly done: Action<void>;
  readonly failed: Action<void>;
  readonly skipped: Action<void>;
  readonly undone: Action<void>;
}

const stateWords = { waiting: "", done: "done", failed: "did not pass", skipped: "left in the tray for now" } as const;

/** The way back, step by step, in the computed order. A gate that fails stops everything until it passes. */
export function BuildSheet({ head, steps, currentId, conflict, partTypes, done, failed, skipped, undone }: Props) {
  const [chosen, setChosen] = useState<string | null>(null);
  const doing = useAct(done, () => setChosen(null));
  const failing = useAct(failed);
  const skipping = useAct(skipped, () => setChosen(null));
  const undoing = useAct(undone, () => setChosen(null));
  const step = steps.find((s) => s.operation.id === (chosen ?? currentId)) ?? null;
  const isGate = step?.operation.kind === "gate";
  const lastDone = steps.findLast((s) => s.state === "done" || s.state === "failed" || s.state === "skipped");
  const type = step?.position ? partTypes[step.position.partTypeId] : undefined;
  const press = { jobId: head.jobId, operationId: step?.operation.id ?? "" };
  const busy = doing.busy || failing.busy || skipping.busy || undoing.busy;
  return (
    <BenchSheet
      head={head}
      station="build"
      act={
        <>
          {step && step.state !== "done" && !head.closed ? (
            <>
              <MainKey busy={busy} words={isGate ? "It passes" : "Done"} onPress={() => doing.press(press)}>
                {isGate ? "It passes" : "Done"}
              </MainKey>
              {isGate ? (
                <Key shortcut="x" words="It fails" busy={busy} onPress={() => failing.press({ ...press, note: "" })} className="min-w-32">
                  It fails
                </Key>
              ) : (
                <Key shortcut="k" words="Leave for now" busy={busy} onPress={() => skipping.press(press)} className="min-w-32">
                  Leave for now
                </Key>
              )}
            </>
          ) : (
            <NextLink href={`/bench/${head.tag}/prove`} words="On to Prove" />
          )}
          <Key
            shortcut="u"
            words="Undo the last"
            busy={busy}
            disabled={!lastDone || head.closed}
            onPress={() =>
              lastDone &&
              undoing.press({ jobId: head.jobId, operationId: step?.state === "done" ? step.operation.id : lastDone.operation.id })
            }
          >
            Undo
          </Key>
        </>
      }
    >
      <Refused message={conflict ?? doing.message ?? failing.message ?? skipping.message ?? undoing.message} />
      <div className="grid gap-6 lg:grid-cols-[1fr_380px]">
        <div>
          {!steps.length && <p>Nothing was taken off, so there is nothing to build.</p>}
          {step && (
            <>
              <h1>{step.operation.words}</h1>
              {type && <p className="num">{sizeWords(type.shape)}</p>}
              {step.well && (
                <p className="text-head">
                  From well <span className="num">{step.well.well}</span>
                  {step.well.renewed && ", the new piece"}
                </p>
              )}
              {step.position?.orientation && <p>Lies: {step.well?.orientation || step.position.orientation}</p>}
              {step.position?.hole && <p>Hole: {step.position.hole}</p>}
              {step.position?.lubricant && step.operation.kind === "place" && (
                <p>
                  {step.position.lubricant.product}, {step.position.lubricant.amount}: {step.position.lubricant.why}
                </p>
              )}
              {step.operation.tool && <p>Tool: {step.operation.tool}</p>}
              {step.position?.caution && step.operation.kind === "place" && <p className="alarm mt-2">{step.position.caution}</p>}
              {step.position?.trap && step.operation.kind === "place" && (
                <p className="mt-2 border-l-4 border-ink pl-3">Trap: {step.position.trap}</p>
              )}
              {isGate && step.state === "failed" && (
                <div className="alarm mt-2">
                  <p className="font-semibold">Stop. It did not pass; nothing else goes on before it does. Look here:</p>
                  <ol className="list-decimal pl-6">
                    {step.operation.lookAt.map((look) => (
                      <li key={look}>{look}</li>
                    ))}
                  </ol>
                </div>
              )}
            </>
          )}
        </div>
        <ol className="max-h-[60dvh] overflow-auto">
          {steps.map((s, index) => (
            <li key={s.operation.id} className="rule-row">
              <button
                type="button"
                className="flex min-h-10 w-full gap-3 text-left"
                aria-current={s.operation.id === step?.operation.id ? "step" : undefined}
                onClick={() => setChosen(s.operation.id)}
              >
                <span className="num w-8 text-note">{index + 1}</span>
                <span className={s.state === "done" ? "" : "font-semibold text-brass"}>
                  {s.operation.kind === "gate" && "Gate: "}
                  {s.operation.words}
                  {s.operation.id === step?.operation.id && " ◂"}
                </span>
                <span className="ml-auto text-note">{stateWords[s.state]}</span>
              </button>
            </li>
          ))}
        </ol>
      </div>
    </BenchSheet>
  );
}
