"use client";
import { useMemo, useState } from "react";
import { sizeWords } from "@/core/anatomy/shapes";
import type { Assembly, PartType, Position } from "@/core/anatomy/types";
import { cautionsAt } from "@/core/safety/cautions";
import { assemblyPlates } from "@/core/schematic/assembly-plate";
import type { Well } from "@/core/teardown/well";
import type { Choice } from "@/core/ways/ways";
import type { Action } from "@/ui/act/press";
import { useAct } from "@/ui/act/use-act";
import { type BenchHead, BenchSheet } from "@/ui/bench/bench-sheet";
import { Cautions } from "@/ui/bench/cautions";
import { PictureKey } from "@/ui/bench/picture-key";
import { Refused } from "@/ui/controls/field";
import { Key, MainKey, toMainKey } from "@/ui/controls/keys";
import { NextLink } from "@/ui/controls/next-link";
import { Glyph } from "@/ui/glyphs/glyph";
import { PlateView } from "@/ui/glyphs/plate";
import { LessonForm } from "./lesson-form";
import { StuckPanel } from "./stuck-panel";
import { TrayWells } from "./tray-wells";
import { WellForm } from "./well-form";

interface Props {
  readonly head: BenchHead;
  readonly mayStrip: boolean;
  readonly assemblies: Assembly[];
  readonly positions: Position[];
  readonly partTypes: Readonly<Record<string, PartType>>;
  readonly expected: readonly string[];
  /** What comes off in one pull with the next part, that part first. */
  readonly pull: readonly string[];
  readonly laying: Choice<"layingOut">;
  /** Why some of the reel stays together; empty when all of it comes apart. */
  readonly stays: string;
  readonly inPlace: readonly { readonly positionId: string; readonly reason: string }[];
  readonly wells: readonly Well[];
  readonly take: Action<{ well: number }>;
  readonly putBack: Action<{ positionId: string }>;
  readonly serve: Action<void>;
  readonly note: Action<{ words: string }>;
  readonly learn: Action<{ number: number }>;
}

/** Parts come off into numbered wells; the order in the tray is the way back. One press takes the next expected part, another the whole stack. */
export function TraySheet({
  head,
  mayStrip,
  assemblies,
  positions,
  partTypes,
  expected,
  pull,
  laying,
  stays,
  inPlace,
  wells,
  take,
  putBack,
  serve,
  note,
  learn,
}: Props) {
  const byId = new Map(positions.map((position) => [position.id, position]));
  const [chosen, setChosen] = useState<string | null>(null);
  const [filter, setFilter] = useState("");
  const [stuck, setStuck] = useState(false);
  const settle = () => {
    setChosen(null);
    setStuck(false);
  };
  const taking = useAct(take, settle);
  const undoing = useAct(putBack);
  const nextId = chosen && expected.includes(chosen) ? chosen : expected[0];
  const next = nextId ? byId.get(nextId) : undefined;
  const type = next ? partTypes[next.partTypeId] : undefined;
  const list = expected.filter((id) => (byId.get(id)?.name ?? "").toLowerCase().includes(filter.toLowerCase()));
  const [openWell, setOpenWell] = useState<string | null>(null);
  const shown = wells.find((well) => well.positionId === openWell) ?? wells.at(-1);
  const shownSeat = shown && byId.get(shown.positionId);
  const plate = useMemo(() => {
    if (!next) return null;
    const all = assemblyPlates(
      { assemblies, positions, operations: [], editions: [], gearPairs: [] },
      new Map(Object.entries(partTypes)),
      next.assemblyId,
    );
    return all.find(({ callouts }) => callouts.some(({ positionIds }) => positionIds.includes(next.id))) ?? null;
  }, [assemblies, positions, partTypes, next]);
  const mayTake = next && mayStrip && !head.closed;
  const stack = nextId === pull[0] && pull.length > 1 ? pull : [];
  const holders = next
    ? positions
        .filter(({ id, restsOn }) => expected.includes(id) && (next.heldBy.includes(id) || restsOn.includes(next.id)))
        .map(({ name }) => name)
    : [];

  return (
    <BenchSheet
      head={head}
      station="strip"
      act={
        <>
          {mayTake ? (
            <MainKey
              busy={taking.busy}
              words="Take off next part"
              onPress={() => taking.press({ jobId: head.jobId, positionIds: [next.id] })}
            >
              {next.name} into well {wells.length + 1}
            </MainKey>
          ) : (
            <NextLink href={`/bench/${head.tag}/${mayStrip ? "clean" : "quote"}`} words={mayStrip ? "On to Clean" : "Ask first: Quote"} />
          )}
          {mayTake && stack.length > 0 && (
            <Key
              shortcut="g"
              words="The stack in one pull"
              busy={taking.busy}
              onPress={() => taking.press({ jobId: head.jobId, positionIds: stack })}
            >
              {stack.length} in one pull
            </Key>
          )}
          {mayTake && (
            <Key shortcut="n" words="Stuck" pressed={stuck} onPress={() => setStuck(!stuck)}>
              Stuck
            </Key>
          )}
          {wells.length > 0 && !head.closed && (
            <PictureKey head={head} place={{ positionId: wells.at(-1)!.positionId }} photoHash={null} words="Picture" edge />
          )}
          <Key
            shortcut="u"
            words="Undo the last"
            disabled={!wells.length || head.closed}
            busy={undoing.busy}
            onPress={() => undoing.press({ jobId: head.jobId })}
          >
            Undo
          </Key>
        </>
      }
    >
      <Refused of={[taking, undoing]} />
      <div className={`grid gap-6 ${next ? "lg:grid-cols-[300px_1fr_300px]" : "lg:grid-cols-[1fr_300px]"}`}>
        <div className={next ? "" : "hidden"}>
          <h2>Comes off next</h2>
          {next && type && (
            <div className="mt-2 border-2 border-ink p-3">
              <div className="slides-in flex justify-center" key={next.id}>
                <Glyph type={type} turned={next.turned} widthPx={260} heightPx={110} scale={4} />
              </div>
              <p className="text-head font-semibold">{next.name}</p>
              <p className="num">{sizeWords(type.shape)}</p>
              {next.hole && <p>Hole: {next.hole}</p>}
              {next.orientation && <p>Orientation: {next.orientation}</p>}
              {next.hides && <p>It clings or hides: look on the part above.</p>}
              {next.inPlace && <p>Usually served in place: press “Stuck”.</p>}
              {type.thread === "left" && <p className="font-semibold">Left-hand thread.</p>}
              <Cautions said={cautionsAt({ at: "strip", position: next, type, electric: head.electric })} />
              {stuck && (
                <StuckPanel
                  key={next.id}
                  jobId={head.jobId}
                  position={next}
                  type={type}
                  holders={holders}
                  serve={serve}
                  onDone={() => setStuck(false)}
                />
              )}
            </div>
          )}
          <label className="mt-3 block text-note" htmlFor="other-part">
            Something else came off? Type a few letters
          </label>
          <input id="other-part" value={filter} onChange={(event) => setFilter(event.target.value)} autoComplete="off" />
          <ul className="mt-1 max-h-60 overflow-auto">
            {list.map((id) => (
              <li key={id} className="rule-row">
                <button
                  type="button"
                  className="min-h-10 w-full text-left font-semibold text-brass aria-pressed:text-ink"
                  aria-pressed={id === nextId}
                  onClick={() => {
                    setChosen(id);
                    toMainKey();
                  }}
                >
                  {byId.get(id)?.name}
                </button>
              </li>
            ))}
          </ul>
        </div>
        <div>
          <h2>Tray</h2>
          {stays && <p>Not all of it comes apart: {stays}.</p>}
          {inPlace.length > 0 && (
            <p>Served in place: {inPlace.map(({ positionId, reason }) => `${byId.get(positionId)?.name} (${reason})`).join(", ")}.</p>
          )}
          {next && plate && (
            <details className="mb-2">
              <summary className="act-link min-h-10">Find it on the plate: {plate.name}</summary>
              <div className="h-56 border border-ink p-1">
                <PlateView
                  plate={plate}
                  title={`What comes off, on the plate: ${plate.name}`}
                  names={Object.fromEntries(positions.map(({ id, name }) => [id, name]))}
                  states={Object.fromEntries(wells.map(({ positionId, well }) => [positionId, `in well ${well}`]))}
                  pickedPositionId={next.id}
                  onPick={(id) => {
                    if (expected.includes(id)) setChosen(id);
                  }}
                />
              </div>
            </details>
          )}
          {!wells.length && <p>Empty. The first part goes in well 1.</p>}
          <TrayWells
            wells={wells}
            positions={byId}
            partTypes={partTypes}
            assemblies={assemblies}
            laying={laying}
            shownId={shown?.positionId ?? null}
            onShow={setOpenWell}
          />
        </div>
        {shown && shownSeat && (
          <div key={shown.positionId} className="flex flex-col gap-3">
            <WellForm head={head} shown={shown} position={shownSeat} type={partTypes[shownSeat.partTypeId]!} note={note} at="strip" />
            <PictureKey head={head} place={{ positionId: shown.positionId }} photoHash={shown.photoHash} />
            <details>
              <summary className="act-link min-h-10">Note for this model</summary>
              <LessonForm head={head} position={shownSeat} learn={learn} />
            </details>
          </div>
        )}
      </div>
    </BenchSheet>
  );
}
