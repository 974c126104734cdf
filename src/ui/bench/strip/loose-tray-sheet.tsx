"use client";
import { useState } from "react";
import { kindWords, type PartKind } from "@/core/anatomy/shapes";
import type { PartType } from "@/core/anatomy/types";
import { typicalShapes } from "@/core/anatomy/typical-shape";
import type { Action } from "@/ui/act/press";
import { useAct } from "@/ui/act/use-act";
import { type BenchHead, BenchSheet } from "@/ui/bench/bench-sheet";
import { PictureKey } from "@/ui/bench/picture-key";
import { Field, Refused } from "@/ui/controls/field";
import { Key, MainKey } from "@/ui/controls/keys";
import { NextLink } from "@/ui/controls/next-link";
import { Glyph } from "@/ui/glyphs/glyph";

interface Props {
  readonly head: BenchHead;
  readonly mayStrip: boolean;
  readonly parts: readonly { well: number; kind: PartKind; name: string; photoHash: string | null }[];
  readonly take: Action<{ well: number }>;
  readonly putBack: Action<void>;
  readonly name: Action<void>;
  readonly make: Action<{ modelId: string }>;
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

/** A reel no schematic knows: one press on a kind takes a part of that kind off; names, sizes and pictures as there is time. */
export function LooseTraySheet({ head, mayStrip, parts, take, putBack, name, make }: Props) {
  const taking = useAct(take);
  const undoing = useAct(putBack);
  const naming = useAct(name);
  const making = useAct(make);
  const [openWell, setOpenWell] = useState<number | null>(null);
  const shown = parts.find((part) => part.well === openWell) ?? parts.at(-1);
  const busy = taking.busy || undoing.busy || making.busy;
  return (
    <BenchSheet
      head={head}
      station="strip"
      act={
        mayStrip ? (
          <>
            <MainKey
              busy={busy}
              disabled={!parts.length || head.closed}
              words="Make the schematic"
              onPress={() => making.press({ jobId: head.jobId })}
            >
              {parts.length ? `Done: make a schematic of these ${parts.length}` : "Press the kind of the first part off"}
            </MainKey>
            <Key
              shortcut="u"
              words="Undo the last"
              disabled={!parts.length || head.closed}
              busy={busy}
              onPress={() => undoing.press({ jobId: head.jobId })}
            >
              Undo
            </Key>
          </>
        ) : (
          <NextLink href={`/bench/${head.tag}/quote`} words="Ask first: Quote" />
        )
      }
    >
      <Refused of={[taking, undoing, making]} />
      <div className="grid gap-6 lg:grid-cols-[1fr_380px_260px]">
        <div>
          <h2>No schematic: what came off?</h2>
          <div className="mt-2 grid max-h-[calc(100dvh-310px)] grid-cols-[repeat(auto-fill,minmax(92px,1fr))] gap-1 overflow-y-auto">
            {order.map((kind) => (
              <button
                key={kind}
                type="button"
                className="flex h-24 flex-col items-center justify-between border border-brass p-1 text-brass hover:border-ink hover:text-ink disabled:border-dashed"
                disabled={!mayStrip || busy || head.closed}
                onClick={() => taking.press({ jobId: head.jobId, kind })}
              >
                <Glyph type={typeOfKind(kind)} widthPx={80} heightPx={54} scale={2.2} />
                <span className="text-note leading-[14px] font-semibold">{kindWords[kind]}</span>
              </button>
            ))}
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
                  <Glyph type={typeOfKind(part.kind)} widthPx={74} heightPx={56} scale={2} />
                  <span className="line-clamp-2 text-note leading-[14px] text-brass">{part.name || kindWords[part.kind]}</span>
                </button>
              </li>
            ))}
          </ol>
          <p className="mt-2 text-note">Drawn dashed at typical sizes until measured.</p>
        </div>
        {shown && (
          <form
            key={shown.well}
            className="flex flex-col gap-3"
            onSubmit={(event) => {
              event.preventDefault();
              naming.press({ jobId: head.jobId, well: shown.well, name: new FormData(event.currentTarget).get("name") });
            }}
          >
            <h2>Well {shown.well}</h2>
            <Field label="Name (optional)" error={naming.fields.name ?? naming.message ?? undefined}>
              {(field) => <input {...field} name="name" defaultValue={shown.name} autoComplete="off" />}
            </Field>
            <button type="submit" className="key key-small" disabled={naming.busy || head.closed}>
              Save name
            </button>
            <PictureKey head={head} place={{ well: shown.well }} photoHash={shown.photoHash} />
          </form>
        )}
      </div>
    </BenchSheet>
  );
}
