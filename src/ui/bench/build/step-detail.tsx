import Link from "next/link";
import { sizeWords } from "@/core/anatomy/shapes";
import { isLeftHand, threadOf } from "@/core/anatomy/thread";
import type { PartType } from "@/core/anatomy/types";
import { judgeProduct } from "@/core/lubrication/judge-product";
import { buildCautions } from "@/core/safety/act-cautions";
import { seenValue } from "@/core/seen/seen";
import type { Feel } from "@/core/teardown/feel";
import type { LikelyTrap } from "@/core/teardown/likely-traps";
import type { RingScrew } from "@/core/teardown/screw-ring";
import type { StepAtBuild } from "@/core/teardown/step";
import { nothingFound, wayRound } from "@/core/teardown/way-round";
import { cleanOutcomes } from "@/core/vocabulary/clean-outcomes";
import type { BenchHead } from "@/ui/bench/bench-sheet";
import { Cautions } from "@/ui/bench/cautions";
import { ActForm, FormSend, FormText } from "@/ui/controls/form";
import { ActLesson } from "./act-lesson";
import { FeelChoice } from "./feel-choice";
import { GateTraps } from "./gate-traps";
import { ProductChoice } from "./product-choice";
import { ScrewRingView } from "./screw-ring-view";

interface Props {
  readonly head: BenchHead;
  readonly step: StepAtBuild;
  readonly type: PartType | null;
  readonly ring: readonly RingScrew[];
  /** Oil is warmed into spool bearings here. */
  readonly warmed: boolean;
  /** Where to look for the check that failed, likeliest first. */
  readonly traps: readonly LikelyTrap[];
  readonly busy: boolean;
  readonly noted: string;
  /** Something still to come stands on this step. */
  readonly covered: boolean;
  readonly onOpen: (operationId: string) => void;
  /** A new piece is asked for at its seat. */
  readonly wanted: boolean;
  readonly onOutcome: (told: { product?: string | null; onPurpose?: boolean; feel?: Feel | null }) => void;
}

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

const ruledByWords = {
  safety: "safety first",
  part: "because of what the part is",
  job: "a note on this job",
  customer: "the customer's wish",
  shop: "the shop's way",
} as const;

/** All that is known of one step: how the part lies, where it goes, what goes on it, what goes wrong here; of a check where to look when it fails. */
export function StepDetail({ head, step, type, ring, warmed, traps, busy, noted, covered, onOpen, wanted, onOutcome }: Props) {
  const isGate = step.operation.kind === "gate";
  const way = wayRound(step.position ?? {}, step.well ?? nothingFound);
  const { outcome } = step;
  const goesOn = outcome.product ?? step.lubricant?.product ?? "nothing";
  const doubt = type ? judgeProduct(type, goesOn) : null;
  return (
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
            {step.well.verdict === "replace" &&
              !step.well.renewed &&
              (step.well.declined
                ? ": the customer declined a new one, the old one goes back"
                : ": to be replaced, the new piece is not here yet")}
          </p>
        )}
        {step.state === "skipped" && (step.well?.leftOutReason || step.note) && (
          <p className="mt-1 font-semibold">Left off: {step.well?.leftOutReason || step.note}. Press Done to fit it after all.</p>
        )}
        {isGate && step.state !== "failed" && <p className="mt-1">Test it now{covered && ": what comes next covers it"}.</p>}
        {isGate && step.state === "failed" && <GateTraps traps={traps} busy={busy} onOpen={onOpen} />}
        <Cautions
          said={buildCautions(
            [{ operation: step.operation, position: step.position, type, product: step.lubricant?.product ?? null }],
            warmed,
          )}
        />
        {type && step.position && step.operation.kind === "place" && !head.closed && (
          <FeelChoice
            jobId={head.jobId}
            positionId={step.position.id}
            name={step.position.name}
            type={type}
            feel={outcome.feel}
            wanted={wanted}
            onFeel={(feel) => onOutcome({ feel })}
          />
        )}
        {outcome.clean && <p className="mt-1 font-semibold">{cleanOutcomes[outcome.clean].name}.</p>}
        {noted && <p className="mt-1 font-semibold">Noted: {noted}</p>}
        {!head.closed && (
          <details className="mt-2" key={`noted ${step.operation.id}`}>
            <summary className="act-link min-h-10">Measurement, repeats, amount</summary>
            <ActForm
              act="step-noted"
              label="Measurement, repeats, amount"
              className="flex items-end gap-2"
              keepsTyped
              values={{ words: noted }}
              seen={{ seen: seenValue(noted) }}
              also={{ jobId: head.jobId, operationId: step.operation.id }}
            >
              <FormText
                name="words"
                label="As you would write it"
                hint="0.12 mm shim; pressed twice; three drops. It is printed in the report."
                className="flex-1"
              />
              <FormSend whenChanged>Save note</FormSend>
            </ActForm>
          </details>
        )}
        {!head.closed && <ActLesson key={step.operation.id} jobId={head.jobId} operationId={step.operation.id} />}
      </div>
      {step.position && step.operation.kind === "place" && (
        <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 self-start">
          {(way.goesBack || way.lay || way.turnedOver) && (
            <>
              <dt className="text-note">Orientation</dt>
              <dd>
                <strong>{way.goesBack || "as drawn"}</strong>
                {way.turnedOver && <span className="block font-semibold">It was upside down when it came off: fit it as drawn.</span>}
                {way.lay && <span className="block text-note">It was “{way.lay}” when it came off.</span>}
              </dd>
            </>
          )}
          {isLeftHand(type) && (
            <>
              <dt className="text-note">Thread</dt>
              <dd className="font-semibold">left-hand: tighten anticlockwise</dd>
            </>
          )}
          {step.well?.thread && step.well.thread !== threadOf(type) && (
            <>
              <dt className="text-note">Thread as found</dt>
              <dd className="font-semibold">{step.well.thread}-hand on this reel</dd>
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
                {step.position.startOrder && `, start as number ${step.position.startOrder}`}
                {step.position.indexDeg && `, catches every ${step.position.indexDeg}°`}
                {step.position.stripsEasily && <strong>, strips easily</strong>}
              </dd>
            </>
          )}
          <dt className="text-note">Lubricant</dt>
          <dd>
            {outcome.product !== null && (
              <strong className="block">{outcome.product === "nothing" ? "Left dry" : `${capital(outcome.product)} went on`}, not:</strong>
            )}
            {step.lubricant ? `${step.lubricant.product}, ${step.lubricant.amount}: ${step.lubricant.why}` : "none"}
            {step.lubricant && step.lubricant.ruledBy !== "model" && (
              <span className="text-note"> ({ruledByWords[step.lubricant.ruledBy]})</span>
            )}
            {step.lubricant?.overruled && <span className="block text-note">Not {step.lubricant.overruled}.</span>}
            {doubt && <span className="block border-l-4 border-ink pl-2 font-semibold">{doubt}</span>}
            {type && !head.closed && (
              <ProductChoice
                key={step.operation.id}
                name={step.position.name}
                type={type}
                ruled={step.lubricant?.product ?? "nothing"}
                instead={outcome.product}
                onChoose={(product, onPurpose) => onOutcome({ product, onPurpose })}
              />
            )}
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
  );
}
