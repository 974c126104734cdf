"use client";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useEffect, useMemo, useRef, useState } from "react";
import { sizeWords } from "@/core/anatomy/shapes";
import type { Anatomy, Batch, PartType } from "@/core/anatomy/types";
import { buildActFrom, nextBuildAct } from "@/core/hands/build-acts";
import { type StuckHelp, stuckHelp } from "@/core/hands/stuck";
import { type ToldAtCounter, toldAt } from "@/core/intake/told-at";
import { lubricantUse } from "@/core/lubrication/lubricant-for";
import { cautionsAt, pullsLine } from "@/core/safety/cautions";
import { cutaway } from "@/core/schematic/cutaway";
import { buriedByAct } from "@/core/teardown/buried-by";
import type { LikelyTrap } from "@/core/teardown/likely-traps";
import { screwRing } from "@/core/teardown/screw-ring";
import type { StepAtBuild } from "@/core/teardown/step";
import type { Action } from "@/ui/act/press";
import { useBoard } from "@/ui/act/queue-provider";
import { useAct } from "@/ui/act/use-act";
import { type BenchHead, BenchSheet } from "@/ui/bench/bench-sheet";
import { Cautions } from "@/ui/bench/cautions";
import { ExtraPieces, type ShownExtra } from "@/ui/bench/extra-pieces";
import { Refused } from "@/ui/controls/field";
import { Key, MainKey, toMainKey } from "@/ui/controls/keys";
import { NextLink } from "@/ui/controls/next-link";
import { CutawayView } from "@/ui/glyphs/cutaway-view";
import { ActLesson } from "./act-lesson";
import { ActRows } from "./act-rows";
import { buildPress, lastDone, oilPress, upToCheck } from "./build-board";
import { BuriedCheck } from "./buried-check";
import { GateTraps } from "./gate-traps";
import { OilPoints, type ShownPoint } from "./oil-points";
import { OtherPiece } from "./other-piece";
import { ScrewRingView } from "./screw-ring-view";

interface Props {
  readonly head: BenchHead;
  readonly steps: readonly StepAtBuild[];
  readonly batches: readonly Batch[];
  readonly points: readonly ShownPoint[];
  /** What was said at the counter and is answered at a step. */
  readonly told: ToldAtCounter;
  readonly extras: readonly ShownExtra[];
  readonly settleExtra: Action<void>;
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
  readonly again: Action<{ steps: number }>;
  readonly learn: Action<{ number: number }>;
}

const ruledByWords = {
  safety: "safety first",
  part: "the part's own nature",
  job: "a note on this job",
  customer: "the customer's wish",
  shop: "the shop's way",
} as const;
const stateWords = { waiting: "", done: "done", failed: "did not pass", skipped: "left in the tray for now" } as const;

/**
 * The way back, an act of the hands at a time, in the computed order and where the hands are. A check stands alone, and one that fails stops
 * everything until it passes.
 */
export function BuildSheet(props: Props) {
  const { head, batches, open, conflict, inversions, proven, traps, warmed, anatomy, neverOff, partTypes, again, learn } = props;
  const { state: steps, press } = useBoard(head.tag, head.revision, props.steps, buildPress);
  const router = useRouter();
  const { state: points } = useBoard(head.tag, head.revision, props.points, oilPress);
  const [chosen, setChosen] = useState<string | null>(null);
  const [alone, setAlone] = useState(false);
  const [reason, setReason] = useState("");
  const [other, setOther] = useState(false);
  const [stuck, setStuck] = useState(false);
  const settle = () => {
    setChosen(null);
    setAlone(false);
    setReason("");
    setOther(false);
    setStuck(false);
  };
  const opening = useAct(again, settle);
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
  const drawing = useMemo(() => {
    const seated = new Set([
      ...neverOff,
      ...steps.filter((s) => s.operation.kind === "place" && s.state === "done").map((s) => s.position!.id),
    ]);
    // A check or a tightening has no part of its own: the assembly of the step before it is what lies under the hand.
    const index = lead ? steps.indexOf(lead) : steps.length;
    const about = lead?.position ?? steps.slice(0, index).findLast((s) => s.position)?.position ?? null;
    if (!about) return null;
    const placing = lead?.operation.kind === "place" && lead.state !== "done" ? about.id : null;
    const assembly = anatomy.assemblies.find((a) => a.id === about.assemblyId)!;
    return { assembly, view: cutaway(anatomy, types, assembly.id, seated, placing) };
  }, [anatomy, neverOff, types, lead, steps]);
  const buries = useMemo(
    () => (act && undone ? buriedByAct(steps, anatomy, types, act.operationIds) : null),
    [act, undone, steps, anatomy, types],
  );
  const byId = useMemo(() => new Map(anatomy.positions.map((position) => [position.id, position])), [anatomy]);
  const ring = acting.map((one) => screwRing(anatomy, types, one)).find((found) => found.length > 0) ?? [];
  const uses = lubricantUse(steps.map((s) => (s.operation.kind === "place" ? s.lubricant : null)));
  const doneCount = steps.filter((s) => s.state === "done").length;
  const toHere = upToCheck(steps);
  const listRef = useRef<HTMLOListElement>(null);
  const hereId = lead?.operation.id;
  useEffect(() => {
    const list = listRef.current;
    const here = hereId ? list?.querySelector<HTMLElement>(`[data-step="${hereId}"]`) : null;
    // Only the list scrolls, never the page under the gloved hand.
    if (list && here) list.scrollTop = here.offsetTop - list.offsetTop - list.clientHeight / 3;
  }, [hereId]);
  const here = new Set(act?.operationIds);
  const busy = opening.busy;
  const name = act?.batch?.name ?? step?.operation.words ?? lead?.position?.name ?? "";
  // A failed check that is looked at again passes; what is refused for what it covers wants its reason first.
  const lacksReason = (buries?.faults.length ?? 0) > 0 && !reason.trim();
  const [asked, setAsked] = useState(false);
  const done = (operationIds: readonly string[]) => {
    if (lacksReason) return setAsked(true);
    setAsked(false);
    press("steps-done", { jobId: head.jobId, operationIds, ...(reason.trim() ? { reason: reason.trim() } : {}) }, name);
    settle();
  };
  const said = [
    ...new Set(
      acting.flatMap(({ operation, position }) =>
        toldAt(
          { type: operation.kind === "place" && position ? partTypes[position.partTypeId]! : null, words: operation.words },
          props.told,
        ),
      ),
    ),
  ];
  const toOil = points.filter(({ state }) => state === "waiting").map(({ positionId }) => positionId);
  const mark = (positionIds: readonly string[], state: ShownPoint["state"]) =>
    press("oil-points", { jobId: head.jobId, positionIds, state }, "Oil points");
  const oiled = points.filter(({ state }) => state === "oiled").map(({ positionId }) => positionId);
  const nothingToFit = !act || !undone;
  const stepInput = { jobId: head.jobId, operationId: step?.operation.id ?? "" };
  const still = new Set(steps.filter((s) => s.operation.kind === "place" && s.state !== "done").map((s) => s.position!.id));
  return (
    <BenchSheet
      head={head}
      station="build"
      act={
        <>
          {act && undone && !head.closed ? (
            <>
              <MainKey busy={busy} words={isGate ? "It passes" : "Done"} onPress={() => done(act.operationIds)}>
                {isGate ? "It passes" : acting.length > 1 ? `Done: ${acting.length} steps` : "Done"}
              </MainKey>
              {isGate && (
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
              {step && !isGate && (
                <Key
                  shortcut="k"
                  words="Leave for now"
                  busy={busy}
                  onPress={() => {
                    press("step-skipped", stepInput, `${name} left for now`);
                    settle();
                  }}
                  className="min-w-32"
                >
                  Leave for now
                </Key>
              )}
              {!isGate && toHere.length > act.operationIds.length && (
                <Key shortcut="f" words="Done up to the check" busy={busy} onPress={() => done(toHere)}>
                  Done to the check
                </Key>
              )}
              {lead?.position && lead.operation.kind === "place" && (
                <Key shortcut="n" words="Stuck" pressed={stuck} onPress={() => setStuck(!stuck)}>
                  Stuck
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
              Another piece
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
      <Refused message={conflict} of={[opening]} />
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
          {nothingToFit && points.length > 0 && (
            <OilPoints points={points} closed={head.closed} onMark={(id, state) => mark([id], state)} />
          )}
          {drawing && (
            <div className="relative h-[210px] border border-ink lg:h-[300px]">
              <p className="absolute top-1 left-2 text-note">{drawing.assembly.name}, as it should look now</p>
              <CutawayView
                drawing={drawing.view}
                title={`${drawing.assembly.name} as it should look now${drawing.view.next ? `, ${drawing.view.next.name} over its seat` : ""}`}
              />
              {pictured && (
                // biome-ignore lint/performance/noImgElement: a private picture of this server, sized at upload
                <img
                  src={`/api/photos/${pictured}`}
                  alt="The joint as it was opened"
                  className="absolute top-0 right-0 h-full max-w-[48%] border-l border-ink bg-sheet object-contain"
                />
              )}
            </div>
          )}
          {acting.length > 1 && (
            <div className="mt-3">
              <div className="flex items-start gap-4">
                <div className="flex-1">
                  <h1>{name}</h1>
                  {lead?.well && (
                    <p className="text-head">
                      From {[...new Set(acting.flatMap(({ well }) => well?.well ?? []))].length > 1 ? "wells" : "well"}{" "}
                      <span className="num">{[...new Set(acting.flatMap(({ well }) => well?.well ?? []))].join(", ")}</span>
                    </p>
                  )}
                </div>
                {ring.length > 0 && <ScrewRingView ring={ring} hereId={null} />}
              </div>
              <Cautions
                said={[
                  ...new Set(
                    acting.flatMap(({ operation, position, lubricant }) => {
                      const part = position && partTypes[position.partTypeId];
                      const warm = warmed && part?.role === "spool-bearing" && lubricant?.product !== "nothing";
                      return [
                        ...(operation.caution ? [operation.caution] : []),
                        ...(operation.kind === "place" && position && part
                          ? cautionsAt({ at: "build", position, type: part, warmed: warm })
                          : []),
                      ];
                    }),
                  ),
                ]}
              />
              <ActRows
                steps={acting}
                partTypes={partTypes}
                onAlone={(id) => {
                  setChosen(id);
                  setAlone(true);
                  toMainKey();
                }}
              />
            </div>
          )}
          {undone && said.length > 0 && (
            <p className="mt-2 border-l-4 border-ink pl-2 font-semibold" role="note">
              {said.join(" ")}
            </p>
          )}
          <ExtraPieces jobId={head.jobId} closed={head.closed} pieces={props.extras} settle={props.settleExtra} />
          {stuck && lead?.position && (
            <StuckAtBuild
              help={stuckHelp(anatomy, lead.position, partTypes[lead.position.partTypeId]!, still, "on")}
              name={lead.position.name}
            />
          )}
          {step && (
            <div className="mt-3 grid gap-4 md:grid-cols-[1fr_1fr]">
              <div>
                <h1>
                  {isGate && "Check: "}
                  {step.operation.words}
                </h1>
                {type && <p className="num">{sizeWords(type.shape)}</p>}
                {step.well && step.operation.kind === "place" && (
                  <p className="mt-1 text-head">
                    From well <span className="num">{step.well.well}</span>
                    {step.well.renewed && ", the new piece"}
                    {step.well.verdict === "replace" && !step.well.renewed && ": to be replaced, the new piece is not here yet"}
                  </p>
                )}
                {isGate && step.state !== "failed" && <p className="mt-1">Test it now: what comes next covers it.</p>}
                {isGate && step.state === "failed" && (
                  <GateTraps
                    traps={traps}
                    busy={busy}
                    onOpen={(operationId) => opening.press({ jobId: head.jobId, operationId, gateId: step.operation.id })}
                  />
                )}
                <Cautions
                  said={[
                    ...(step.operation.caution ? [step.operation.caution] : []),
                    ...(step.position && type && step.operation.kind === "place"
                      ? cautionsAt({
                          at: "build",
                          position: step.position,
                          type,
                          warmed: warmed && type.role === "spool-bearing" && step.lubricant?.product !== "nothing",
                        })
                      : cautionsAt({ at: "gate", pullsLine: pullsLine(step.operation.words) })),
                  ]}
                />
                {!head.closed && <ActLesson key={step.operation.id} jobId={head.jobId} operationId={step.operation.id} learn={learn} />}
              </div>
              {step.position && step.operation.kind === "place" && (
                <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 self-start">
                  {(step.well?.orientation || step.position.orientation) && (
                    <>
                      <dt className="text-note">Orientation</dt>
                      <dd className="font-semibold">{step.well?.orientation || step.position.orientation}</dd>
                    </>
                  )}
                  {step.position.hole && (
                    <>
                      <dt className="text-note">Hole</dt>
                      <dd>
                        {step.position.hole}
                        {step.position.holeDepthMm && `, ${step.position.holeDepthMm} mm deep`}
                      </dd>
                    </>
                  )}
                  {(step.position.tightness || step.position.startOrder) && (
                    <>
                      <dt className="text-note">Tighten to</dt>
                      <dd>
                        {step.position.tightness}
                        {step.position.startOrder && `, started as number ${step.position.startOrder}`}
                        {step.position.indexDeg && `, catches every ${step.position.indexDeg}°`}
                        {step.position.stripsEasily && <strong>, strips easily</strong>}
                      </dd>
                    </>
                  )}
                  <dt className="text-note">Lubricant</dt>
                  <dd>
                    {step.lubricant ? `${step.lubricant.product}, ${step.lubricant.amount}: ${step.lubricant.why}` : "none"}
                    {step.lubricant && step.lubricant.ruledBy !== "model" && (
                      <span className="text-note"> ({ruledByWords[step.lubricant.ruledBy]})</span>
                    )}
                    {step.lubricant?.overruled && <span className="block text-note">Not {step.lubricant.overruled}.</span>}
                  </dd>
                  {type?.shape.kind === "cupped-washer" && (
                    <>
                      <dt className="text-note">Force</dt>
                      <dd>
                        <Link className="act-link" href={`/gauges/washers?job=${head.tag}`}>
                          what these tension washers do as stacked
                        </Link>
                      </dd>
                    </>
                  )}
                  {step.position.trap && (
                    <>
                      <dt className="text-note">Trap</dt>
                      <dd className="border-l-4 border-ink pl-2">{step.position.trap}</dd>
                    </>
                  )}
                  {step.well?.note && (
                    <>
                      <dt className="text-note">Noted</dt>
                      <dd>{step.well.note}</dd>
                    </>
                  )}
                </dl>
              )}
              {ring.length > 0 && <ScrewRingView ring={ring} hereId={step.position?.id ?? null} />}
              {step.operation.tool && <p className="self-start">Tool: {step.operation.tool}</p>}
            </div>
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
          {buries && (
            <BuriedCheck
              buries={buries}
              positions={byId}
              partTypes={partTypes}
              reason={reason}
              error={
                asked && lacksReason
                  ? `This would cover what is not right: ${buries.faults.join(" ")} Put it right first, or say why you close it anyway.`
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
                Oil points: {points.length - toOil.length} of {points.length} done
              </summary>
              <OilPoints points={points} closed={head.closed} onMark={(id, state) => mark([id], state)} />
            </details>
          )}
          <div className={steps.length ? "" : "hidden"}>
            <span className="num text-head font-medium">
              {doneCount}/{steps.length}
            </span>{" "}
            steps done
            {steps.length > 0 && (
              <details className="text-note">
                <summary className="cursor-pointer">Why this order</summary>
                {inversions === 0
                  ? "Exactly the reverse of the teardown."
                  : `The reverse of the teardown, but ${inversions} ${inversions === 1 ? "pair is" : "pairs are"} swapped so that every check comes before it is covered${proven ? "; no order swaps fewer" : ""}.`}
              </details>
            )}
          </div>
          {uses.length > 0 && (
            <p className="text-note">
              On the whole:{" "}
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
          <ol className="mt-1 max-h-[460px] overflow-auto border-t border-ink" ref={listRef}>
            {steps.map((s, index) => (
              <li key={s.operation.id} className="rule-row" data-step={s.operation.id}>
                <button
                  type="button"
                  className={`flex min-h-9 w-full items-center gap-2 text-left ${here.has(s.operation.id) ? "bg-ink text-sheet" : ""}`}
                  aria-current={s.operation.id === hereId ? "step" : undefined}
                  onClick={() => {
                    settle();
                    setChosen(s.operation.id);
                    setAlone(s.state !== "waiting");
                    toMainKey();
                  }}
                >
                  <span className="num w-8 text-right text-note">{index + 1}</span>
                  <span className={s.state === "done" || here.has(s.operation.id) ? "" : "font-semibold text-brass"}>
                    {s.operation.kind === "gate" && "Check: "}
                    {s.operation.words}
                  </span>
                  <span className="ml-auto pr-1 text-note whitespace-nowrap">{s.notDue ? "a part stays out" : stateWords[s.state]}</span>
                </button>
              </li>
            ))}
          </ol>
        </div>
      </div>
    </BenchSheet>
  );
}

/** A part that does not go in: why it may sit fast, how to hold it. */
function StuckAtBuild({ help, name }: { help: StuckHelp; name: string }) {
  return (
    <section className="mt-2 border border-ink p-2" aria-label="Stuck">
      <p className="font-semibold">{name} does not go in: stop, do not force it.</p>
      <ul className="list-disc pl-5">
        {help.causes.map((cause) => (
          <li key={cause}>{cause.charAt(0).toUpperCase() + cause.slice(1)}</li>
        ))}
      </ul>
      <p>{help.hold.join(" ")}</p>
    </section>
  );
}
