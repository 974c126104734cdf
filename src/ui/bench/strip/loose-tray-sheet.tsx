"use client";
import Link from "next/link";
import { type ReactNode, useMemo, useState } from "react";
import { type LoosePart, looseBoard } from "@/core/acts/strip/loose-board";
import { kindWords, type PartKind } from "@/core/anatomy/shapes";
import type { Assembly, PartType } from "@/core/anatomy/types";
import { typicalShapes } from "@/core/anatomy/typical-shape";
import { type ExpectedPiece, usualCount } from "@/core/families/expected-pieces";
import { seatsLeft } from "@/core/families/loose-tray";
import { cautionsAt } from "@/core/safety/cautions";
import { seenValue } from "@/core/seen/seen";
import { useBoard } from "@/ui/act/queue-provider";
import { useAct } from "@/ui/act/use-act";
import { type BenchHead, BenchSheet } from "@/ui/bench/bench-sheet";
import { Cautions } from "@/ui/bench/cautions";
import { PictureKey } from "@/ui/bench/picture-key";
import { Field } from "@/ui/controls/field";
import { keepsTyped } from "@/ui/controls/keeps-typed";
import { Key, MainKey } from "@/ui/controls/keys";
import { NextLink } from "@/ui/controls/next-link";
import { Refused } from "@/ui/controls/refused";
import { Glyph } from "@/ui/glyphs/glyph";

type Side = Assembly["side"];

interface Props {
  readonly head: BenchHead;
  readonly mayStrip: boolean;
  readonly parts: readonly LoosePart[];
  /** Pieces such a reel usually has. */
  readonly pieces: readonly ExpectedPiece[];
  /** What the counter saw was missing. */
  readonly toldMissing: string | null;
  /** How such a reel is built, to be said as far as it is seen. */
  readonly built?: ReactNode;
  /** A later half: the schematic of the first is there. */
  readonly later?: boolean;
}

/** The kinds met oftenest first, so that most presses need no scrolling. */
// biome-ignore format: rows as they stand on the screen
const order: readonly PartKind[] = [
  "screw", "washer", "friction-washer", "keyed-washer", "eared-washer", "cupped-washer", "clip", "nut", "coil-spring", "wire-spring", "bearing", "sleeve", "pin", "shaft", "gear", "pinion",
  "ratchet", "dog", "plate", "spool", "handle", "knob", "star", "lever", "cap", "button", "tongue", "yoke", "jack", "eccentric", "bridge", "frame", "foot", "body", "cover", "o-ring", "lip-seal",
  "wave-spring", "roller-clutch", "rotor", "bail", "roller", "cam", "cone", "drum", "worm", "pawl", "line-guide", "slider", "magnet", "block",
];

const typeOfKind = (kind: PartKind): PartType => ({
  id: kind,
  number: "-",
  name: kindWords[kind],
  role: kind,
  shape: typicalShapes[kind],
  material: "",
  priceMinor: 0,
});

const typeOf = new Map(order.map((kind) => [kind, typeOfKind(kind)]));
const sideWords: Readonly<Record<Side, string>> = { handle: "handle side", tail: "tail side", frame: "frame" };
const counts = [1, 2, 3, 4, 5, 6, 8];

interface LastTake {
  readonly kind: PartKind;
  readonly pieceId: string | null;
  readonly words: string;
}

/**
 * A reel no drawing knows: its family's usual pieces first, then any other kind; one press takes as many as the hand took, with their side. The
 * space bar takes another like the last and never ends the teardown.
 */
export function LooseTraySheet({ head, mayStrip, parts: known, pieces, toldMissing, built, later = false }: Props) {
  const apply = useMemo(() => looseBoard(pieces), [pieces]);
  const { state: parts, press } = useBoard(head.tag, head.revision, known, apply);
  const expected = pieces.map((piece) => {
    const left = seatsLeft(piece, parts).length;
    return { ...piece, left, takes: usualCount(piece, left) };
  });
  const [count, setCount] = useState<number | null>(null);
  const [side, setSide] = useState<Side | null>(null);
  const [last, setLast] = useState<LastTake | null>(null);
  const naming = useAct("loose-name");
  const serving = useAct("loose-in-place");
  const making = useAct("make-schematic");
  const [openWell, setOpenWell] = useState<number | null>(null);
  const shown = parts.find((part) => part.well === openWell) ?? parts.at(-1);
  const busy = making.busy;
  const off = !mayStrip || busy || head.closed;
  const lastWell = parts.at(-1)?.well ?? 0;
  const takeOff = (what: LastTake) => {
    // The well is for the page alone: which press it shows already.
    const input = { jobId: head.jobId, kind: what.kind, pieceId: what.pieceId, count, side, well: lastWell + 1 };
    if (!press("loose-take", input, `${what.words} off`)) return;
    setLast(what);
    setOpenWell(null);
    setCount(null);
  };
  const next = expected.find(({ left }) => left > 0);
  const again = last?.pieceId && !expected.some(({ id, left }) => id === last.pieceId && left > 0) ? null : last;
  const main = again ?? (next ? { kind: next.kind, pieceId: next.id, words: next.name } : null);
  const missing = expected.filter(({ left }) => left > 0);
  return (
    <BenchSheet
      head={head}
      station="strip"
      act={
        mayStrip ? (
          <>
            {main && (
              <MainKey busy={busy} disabled={head.closed} words="Another like the last" onPress={() => takeOff(main)}>
                {again ? `Another: ${main.words}` : `${main.words} off`}
              </MainKey>
            )}
            <Key
              shortcut="m"
              words="Make the schematic"
              busy={busy}
              disabled={!parts.length || head.closed}
              onPress={() => making.press({ jobId: head.jobId })}
            >
              {parts.length
                ? later
                  ? `Done: add these ${parts.length} to the schematic`
                  : `Done: make a schematic of these ${parts.length}`
                : "Nothing off yet"}
            </Key>
            <Key
              shortcut="u"
              words="Undo the last"
              disabled={!parts.length || head.closed}
              busy={busy}
              onPress={() => press("loose-put-back", { jobId: head.jobId, well: lastWell }, "Undo of the last")}
            >
              Undo
            </Key>
          </>
        ) : (
          <NextLink href={`/bench/${head.tag}/quote`} words="Ask first: Quote" />
        )
      }
    >
      <Refused of={[making, serving]} />
      <div className="grid gap-6 lg:grid-cols-[1fr_380px_260px]">
        <div className="min-w-0">
          <h2>{later ? "Not in the schematic yet: what came off?" : "No schematic: what came off?"}</h2>
          {later && (
            <Link className="act-link inline-flex min-h-10 items-center" href={`/bench/${head.tag}/strip`}>
              Back to the schematic
            </Link>
          )}
          {toldMissing && <p className="border-l-4 border-ink pl-2 font-semibold">{toldMissing}</p>}
          <div className="mt-1 flex flex-wrap items-center gap-x-4 gap-y-1">
            <Pick legend="How many" options={counts.map((n) => [n, String(n)] as const)} chosen={count} onChoose={setCount} />
            <Pick
              legend="From which side"
              options={Object.entries(sideWords).map(([id, words]) => [id as Side, words] as const)}
              chosen={side}
              onChoose={setSide}
            />
          </div>
          {built}
          <div className="mt-2 max-h-[calc(100dvh-370px)] overflow-y-auto">
            <h3>Usual parts of this type of reel</h3>
            <ul className="grid grid-cols-[repeat(auto-fill,minmax(150px,1fr))] gap-1">
              {expected.map((piece) => (
                <li key={piece.id}>
                  <button
                    type="button"
                    className="flex min-h-12 w-full items-center gap-2 border border-brass p-1 text-left text-brass hover:border-ink hover:text-ink disabled:border-dashed"
                    disabled={off}
                    onClick={() => takeOff({ kind: piece.kind, pieceId: piece.id, words: piece.name })}
                  >
                    <Glyph type={typeOf.get(piece.kind)!} widthPx={40} heightPx={34} scale={1.2} />
                    <span className={`text-note leading-[14px] ${piece.left ? "font-semibold" : "line-through"}`}>
                      {piece.name}
                      {piece.left > 1 && (
                        <span className="num">
                          {" "}
                          ×{count ?? piece.takes}
                          {(count ?? piece.takes) < piece.left && ` of ${piece.left}`}
                        </span>
                      )}
                    </span>
                  </button>
                </li>
              ))}
            </ul>
            <h3 className="mt-3">Something else</h3>
            <div className="grid grid-cols-[repeat(auto-fill,minmax(92px,1fr))] gap-1">
              {order.map((kind) => (
                <button
                  key={kind}
                  type="button"
                  className="flex h-24 flex-col items-center justify-between border border-brass p-1 text-brass hover:border-ink hover:text-ink disabled:border-dashed"
                  disabled={off}
                  onClick={() => takeOff({ kind, pieceId: null, words: kindWords[kind] })}
                >
                  <Glyph type={typeOf.get(kind)!} widthPx={80} heightPx={54} scale={2.2} />
                  <span className="text-note leading-[14px] font-semibold">{kindWords[kind]}</span>
                </button>
              ))}
            </div>
          </div>
        </div>
        <div>
          <h2>Tray</h2>
          <ol className="mt-2 grid max-h-[calc(100dvh-310px)] grid-cols-4 overflow-y-auto border-t border-l border-ink">
            {parts.map((part) => (
              <li key={part.well} className="border-r border-b border-dashed border-ink">
                <button
                  type="button"
                  className={`relative flex h-24 w-full flex-col items-center justify-between p-1 ${shown?.well === part.well ? "outline-2 -outline-offset-2 outline-ink" : ""}`}
                  aria-pressed={shown?.well === part.well}
                  onClick={() => setOpenWell(part.well)}
                >
                  <span className="num absolute top-0.5 left-1 text-note">{part.well}</span>
                  {part.inPlace === null ? (
                    <Glyph type={typeOf.get(part.kind)!} widthPx={74} heightPx={56} scale={2} />
                  ) : (
                    <span className="flex h-14 items-center text-note">stays in</span>
                  )}
                  <span className="line-clamp-2 text-note leading-[14px] text-brass">{part.label}</span>
                </button>
              </li>
            ))}
          </ol>
          <p className="mt-2 text-note">Dashed = typical size, not measured yet.</p>
          {parts.length > 0 && missing.length > 0 && (
            <details>
              <summary className="act-link min-h-10">Not off yet (usual in this type): {missing.length}</summary>
              <p>{missing.map(({ name: piece, left }) => (left > 1 ? `${piece} ×${left}` : piece)).join(", ")}</p>
            </details>
          )}
        </div>
        {shown && (
          <form
            key={shown.well}
            className="flex flex-col gap-3"
            onBlur={keepsTyped}
            onSubmit={(event) => {
              event.preventDefault();
              naming.press({
                jobId: head.jobId,
                well: shown.well,
                name: String(new FormData(event.currentTarget).get("name") ?? ""),
                seen: seenValue(shown.name),
              });
            }}
          >
            <h2>Well {shown.well}</h2>
            {shown.side && <p className="text-note">{sideWords[shown.side]}</p>}
            <Cautions said={cautionsAt({ at: "strip", position: {}, type: typeOf.get(shown.kind)!, electric: head.electric })} />
            <Field label="Name (optional)" error={naming.fields.name ?? naming.message ?? undefined}>
              {(field) => <input {...field} name="name" defaultValue={shown.name} autoComplete="off" />}
            </Field>
            <button type="submit" className="key key-small" disabled={naming.busy || head.closed}>
              Save name
            </button>
            <button
              type="button"
              className="act-link min-h-10 text-left"
              aria-pressed={shown.inPlace !== null}
              disabled={serving.busy || head.closed}
              onClick={() => serving.press({ jobId: head.jobId, well: shown.well, reason: shown.inPlace === null ? "stays in" : null })}
            >
              {shown.inPlace === null ? "Stays in, serviced in place" : "It came out after all"}
            </button>
            <PictureKey head={head} place={{ well: shown.well }} photoHash={shown.photoHash} />
          </form>
        )}
      </div>
    </BenchSheet>
  );
}

/** One of a few, or none: pressed again it is taken back. */
function Pick<T extends string | number>({
  legend,
  options,
  chosen,
  onChoose,
}: {
  readonly legend: string;
  readonly options: readonly (readonly [T, string])[];
  readonly chosen: T | null;
  readonly onChoose: (choice: T | null) => void;
}) {
  return (
    <fieldset className="flex items-center gap-1">
      <legend className="float-left mr-2 text-note font-normal">{legend}</legend>
      {options.map(([id, words]) => (
        <button
          key={id}
          type="button"
          className="min-h-10 min-w-10 border border-brass px-2 font-semibold text-brass aria-pressed:bg-brass aria-pressed:text-sheet"
          aria-pressed={chosen === id}
          onClick={() => onChoose(chosen === id ? null : id)}
        >
          {words}
        </button>
      ))}
    </fieldset>
  );
}
