"use client";
import { useMemo } from "react";
import { waitsForPiece } from "@/core/hands/build-now";
import { stuckHelp } from "@/core/hands/stuck";
import { toldAt } from "@/core/intake/told-at";
import { carriesLoad } from "@/core/safety/carries-load";
import { isOwed } from "@/core/teardown/owed";
import { screwRing } from "@/core/teardown/screw-ring";
import { BenchSheet } from "@/ui/bench/bench-sheet";
import { ExtraPieces } from "@/ui/bench/extra-pieces";
import { Key } from "@/ui/controls/keys";
import { Refused } from "@/ui/controls/refused";
import { ReelDrawing } from "@/ui/glyphs/reel-drawing";
import { ActDetail } from "./act-detail";
import { BuildKeys } from "./build-keys";
import type { BuildProps } from "./build-props";
import { BuriedCheck } from "./buried-check";
import { LeftOff } from "./left-off";
import { OilPoints, type ShownPoint } from "./oil-points";
import { OldPieces } from "./old-pieces";
import { OtherPiece } from "./other-piece";
import { StepDetail } from "./step-detail";
import { StepList } from "./step-list";
import { StuckAtBuild } from "./stuck-at-build";
import { type Build, useBuild } from "./use-build";

/**
 * The way back, an act of the hands at a time, in the computed order and where the hands are. A check stands alone, and one that fails stops
 * everything until it passes.
 */
export function BuildSheet(props: BuildProps) {
  const { head, anatomy } = props;
  const build = useBuild(props);
  const { steps, points, now, types } = build;
  const { lead, acting } = now;
  const nothingToFit = !now.act || !now.undone;
  const seated = useMemo(
    () =>
      new Set([
        ...props.neverOff,
        ...steps.flatMap(({ operation, position, state }) =>
          operation.kind === "place" && state === "done" && position ? position.id : [],
        ),
      ]),
    [steps, props.neverOff],
  );
  const pictured = acting.find(({ operation, well }) => operation.kind === "place" && well?.photoHash)?.well?.photoHash;
  return (
    <BenchSheet
      seat={lead?.position?.id ?? null}
      head={head}
      station="build"
      act={<BuildKeys head={head} build={build} toClean={props.toClean.length} />}
    >
      <Refused message={props.conflict} of={[build.acts.opening, build.acts.byHand]} />
      {props.open && !head.closed && <OpenedAgain open={props.open} build={build} />}
      <div className="grid gap-4 lg:grid-cols-[1fr_340px]">
        <div className="flex min-w-0 flex-col">
          {!steps.length && !points.length && <p>Nothing was taken off, so there is nothing to build.</p>}
          {nothingToFit && points.length > 0 && <Points of={points} props={props} build={build} />}
          {now.key.what === "oil" && !head.closed && (
            <>
              <p className="font-semibold">Before it is closed up: oil what stays in now.</p>
              <Points of={now.key.points} props={props} build={build} />
            </>
          )}
          <ReelDrawing
            anatomy={anatomy}
            partTypes={types}
            seated={seated}
            assemblyId={underHand(steps, lead)}
            nextId={lead?.operation.kind === "place" && lead.state !== "done" ? lead.position!.id : null}
            words="as it should look now"
            photoHash={pictured ?? null}
          />
          <TheAct props={props} build={build} />
        </div>
        <div>
          {!nothingToFit && points.length > 0 && (
            <details className="mb-2">
              <summary className="act-link min-h-10">
                Oil points: {points.filter(({ state }) => state !== "waiting").length} of {points.length} done
              </summary>
              <Points of={points} props={props} build={build} />
            </details>
          )}
          <StepList
            steps={steps}
            points={build.points}
            acting={acting}
            inversions={props.inversions}
            proven={props.proven}
            onChoose={build.pick}
          />
        </div>
      </div>
    </BenchSheet>
  );
}

/** The assembly that lies under the hand: a check or a tightening has no part of its own, so it is that of the step before. */
function underHand(steps: Build["steps"], lead: Build["now"]["lead"]): string | null {
  if (lead?.position) return lead.position.assemblyId;
  const before = lead ? steps.slice(0, steps.indexOf(lead)) : steps;
  return before.findLast(({ position }) => position !== null)?.position?.assemblyId ?? null;
}

/** All that is said of the act under the hand, and what is asked before it. */
function TheAct({ props, build }: { props: BuildProps; build: Build }) {
  const { head, anatomy, partTypes, foreseen } = props;
  const { steps, now, types, aside, name, seats } = build;
  const { lead, acting, alone: step } = now;
  const isGate = step?.operation.kind === "gate";
  const ring = useMemo(
    () => acting.map((one) => screwRing(anatomy, types, one)).find((found) => found.length > 0) ?? [],
    [acting, anatomy, types],
  );
  const type = step?.position ? partTypes[step.position.partTypeId] : undefined;
  const told = now.undone ? toldOfAct(props, acting) : [];
  return (
    <>
      {acting.length > 1 && (
        <ActDetail
          name={name}
          steps={acting}
          ring={ring}
          partTypes={partTypes}
          warmed={props.warmed}
          onAlone={(id) => build.pick(id, true)}
        />
      )}
      {told.length > 0 && (
        <p className="mt-2 border-l-4 border-ink pl-2 font-semibold" role="note">
          {told.join(" ")}
        </p>
      )}
      <ExtraPieces jobId={head.jobId} closed={head.closed} pieces={props.extras} />
      {aside.stuck && lead?.position && (
        <StuckAtBuild
          help={stuckHelp(
            anatomy,
            lead.position,
            partTypes[lead.position.partTypeId]!,
            new Set(steps.filter((s) => s.operation.kind === "place" && s.state !== "done").map((s) => s.position!.id)),
            "on",
            lead.well?.thread ?? null,
          )}
          name={lead.position.name}
        />
      )}
      {step && now.undone && !isGate && (isOwed(step) || waitsForPiece(step)) && !head.closed && (
        <LeftOff
          key={`off ${step.operation.id}`}
          jobId={head.jobId}
          operationId={step.operation.id}
          name={step.position?.name ?? step.operation.words}
          load={carriesLoad(type?.role ?? "")}
          here={!waitsForPiece(step)}
          wanted={now.cameWithout.includes(step) ? { positionId: step.position!.id } : null}
          onDone={build.settle}
        />
      )}
      {step && (
        <StepDetail
          head={head}
          step={step}
          type={type ?? null}
          ring={ring}
          warmed={props.warmed}
          traps={props.traps}
          busy={build.busy}
          noted={props.noted[step.operation.id] ?? ""}
          covered={steps.some(({ needs, state }) => state !== "done" && needs.includes(step.operation.id))}
          onOpen={(operationId) => build.openAgain(operationId, step.operation.id)}
          wanted={foreseen.includes(step.position?.id ?? "")}
          onOutcome={(outcome) => build.tell(step.position?.id ?? "", outcome)}
        />
      )}
      {aside.other && (
        <OtherPiece
          key={step?.operation.id ?? "end"}
          anatomy={anatomy}
          partTypes={partTypes}
          steps={steps}
          seat={step?.operation.kind === "place" && step.state !== "done" ? step.position : null}
          busy={build.busy}
          onOpen={(operationId) => build.openAgain(operationId)}
        />
      )}
      {now.old.length > 0 && (
        <OldPieces
          old={now.old}
          tag={head.tag}
          faultNames={props.faultNames}
          reason={aside.reason}
          error={build.reasonLacks ? "Fit a new one at Parts, or note why the old one is refitted." : undefined}
          onReason={build.setReason}
        />
      )}
      {now.buries && (
        <BuriedCheck
          buries={now.buries}
          positions={seats}
          partTypes={partTypes}
          reason={aside.reason}
          error={
            build.reasonLacks
              ? `Stop: this would bury a fault. ${now.buries.faults.join(" ")} Fix it first, or note why you are closing it anyway.`
              : undefined
          }
          onReason={build.setReason}
        />
      )}
    </>
  );
}

/** What was said at the counter and is answered by parts or checks of this act. */
const toldOfAct = ({ partTypes, told }: Pick<BuildProps, "partTypes" | "told">, acting: Build["now"]["acting"]): string[] => [
  ...new Set(
    acting.flatMap(({ operation, position }) =>
      toldAt({ type: operation.kind === "place" && position ? partTypes[position.partTypeId]! : null, proves: operation.proves }, told),
    ),
  ),
];

/** Places to oil, each marked, reopened or given another product. */
function Points({ of, props, build }: { of: readonly ShownPoint[]; props: BuildProps; build: Build }) {
  return (
    <OilPoints
      points={of}
      closed={props.head.closed}
      missed={build.now.missed}
      onMark={(id, state, why) => build.mark([id], state, why)}
      onReopen={(operationId) => build.openAgain(operationId)}
      typeOf={(positionId) => props.partTypes[build.seats.get(positionId)?.partTypeId ?? ""]}
      onProduct={(positionId, product, onPurpose) => build.tell(positionId, { product, onPurpose })}
    />
  );
}

/** Somebody was sent here for a step that is done: opened again in one press. */
function OpenedAgain({ open, build }: { open: NonNullable<BuildProps["open"]>; build: Build }) {
  return (
    <div className="mb-3 flex flex-wrap items-center gap-3 border-2 border-ink p-2">
      <p className="flex-1">
        <strong>{open.words}</strong> is done. Opened again, {open.steps === 1 ? "this step waits" : `these ${open.steps} steps wait`} once
        more; then fit the piece at Parts.
      </p>
      <Key busy={build.busy} onPress={() => build.openAgain(open.operationId)}>
        Open it again
      </Key>
    </div>
  );
}
