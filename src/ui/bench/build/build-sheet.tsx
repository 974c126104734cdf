"use client";
import { useRouter } from "next/navigation";
import { useCallback, useMemo, useState } from "react";
import { buildBoard, oilBoard } from "@/core/acts/build/board";
import type { Anatomy, Batch, PartType } from "@/core/anatomy/types";
import { buildActFrom, nextBuildAct } from "@/core/hands/build-acts";
import { type StuckHelp, stuckHelp } from "@/core/hands/stuck";
import { lastDone, upToCheck } from "@/core/hands/up-to-check";
import { type ToldAtCounter, toldAt } from "@/core/intake/told-at";
import { carriesLoad } from "@/core/safety/carries-load";
import { buriedByAct } from "@/core/teardown/buried-by";
import { asItCame, cameWithout } from "@/core/teardown/came-without";
import type { Feel } from "@/core/teardown/feel";
import type { LikelyTrap } from "@/core/teardown/likely-traps";
import { shutBy, shutsIn } from "@/core/teardown/oil-window";
import { isOwed, isSettled, oldPieces } from "@/core/teardown/owed";
import { screwRing } from "@/core/teardown/screw-ring";
import type { StepAtBuild } from "@/core/teardown/step";
import { waitsForNew } from "@/core/teardown/verdicts";
import { useBoard } from "@/ui/act/queue-provider";
import { useAct } from "@/ui/act/use-act";
import { type BenchHead, BenchSheet } from "@/ui/bench/bench-sheet";
import { ExtraPieces, type ShownExtra } from "@/ui/bench/extra-pieces";
import { Key, MainKey, toMainKey } from "@/ui/controls/keys";
import { NextLink } from "@/ui/controls/next-link";
import { Refused } from "@/ui/controls/refused";
import { ActDetail } from "./act-detail";
import { BuriedCheck } from "./buried-check";
import { LeftOff } from "./left-off";
import { OilPoints, type ShownPoint } from "./oil-points";
import { OldPieces } from "./old-pieces";
import { OtherPiece } from "./other-piece";
import { SeatPicture } from "./seat-picture";
import { StepDetail } from "./step-detail";
import { StepList } from "./step-list";

const onSteps = buildBoard<StepAtBuild>();
const onPoints = oilBoard<ShownPoint>();

interface Props {
  readonly head: BenchHead;
  readonly steps: readonly StepAtBuild[];
  readonly batches: readonly Batch[];
  readonly points: readonly ShownPoint[];
  /** What was said at the counter and is answered at a step. */
  readonly told: ToldAtCounter;
  readonly extras: readonly ShownExtra[];
  /** A step that is done and has to be opened again, and how many stand on it: somebody was sent here for it. */
  readonly open: { readonly operationId: string; readonly words: string; readonly steps: number } | null;
  readonly conflict: string | null;
  /** Parts that go in the other way round than they came off, and whether no order has fewer. */
  readonly inversions: number;
  readonly proven: boolean;
  /** Where to look for the check that failed, likeliest first. */
  readonly traps: readonly LikelyTrap[];
  /** Oil is warmed into spool bearings here. */
  readonly warmed: boolean;
  readonly anatomy: Anatomy;
  /** Seats that were never emptied, so they are in from the start. */
  readonly neverOff: readonly string[];
  readonly partTypes: Readonly<Record<string, PartType>>;
  /** Seats for which a new part was asked for. */
  readonly foreseen: readonly string[];
  /** The job's faults by id. */
  readonly faultNames: Readonly<Record<string, string>>;
  /** Seats whose parts are not cleaned yet. */
  readonly toClean: readonly string[];
  /** What was measured, repeated or used, by step. */
  readonly noted: Readonly<Record<string, string>>;
}

/**
 * The way back, an act of the hands at a time, in the computed order and where the hands are. A check stands alone, and one that fails stops
 * everything until it passes.
 */
export function BuildSheet(props: Props) {
  const { head, batches, open, conflict, inversions, proven, traps, warmed, anatomy, neverOff, partTypes } = props;
  const { state: steps, press } = useBoard(head.tag, head.revision, props.steps, onSteps);
  const router = useRouter();
  const { state: points } = useBoard(head.tag, head.revision, props.points, onPoints);
  const [chosen, setChosen] = useState<string | null>(null);
  const [alone, setAlone] = useState(false);
  const [reason, setReason] = useState("");
  const [other, setOther] = useState(false);
  const [stuck, setStuck] = useState(false);
  const [asItIs, setAsItIs] = useState(false);
  const settle = () => {
    setChosen(null);
    setAlone(false);
    setReason("");
    setOther(false);
    setStuck(false);
  };
  const chooseStep = useCallback((id: string, only: boolean) => {
    setChosen(id);
    setAlone(only);
    setReason("");
    setOther(false);
    setStuck(false);
    toMainKey();
  }, []);
  const opening = useAct("open-again", settle);
  const byHand = useAct("all-cleaned-by-hand");
  const types = useMemo(() => new Map(Object.entries(partTypes)), [partTypes]);
  const last = useMemo(() => lastDone(steps), [steps]);
  const act = useMemo(() => {
    if (chosen) return alone ? { operationIds: [chosen], batch: null } : buildActFrom(steps, batches, types, chosen);
    return nextBuildAct(steps, batches, types, last?.position?.assemblyId ?? null);
  }, [chosen, alone, steps, batches, types, last]);
  const acting = useMemo(() => {
    const ids = new Set(act?.operationIds);
    const byId = new Map(steps.map((one) => [one.operation.id, one]));
    return [...ids].flatMap((id) => byId.get(id) ?? []);
  }, [act, steps]);
  // A single step shows all it knows; of several the first part is drawn over its seat.
  const step = acting.length === 1 ? acting[0]! : null;
  const lead = acting.find(({ operation }) => operation.kind === "place") ?? acting[0] ?? null;
  const isGate = step?.operation.kind === "gate";
  const pictured = acting.find(({ operation, well }) => operation.kind === "place" && well?.photoHash)?.well?.photoHash;
  const undone = acting.some(({ state }) => state !== "done");
  const type = step?.position ? partTypes[step.position.partTypeId] : undefined;
  const buries = useMemo(
    () => (act && undone ? buriedByAct(steps, anatomy, types, act.operationIds) : null),
    [act, undone, steps, anatomy, types],
  );
  const byId = useMemo(() => new Map(anatomy.positions.map((position) => [position.id, position])), [anatomy]);
  const ring = acting.map((one) => screwRing(anatomy, types, one)).find((found) => found.length > 0) ?? [];
  const toHere = upToCheck(steps);
  const hereId = lead?.operation.id;
  const busy = opening.busy;
  const name = act?.batch?.name ?? step?.operation.words ?? lead?.position?.name ?? "";
  // A failed check that is looked at again passes; what is refused for what it covers wants its reason first.
  const old = oldPieces(acting);
  // What the reel came without stays off by the same press, unless it carries load or a new one was asked for.
  const withoutIt = acting.filter(
    ({ operation, position, well, state }) =>
      operation.kind === "place" && state !== "done" && position !== null && cameWithout(well) && !props.foreseen.includes(position.id),
  );
  const roleAt = (one: StepAtBuild) => partTypes[one.position?.partTypeId ?? ""]?.role ?? "";
  const asCame = withoutIt.filter((one) => !carriesLoad(roleAt(one)));
  const asCameIds = asCame.map(({ operation }) => operation.id);
  // A piece of a handful that is not here is asked about alone.
  const lacking = acting.length > 1 ? acting.find((one) => one.state !== "done" && waitsForPiece(one) && !asCame.includes(one)) : undefined;
  // What nobody cleaned goes back only on somebody's word; it was given where an uncleaned piece is in already.
  const saidSo =
    asItIs ||
    steps.some(
      ({ operation, state, well }) =>
        operation.kind === "place" && state === "done" && well !== null && well.cleanedAt === null && !well.renewed,
    );
  const unclean = saidSo
    ? []
    : acting.filter(
        ({ operation, position, state }) => operation.kind === "place" && state !== "done" && props.toClean.includes(position?.id ?? ""),
      );
  const lacksReason = ((buries?.faults.length ?? 0) > 0 || old.length > 0) && !reason.trim();
  // A step picked by hand may stand on one that is still to be done.
  const first = useMemo(() => {
    const settled = new Set([
      ...steps.filter(isSettled).map(({ operation }) => operation.id),
      ...acting.map(({ operation }) => operation.id),
    ]);
    const missing = acting.flatMap(({ needs }) => needs.filter((id) => !settled.has(id)))[0];
    return missing === undefined ? null : (steps.find(({ operation }) => operation.id === missing) ?? null);
  }, [steps, acting]);
  const [asked, setAsked] = useState(false);
  const done = (operationIds: readonly string[]) => {
    if (lacksReason) return setAsked(true);
    setAsked(false);
    press("steps-done", { jobId: head.jobId, operationIds, ...(reason.trim() ? { reason: reason.trim() } : {}) }, name);
    settle();
  };
  const leaveAsItCame = () => {
    for (const operationId of asCameIds)
      press("step-left-off", { jobId: head.jobId, operationId, reason: asItCame }, `${name} left off as it came`);
    const rest = (act?.operationIds ?? []).filter((id) => !asCameIds.includes(id));
    if (rest.length) done(rest);
    else settle();
  };
  const sentences = [
    ...new Set(
      acting.flatMap(({ operation, position }) =>
        toldAt(
          { type: operation.kind === "place" && position ? partTypes[position.partTypeId]! : null, proves: operation.proves },
          props.told,
        ),
      ),
    ),
  ];
  const waiting = points.filter(({ state }) => state === "waiting");
  const missed = new Map(
    waiting.flatMap((point) => {
      const over = shutBy(point.behind, steps);
      return over ? [[point.positionId, over] as const] : [];
    }),
  );
  // A place that the next act would shut is oiled first, and with it whatever lies open beside it.
  const lyingOpen = waiting.filter(({ positionId, behind }) => behind.length > 0 && !missed.has(positionId));
  const oilFirst = (operationIds: readonly string[]) =>
    lyingOpen.some(({ behind }) => shutsIn(behind, steps, operationIds)) ? lyingOpen : [];
  const lying = act && undone ? oilFirst(act.operationIds) : [];
  const toOil = waiting.filter(({ positionId }) => !missed.has(positionId)).map(({ positionId }) => positionId);
  const mark = (positionIds: readonly string[], state: ShownPoint["state"]) =>
    press("oil-points", { jobId: head.jobId, positionIds, state }, "Oil points");
  const tell = (positionId: string, told: { product?: string | null; onPurpose?: boolean; feel?: Feel | null }) =>
    press("seat-outcome", { jobId: head.jobId, positionId, ...told }, byId.get(positionId)?.name ?? "");
  const oiled = points.filter(({ state }) => state === "oiled").map(({ positionId }) => positionId);
  const nothingToFit = !act || !undone;
  const stepInput = { jobId: head.jobId, operationId: step?.operation.id ?? "" };
  const still = new Set(steps.filter((s) => s.operation.kind === "place" && s.state !== "done").map((s) => s.position!.id));
  const shownPoints = (of: readonly ShownPoint[]) => (
    <OilPoints
      points={of}
      closed={head.closed}
      missed={missed}
      onMark={(id, state) => mark([id], state)}
      onReopen={(operationId) => opening.press({ jobId: head.jobId, operationId, gateId: null })}
      typeOf={(positionId) => partTypes[byId.get(positionId)?.partTypeId ?? ""]}
      onProduct={(positionId, product, onPurpose) => tell(positionId, { product, onPurpose })}
    />
  );
  return (
    <BenchSheet
      seat={lead?.position?.id ?? null}
      head={head}
      station="build"
      act={
        <>
          {act && undone && !head.closed ? (
            <>
              {lacking && !first ? (
                <MainKey busy={busy} words="The piece that is not here" onPress={() => chooseStep(lacking.operation.id, true)}>
                  First: {lacking.position?.name}
                </MainKey>
              ) : asCame.length && !first && !lying.length ? (
                <MainKey busy={busy} words="Left off, as it came" onPress={() => leaveAsItCame()}>
                  {asCame.length === acting.length
                    ? "Left off, as it came"
                    : `Done: ${acting.length - asCame.length}; ${asCame[0]!.position!.name.toLowerCase()} left off as it came`}
                </MainKey>
              ) : first ? (
                <MainKey busy={busy} words="What comes first" onPress={() => chooseStep(first.operation.id, false)}>
                  First: {first.position?.name ?? first.operation.words}
                </MainKey>
              ) : step && waitsForPiece(step) ? (
                <NextLink href={`/bench/${head.tag}/parts`} words="Fit it at Parts" />
              ) : unclean.length ? (
                <NextLink
                  href={`/bench/${head.tag}/clean`}
                  words={`Clean first: ${props.toClean.length} ${props.toClean.length === 1 ? "part waits" : "parts wait"}`}
                />
              ) : lying.length ? (
                <MainKey
                  busy={busy}
                  words="Oiled while it is open"
                  onPress={() =>
                    mark(
                      lying.map(({ positionId }) => positionId),
                      "oiled",
                    )
                  }
                >
                  {lying.length === 1 ? `Oiled: ${lying[0]!.name}` : `${lying.length} places oiled`}
                </MainKey>
              ) : (
                <MainKey busy={busy} words={isGate ? "It passes" : "Done"} onPress={() => done(act.operationIds)}>
                  {isGate ? "It passes" : acting.length > 1 ? `Done: ${acting.length} steps` : "Done"}
                </MainKey>
              )}
              {unclean.length > 0 && !first && (
                <>
                  <Key shortcut="h" words="All cleaned by hand" busy={byHand.busy} onPress={() => byHand.press({ jobId: head.jobId })}>
                    All by hand
                  </Key>
                  <Key shortcut="d" words="Refit it as it is" onPress={() => setAsItIs(true)}>
                    As it is
                  </Key>
                </>
              )}
              {isGate && !first && (
                <Key
                  shortcut="x"
                  words="It fails"
                  busy={busy}
                  onPress={() => {
                    press("gate-failed", { ...stepInput, note: "" }, `Check failed: ${name}`);
                    settle();
                  }}
                  className="min-w-32"
                >
                  It fails
                </Key>
              )}
              {step && !isGate && !isOwed(step) && (
                <Key
                  shortcut="k"
                  words="Leave for now"
                  busy={busy}
                  onPress={() => {
                    press("step-skipped", stepInput, `${name} left for now`);
                    settle();
                  }}
                >
                  Later
                </Key>
              )}
              {!isGate && toHere.length > act.operationIds.length && !oilFirst(toHere).length && !unclean.length && (
                <Key shortcut="f" words="Done up to the next check" busy={busy} onPress={() => done(toHere)}>
                  To the check
                </Key>
              )}
              {lead?.position && lead.operation.kind === "place" && (
                <Key shortcut="n" words="Stuck" pressed={stuck} onPress={() => setStuck(!stuck)}>
                  Stuck
                </Key>
              )}
            </>
          ) : chosen && act && !head.closed ? (
            // Looking at what is done acts on nothing.
            <>
              <MainKey words="To the next step" onPress={settle}>
                To the next step
              </MainKey>
              {step?.state === "done" && !isGate && (
                <Key
                  shortcut="o"
                  words="Open it again"
                  busy={busy}
                  onPress={() => opening.press({ jobId: head.jobId, operationId: step.operation.id, gateId: null })}
                >
                  Open it again
                </Key>
              )}
            </>
          ) : toOil.length > 0 && !head.closed ? (
            <MainKey
              words="All points oiled"
              onPress={() => {
                mark(toOil, "oiled");
                // An outside service goes on by itself: these are all it has to do here.
                if (head.path.depth === "light") router.push(`/bench/${head.tag}/prove`);
              }}
            >
              {toOil.length === 1 ? "Oil point done" : `All ${toOil.length} points oiled`}
            </MainKey>
          ) : (
            <NextLink href={`/bench/${head.tag}/prove`} words="On to Prove" />
          )}
          {!head.closed && steps.length > 0 && !isGate && (
            <Key shortcut="w" words="Not this part" pressed={other} onPress={() => setOther(!other)}>
              Other piece
            </Key>
          )}
          <Key
            shortcut="u"
            words="Undo the last"
            busy={busy}
            disabled={(!last && !oiled.length) || head.closed}
            onPress={() => {
              if (nothingToFit && oiled.length && !chosen) return mark(oiled, "waiting");
              const back = chosen && step?.state === "done" ? step : last;
              if (back) press("step-undone", { jobId: head.jobId, operationId: back.operation.id }, "Undo");
              settle();
            }}
          >
            Undo
          </Key>
        </>
      }
    >
      <Refused message={conflict} of={[opening, byHand]} />
      {open && !head.closed && (
        <div className="mb-3 flex flex-wrap items-center gap-3 border-2 border-ink p-2">
          <p className="flex-1">
            <strong>{open.words}</strong> is done. Opened again, {open.steps === 1 ? "this step waits" : `these ${open.steps} steps wait`}{" "}
            once more; then fit the piece at Parts.
          </p>
          <Key busy={busy} onPress={() => opening.press({ jobId: head.jobId, operationId: open.operationId, gateId: null })}>
            Open it again
          </Key>
        </div>
      )}
      <div className="grid gap-4 lg:grid-cols-[1fr_340px]">
        <div className="flex min-w-0 flex-col">
          {!steps.length && !points.length && <p>Nothing was taken off, so there is nothing to build.</p>}
          {nothingToFit && points.length > 0 && shownPoints(points)}
          {lying.length > 0 && !head.closed && (
            <>
              <p className="font-semibold">Before it is closed up: oil what stays in now.</p>
              {shownPoints(lying)}
            </>
          )}
          <SeatPicture
            steps={steps}
            leadId={hereId ?? null}
            anatomy={anatomy}
            partTypes={types}
            neverOff={neverOff}
            photoHash={pictured ?? null}
          />
          {acting.length > 1 && (
            <ActDetail
              name={name}
              steps={acting}
              ring={ring}
              partTypes={partTypes}
              warmed={warmed}
              onAlone={(id) => chooseStep(id, true)}
            />
          )}
          {undone && sentences.length > 0 && (
            <p className="mt-2 border-l-4 border-ink pl-2 font-semibold" role="note">
              {sentences.join(" ")}
            </p>
          )}
          <ExtraPieces jobId={head.jobId} closed={head.closed} pieces={props.extras} />
          {stuck && lead?.position && (
            <StuckAtBuild
              help={stuckHelp(anatomy, lead.position, partTypes[lead.position.partTypeId]!, still, "on", lead.well?.thread ?? null)}
              name={lead.position.name}
            />
          )}
          {step && undone && !isGate && (isOwed(step) || waitsForPiece(step)) && !head.closed && (
            <LeftOff
              key={`off ${step.operation.id}`}
              jobId={head.jobId}
              operationId={step.operation.id}
              name={step.position?.name ?? step.operation.words}
              load={carriesLoad(roleAt(step))}
              here={!waitsForPiece(step)}
              wanted={withoutIt.includes(step) ? { positionId: step.position!.id } : null}
              onDone={settle}
            />
          )}
          {step && (
            <StepDetail
              head={head}
              step={step}
              type={type ?? null}
              ring={ring}
              warmed={warmed}
              traps={traps}
              busy={busy}
              noted={props.noted[step.operation.id] ?? ""}
              covered={steps.some(({ needs, state }) => state !== "done" && needs.includes(step.operation.id))}
              onOpen={(operationId) => opening.press({ jobId: head.jobId, operationId, gateId: step.operation.id })}
              wanted={props.foreseen.includes(step.position?.id ?? "")}
              onOutcome={(told) => tell(step.position?.id ?? "", told)}
            />
          )}
          {other && (
            <OtherPiece
              key={step?.operation.id ?? "end"}
              anatomy={anatomy}
              partTypes={partTypes}
              steps={steps}
              seat={step?.operation.kind === "place" && step.state !== "done" ? step.position : null}
              busy={busy}
              onOpen={(operationId) => opening.press({ jobId: head.jobId, operationId, gateId: null })}
            />
          )}
          {old.length > 0 && (
            <OldPieces
              old={old}
              tag={head.tag}
              faultNames={props.faultNames}
              reason={reason}
              error={asked && lacksReason ? "Fit a new one at Parts, or note why the old one is refitted." : undefined}
              onReason={setReason}
            />
          )}
          {buries && (
            <BuriedCheck
              buries={buries}
              positions={byId}
              partTypes={partTypes}
              reason={reason}
              error={
                asked && lacksReason
                  ? `Stop: this would bury a fault. ${buries.faults.join(" ")} Fix it first, or note why you are closing it anyway.`
                  : undefined
              }
              onReason={setReason}
            />
          )}
        </div>
        <div>
          {!nothingToFit && points.length > 0 && (
            <details className="mb-2">
              <summary className="act-link min-h-10">
                Oil points: {points.length - waiting.length} of {points.length} done
              </summary>
              {shownPoints(points)}
            </details>
          )}
          <StepList steps={steps} acting={acting} inversions={inversions} proven={proven} onChoose={chooseStep} />
        </div>
      </div>
    </BenchSheet>
  );
}

/** Its new piece is not here, or it was not there when the reel came. */
const waitsForPiece = ({ well }: StepAtBuild) => well !== null && waitsForNew(well);

/** A part that does not go in: why it may sit fast, how to hold it. */
function StuckAtBuild({ help, name }: { help: StuckHelp; name: string }) {
  return (
    <section className="mt-2 border border-ink p-2" aria-label="Stuck">
      <p className="font-semibold">{name} will not go in: stop, do not force it.</p>
      <ul className="list-disc pl-5">
        {help.causes.map((cause) => (
          <li key={cause}>{cause.charAt(0).toUpperCase() + cause.slice(1)}</li>
        ))}
      </ul>
      <p>{help.hold.join(" ")}</p>
    </section>
  );
}
