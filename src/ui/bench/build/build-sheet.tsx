"use client";
import Link from "next/link";
import { useEffect, useMemo, useRef, useState } from "react";
import { sizeWords } from "@/core/anatomy/shapes";
import type { Anatomy, PartType } from "@/core/anatomy/types";
import { lubricantUse } from "@/core/lubrication/lubricant-for";
import { cautionsAt, pullsLine } from "@/core/safety/cautions";
import { cutaway } from "@/core/schematic/cutaway";
import type { LikelyTrap } from "@/core/teardown/likely-traps";
import { screwRing } from "@/core/teardown/screw-ring";
import type { StepAtBuild } from "@/core/teardown/step";
import type { Action } from "@/ui/act/press";
import { useAct } from "@/ui/act/use-act";
import { type BenchHead, BenchSheet } from "@/ui/bench/bench-sheet";
import { Cautions } from "@/ui/bench/cautions";
import { Refused } from "@/ui/controls/field";
import { Key, MainKey, toMainKey } from "@/ui/controls/keys";
import { NextLink } from "@/ui/controls/next-link";
import { CutawayView } from "@/ui/glyphs/cutaway-view";
import { ActLesson } from "./act-lesson";
import { BuriedCheck } from "./buried-check";
import { GateTraps } from "./gate-traps";
import { OtherPiece } from "./other-piece";
import { ScrewRingView } from "./screw-ring-view";

interface Props {
  readonly head: BenchHead;
  readonly steps: readonly StepAtBuild[];
  readonly currentId: string | null;
  /** A step that is done and has to be opened again, and how many stand on it: somebody was sent here for it. */
  readonly open: { readonly operationId: string; readonly words: string; readonly steps: number } | null;
  readonly conflict: string | null;
  /** Parts that go in the other way round than they came off, and whether no order has fewer. */
  readonly inversions: number;
  readonly proven: boolean;
  /** Where to look for the gate that failed, likeliest first. */
  readonly traps: readonly LikelyTrap[];
  /** Oil is warmed into spool bearings here. */
  readonly warmed: boolean;
  readonly anatomy: Anatomy;
  /** Seats that were never emptied, so they are in from the start. */
  readonly neverOff: readonly string[];
  readonly partTypes: Readonly<Record<string, PartType>>;
  readonly done: Action<void>;
  readonly failed: Action<void>;
  readonly skipped: Action<void>;
  readonly undone: Action<void>;
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

/** The way back, step by step, in the computed order. A gate that fails stops everything until it passes. */
export function BuildSheet({
  head,
  steps,
  currentId,
  open,
  conflict,
  inversions,
  proven,
  traps,
  warmed,
  anatomy,
  neverOff,
  partTypes,
  done,
  failed,
  skipped,
  undone,
  again,
  learn,
}: Props) {
  const [chosen, setChosen] = useState<string | null>(null);
  const [reason, setReason] = useState("");
  const [other, setOther] = useState(false);
  const settle = () => {
    setChosen(null);
    setReason("");
    setOther(false);
  };
  const doing = useAct(done, settle);
  const opening = useAct(again, settle);
  const failing = useAct(failed);
  const skipping = useAct(skipped, () => setChosen(null));
  const undoing = useAct(undone, () => setChosen(null));
  const step = steps.find((s) => s.operation.id === (chosen ?? currentId)) ?? null;
  const isGate = step?.operation.kind === "gate";
  const lastDone = steps.findLast((s) => s.state === "done" || s.state === "failed" || s.state === "skipped");
  const type = step?.position ? partTypes[step.position.partTypeId] : undefined;
  const drawing = useMemo(() => {
    const seated = new Set([
      ...neverOff,
      ...steps.filter((s) => s.operation.kind === "place" && s.state === "done").map((s) => s.position!.id),
    ]);
    // A gate or a tightening has no part of its own: the assembly of the step before it is what lies under the hand.
    const index = step ? steps.indexOf(step) : steps.length;
    const about = step?.position ?? steps.slice(0, index).findLast((s) => s.position)?.position ?? null;
    if (!about) return null;
    const placing = step?.operation.kind === "place" && step.state !== "done" ? about.id : null;
    const assembly = anatomy.assemblies.find((a) => a.id === about.assemblyId)!;
    return { assembly, view: cutaway(anatomy, new Map(Object.entries(partTypes)), assembly.id, seated, placing) };
  }, [anatomy, neverOff, partTypes, step, steps]);
  const byId = useMemo(() => new Map(anatomy.positions.map((position) => [position.id, position])), [anatomy]);
  const ring = step ? screwRing(anatomy, new Map(Object.entries(partTypes)), step) : [];
  const uses = lubricantUse(steps.map((s) => (s.operation.kind === "place" ? s.lubricant : null)));
  const doneCount = steps.filter((s) => s.state === "done").length;
  const listRef = useRef<HTMLOListElement>(null);
  const hereId = step?.operation.id;
  useEffect(() => {
    const list = listRef.current;
    const here = hereId ? list?.querySelector<HTMLElement>(`[data-step="${hereId}"]`) : null;
    // Only the list scrolls, never the page under the gloved hand.
    if (list && here) list.scrollTop = here.offsetTop - list.offsetTop - list.clientHeight / 3;
  }, [hereId]);
  const press = { jobId: head.jobId, operationId: step?.operation.id ?? "" };
  const busy = opening.busy || doing.busy || failing.busy || skipping.busy || undoing.busy;
  return (
    <BenchSheet
      head={head}
      station="build"
      act={
        <>
          {step && step.state !== "done" && !head.closed ? (
            <>
              <MainKey busy={busy} words={isGate ? "It passes" : "Done"} onPress={() => doing.press({ ...press, reason })}>
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
          {!head.closed && steps.length > 0 && !isGate && (
            <Key shortcut="w" words="Not this part" pressed={other} onPress={() => setOther(!other)}>
              Another piece
            </Key>
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
      <Refused message={conflict} of={[opening, doing, failing, skipping, undoing]} />
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
          {!steps.length && <p>Nothing was taken off, so there is nothing to build.</p>}
          {drawing && (
            <div className="relative h-[210px] border border-ink lg:h-[300px]">
              <p className="absolute top-1 left-2 text-note">{drawing.assembly.name}, as it should look now</p>
              <CutawayView
                drawing={drawing.view}
                title={`${drawing.assembly.name} as it should look now${drawing.view.next ? `, ${drawing.view.next.name} over its seat` : ""}`}
              />
              {step?.well?.photoHash && step.operation.kind === "place" && (
                // biome-ignore lint/performance/noImgElement: a private picture of this server, sized at upload
                <img
                  src={`/api/photos/${step.well.photoHash}`}
                  alt="The joint as it was opened"
                  className="absolute top-0 right-0 h-full max-w-[48%] border-l border-ink bg-sheet object-contain"
                />
              )}
            </div>
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
          {step?.buries && (
            <BuriedCheck
              buries={step.buries}
              positions={byId}
              partTypes={partTypes}
              reason={reason}
              error={doing.fields.reason}
              onReason={setReason}
            />
          )}
        </div>
        <div>
          <div>
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
                  className={`flex min-h-9 w-full items-center gap-2 text-left ${s.operation.id === step?.operation.id ? "bg-ink text-sheet" : ""}`}
                  aria-current={s.operation.id === step?.operation.id ? "step" : undefined}
                  onClick={() => {
                    setChosen(s.operation.id);
                    toMainKey();
                  }}
                >
                  <span className="num w-8 text-right text-note">{index + 1}</span>
                  <span className={s.state === "done" || s.operation.id === step?.operation.id ? "" : "font-semibold text-brass"}>
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
