"use client";
import { useRouter } from "next/navigation";
import { useCallback, useMemo, useState } from "react";
import { buildBoard, oilBoard } from "@/core/acts/build/board";
import { buildNow, type PickedStep } from "@/core/hands/build-now";
import { asItCame } from "@/core/teardown/came-without";
import type { Feel } from "@/core/teardown/feel";
import type { StepAtBuild } from "@/core/teardown/step";
import { useBoard } from "@/ui/act/queue-provider";
import { useAct } from "@/ui/act/use-act";
import { toMainKey } from "@/ui/controls/keys";
import type { BuildProps } from "./build-props";
import type { ShownPoint } from "./oil-points";

const onSteps = buildBoard<StepAtBuild>();
const onPoints = oilBoard<ShownPoint>();

/** What is open on the sheet beside the step: each closes with the press that settles it. */
interface Aside {
  readonly picked: PickedStep | null;
  readonly reason: string;
  /** A piece that is not drawn, or lies elsewhere, is looked for. */
  readonly other: boolean;
  readonly stuck: boolean;
  /** Done was pressed and a reason is lacking. */
  readonly asked: boolean;
}
const nothingAside: Aside = { picked: null, reason: "", other: false, stuck: false, asked: false };

/** How the way back stands under the hand, and every press of it. */
export function useBuild(props: BuildProps) {
  const { head, batches, anatomy, partTypes, toClean, foreseen } = props;
  const { state: steps, press } = useBoard(head.tag, head.revision, props.steps, onSteps);
  const { state: points } = useBoard(head.tag, head.revision, props.points, onPoints);
  const router = useRouter();
  const [aside, setAside] = useState(nothingAside);
  const [asItIs, setAsItIs] = useState(false);
  const settle = () => setAside(nothingAside);
  const opening = useAct("open-again", settle);
  const byHand = useAct("all-cleaned-by-hand");
  const types = useMemo(() => new Map(Object.entries(partTypes)), [partTypes]);
  const seats = useMemo(() => new Map(anatomy.positions.map((position) => [position.id, position])), [anatomy]);
  const { picked, reason } = aside;
  const now = useMemo(
    () => buildNow({ steps, points, batches, anatomy, types, toClean, foreseen }, picked, asItIs),
    [steps, points, batches, anatomy, types, toClean, foreseen, picked, asItIs],
  );
  const name = now.act?.batch?.name ?? now.alone?.operation.words ?? now.lead?.position?.name ?? "";
  const lacksReason = ((now.buries?.faults.length ?? 0) > 0 || now.old.length > 0) && !reason.trim();
  const { jobId } = head;

  const pick = useCallback((operationId: string, alone: boolean) => {
    setAside({ ...nothingAside, picked: { operationId, alone } });
    toMainKey();
  }, []);
  const done = (operationIds: readonly string[]) => {
    if (lacksReason) return setAside((before) => ({ ...before, asked: true }));
    press("steps-done", { jobId, operationIds, ...(reason.trim() ? { reason: reason.trim() } : {}) }, name);
    settle();
  };
  const leaveAsItCame = (left: readonly StepAtBuild[], rest: readonly string[]) => {
    for (const { operation } of left)
      press("step-left-off", { jobId, operationId: operation.id, reason: asItCame }, `${name} left off as it came`);
    if (rest.length) done(rest);
    else settle();
  };
  const fails = (operationId: string) => {
    press("gate-failed", { jobId, operationId, note: "" }, `Check failed: ${name}`);
    settle();
  };
  const later = (operationId: string) => {
    press("step-skipped", { jobId, operationId }, `${name} left for now`);
    settle();
  };
  const mark = (positionIds: readonly string[], state: ShownPoint["state"], why: ShownPoint["why"] = null) =>
    press("oil-points", { jobId, positionIds, state, why }, "Oil points");
  const oilTheRest = (positionIds: readonly string[]) => {
    mark(positionIds, "oiled");
    // An outside service goes on by itself: these are all it has to do here.
    if (head.path.depth === "light") router.push(`/bench/${head.tag}/prove`);
  };
  const tell = (positionId: string, told: { product?: string | null; onPurpose?: boolean; feel?: Feel | null }) =>
    press("seat-outcome", { jobId, positionId, ...told }, seats.get(positionId)?.name ?? "");
  const openAgain = (operationId: string, gateId: string | null = null) => opening.press({ jobId, operationId, gateId });
  const oiled = points.filter(({ state }) => state === "oiled").map(({ positionId }) => positionId);
  const undo = () => {
    if ((!now.act || !now.undone) && oiled.length && !picked) return mark(oiled, "waiting");
    const back = picked && now.alone?.state === "done" ? now.alone : now.last;
    if (back) press("step-undone", { jobId, operationId: back.operation.id }, "Undo");
    settle();
  };
  return {
    steps,
    points,
    now,
    types,
    seats,
    name,
    aside,
    reason: reason.trim(),
    reasonLacks: aside.asked && lacksReason,
    busy: opening.busy,
    canUndo: now.last !== null || oiled.length > 0,
    acts: { opening, byHand },
    setReason: (words: string) => setAside((before) => ({ ...before, reason: words })),
    toggle: (what: "other" | "stuck") => setAside((before) => ({ ...before, [what]: !before[what] })),
    goesAsItIs: () => setAsItIs(true),
    pick,
    settle,
    done,
    leaveAsItCame,
    fails,
    later,
    mark,
    oilTheRest,
    tell,
    openAgain,
    undo,
  };
}

export type Build = ReturnType<typeof useBuild>;
