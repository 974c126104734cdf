"use client";
import { useEffect, useRef, useState } from "react";
import { sizeWords } from "@/core/anatomy/shapes";
import type { Assembly, PartType, Position } from "@/core/anatomy/types";
import type { Action } from "@/ui/act/press";
import { useAct } from "@/ui/act/use-act";
import { Field, Refused } from "@/ui/controls/field";
import { Key, MainKey } from "@/ui/controls/keys";
import { Glyph } from "@/ui/glyphs/glyph";
import { type BenchHead, BenchSheet } from "./bench-sheet";
import { LessonForm } from "./lesson-form";
import { NextLink } from "./next-link";
import { PictureKey } from "./picture-key";

export interface ShownWell {
  readonly well: number;
  readonly positionId: string;
  readonly verdict: "ok" | "worn" | "replace" | "watch";
  readonly orientation: string;
  readonly note: string;
  readonly photoHash: string | null;
  readonly leftOutReason: string | null;
  readonly renewed: boolean;
  readonly refitted: boolean;
}

interface Props {
  readonly head: BenchHead;
  readonly mayStrip: boolean;
  readonly assemblies: readonly Assembly[];
  readonly positions: readonly Position[];
  readonly partTypes: Readonly<Record<string, PartType>>;
  readonly expected: readonly string[];
  readonly wells: readonly ShownWell[];
  readonly take: Action<{ well: number }>;
  readonly putBack: Action<{ positionId: string }>;
  readonly note: Action<void>;
  readonly learn: Action<{ number: number }>;
}

export const wellVerdictWords = { ok: "sound", worn: "worn, goes back", replace: "replace", watch: "watch next time" } as const;

/** Parts come off into numbered wells; the order in the tray is the way back. One press takes the next expected part. */
export function TraySheet({ head, mayStrip, assemblies, positions, partTypes, expected, wells, take, putBack, note, learn }: Props) {
  const byId = new Map(positions.map((position) => [position.id, position]));
  const [chosen, setChosen] = useState<string | null>(null);
  const [filter, setFilter] = useState("");
  const taking = useAct(take, () => setChosen(null));
  const undoing = useAct(putBack);
  const noting = useAct(note);
  const nextId = chosen && expected.includes(chosen) ? chosen : expected[0];
  const next = nextId ? byId.get(nextId) : undefined;
  const type = next ? partTypes[next.partTypeId] : undefined;
  const list = expected.filter((id) => (byId.get(id)?.name ?? "").toLowerCase().includes(filter.toLowerCase()));
  const [openWell, setOpenWell] = useState<string | null>(null);
  const shown = wells.find((well) => well.positionId === openWell) ?? wells.at(-1);

  const tray = useRef<HTMLOListElement>(null);
  const filled = wells.length;
  useEffect(() => {
    // The newest well is the one the hand has just filled.
    if (tray.current && filled) tray.current.scrollTop = tray.current.scrollHeight;
  }, [filled]);

  return (
    <BenchSheet
      head={head}
      station="strip"
      act={
        <>
          {next && mayStrip && !head.closed ? (
            <MainKey
              busy={taking.busy}
              words="Take off the next part"
              onPress={() => taking.press({ jobId: head.jobId, positionId: next.id })}
            >
              {next.name} into well {wells.length + 1}
            </MainKey>
          ) : (
            <NextLink href={`/bench/${head.tag}/${mayStrip ? "parts" : "quote"}`} words={mayStrip ? "On to Parts" : "Ask first: Quote"} />
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
      <Refused message={taking.message ?? undoing.message} />
      <div className={`grid gap-6 ${next ? "lg:grid-cols-[300px_1fr_300px]" : "lg:grid-cols-[1fr_300px]"}`}>
        <div className={next ? "" : "hidden"}>
          <h2>Comes off next</h2>
          {next && type && (
            <div className="mt-2 border-2 border-ink p-3">
              <div className="slides-in flex justify-center" key={next.id}>
                <Glyph type={type} turned={next.turned} widthPx={260} heightPx={130} scale={4} />
              </div>
              <p className="text-head font-semibold">{next.name}</p>
              <p className="num">{sizeWords(type.shape)}</p>
              {next.hole && <p>Hole: {next.hole}</p>}
              {next.orientation && <p>Lies: {next.orientation}</p>}
              {next.hides && <p>It clings or hides: look for it on the part above.</p>}
              {next.inPlace && <p>Served in place: it is not drawn here.</p>}
              {type.thread === "left" && <p className="font-semibold">Left-hand thread.</p>}
              {type.flies && !next.caution && (
                <p className="alarm mt-2">It flies when freed: glasses on. Makers and local rules stand above this.</p>
              )}
              {type.hazard && type.hazard !== next.caution && (
                <p className="alarm mt-2">{type.hazard} Makers and local rules stand above this.</p>
              )}
              {next.caution && <p className="alarm mt-2">{next.caution} Makers and local rules stand above this.</p>}
            </div>
          )}
          <label className="mt-3 block text-note" htmlFor="other-part">
            Another came off first? A few letters
          </label>
          <input id="other-part" value={filter} onChange={(event) => setFilter(event.target.value)} autoComplete="off" />
          <ul className="mt-1 max-h-72 overflow-auto">
            {list.map((id) => (
              <li key={id} className="rule-row">
                <button
                  type="button"
                  className="min-h-10 w-full text-left font-semibold text-brass aria-pressed:text-ink"
                  aria-pressed={id === nextId}
                  onClick={() => setChosen(id)}
                >
                  {byId.get(id)?.name}
                </button>
              </li>
            ))}
          </ul>
        </div>
        <div>
          <h2>Tray</h2>
          {!wells.length && <p>Empty. The first part goes into well 1.</p>}
          <ol
            ref={tray}
            className="mt-2 grid max-h-[calc(100dvh-300px)] min-h-40 grid-cols-[repeat(auto-fill,minmax(96px,1fr))] overflow-y-auto border-t border-l border-ink"
          >
            {wells.map((well) => {
              const position = byId.get(well.positionId)!;
              return (
                <li key={well.positionId} className="border-r border-b border-ink">
                  <button
                    type="button"
                    className={`relative flex h-[104px] w-full flex-col items-center justify-between p-1 ${shown?.positionId === well.positionId ? "outline-2 -outline-offset-2 outline-ink" : ""}`}
                    aria-pressed={shown?.positionId === well.positionId}
                    onClick={() => setOpenWell(well.positionId)}
                  >
                    <span className="num absolute top-0.5 left-1 text-note">{well.well}</span>
                    {well.photoHash && <span className="absolute top-0.5 right-1 text-note">pic</span>}
                    {well.refitted ? (
                      <span className="flex h-16 w-full items-center justify-center border border-dashed border-ink text-note">empty</span>
                    ) : (
                      <Glyph type={partTypes[position.partTypeId]!} turned={position.turned} widthPx={84} heightPx={62} scale={2.4} />
                    )}
                    <span className="line-clamp-2 text-note leading-[14px] text-brass">
                      {position.name}
                      {well.renewed ? " · new" : well.verdict !== "ok" ? ` · ${wellVerdictWords[well.verdict]}` : ""}
                    </span>
                  </button>
                </li>
              );
            })}
          </ol>
        </div>
        {shown && (
          <div key={shown.positionId} className="flex flex-col gap-3">
            <form
              className="flex flex-col gap-3"
              onSubmit={(event) => {
                event.preventDefault();
                const data = new FormData(event.currentTarget);
                noting.press({
                  jobId: head.jobId,
                  positionId: shown.positionId,
                  verdict: data.get("verdict"),
                  orientation: data.get("orientation"),
                  note: data.get("note"),
                });
              }}
            >
              <h2>
                Well {shown.well}: {byId.get(shown.positionId)?.name}
              </h2>
              <p className="text-note">{assemblies.find((assembly) => assembly.id === byId.get(shown.positionId)?.assemblyId)?.name}</p>
              <fieldset className="flex flex-wrap gap-1">
                <legend className="text-note font-normal">Looked at, it is</legend>
                {Object.entries(wellVerdictWords).map(([id, words]) => (
                  <label
                    key={id}
                    className="flex min-h-10 cursor-pointer items-center gap-2 border border-brass px-2 font-semibold text-brass has-checked:bg-brass has-checked:text-sheet has-focus-visible:outline-3 has-focus-visible:outline-ink"
                  >
                    <input
                      type="radio"
                      name="verdict"
                      value={id}
                      defaultChecked={shown.verdict === id}
                      className="h-4 min-h-0 w-4 accent-ink"
                    />
                    {words}
                  </label>
                ))}
              </fieldset>
              <Field label="How it lay" error={noting.fields.orientation}>
                {(field) => <input {...field} name="orientation" defaultValue={shown.orientation} autoComplete="off" />}
              </Field>
              <Field label="Note" error={noting.fields.note}>
                {(field) => <input {...field} name="note" defaultValue={shown.note} autoComplete="off" />}
              </Field>
              <button type="submit" className="key" disabled={noting.busy || head.closed}>
                Keep
              </button>
              <Refused message={Object.keys(noting.fields).length ? null : noting.message} />
              <PictureKey head={head} place={{ positionId: shown.positionId }} photoHash={shown.photoHash} />
            </form>
            <LessonForm head={head} position={byId.get(shown.positionId)!} learn={learn} />
          </div>
        )}
      </div>
    </BenchSheet>
  );
}
