"use client";
import { useEffect, useState } from "react";
import { walkBoard } from "@/core/acts/stores/board";
import type { PartType } from "@/core/anatomy/types";
import { partOfBinLabel } from "@/core/ordering/bin-label";
import { type CountWhy, countWhy, countWhyIds } from "@/core/ordering/count-why";
import { useBoard } from "@/ui/act/queue-provider";
import { Key, MainKey } from "@/ui/controls/keys";
import { QueueLine } from "@/ui/controls/queue-line";
import { Glyph } from "@/ui/glyphs/glyph";
import { useScan } from "@/ui/keys/keys";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";
import { StoresPages } from "./stores-pages";

interface Props {
  readonly bins: readonly {
    readonly bin: string;
    readonly type: PartType;
    readonly count: number;
    readonly keptAside: number;
    readonly counted: string | null;
    readonly countedAt: string | null;
  }[];
  /** The part number whose label was scanned elsewhere. */
  readonly begin: string | null;
  /** How far the data of this page has come. */
  readonly revision: number;
}

type Bins = Props["bins"];
const onBins = walkBoard<Bins[number]>();

/** A walk along the bins: scan a label or go on to the next, count, and say by one press that the book is right, or what lies there. */
export function WalkSheet({ bins: known, begin, revision }: Props) {
  const { state: bins, press, stopped } = useBoard("walk", revision, known, onBins);
  const at = (number: string | null) => bins.findIndex(({ type }) => type.number.toUpperCase() === number?.toUpperCase());
  const [here, setHere] = useState(() => Math.max(0, at(begin)));
  const [seen, setSeen] = useState<number | null>(null);
  const [why, setWhy] = useState<CountWhy | null>(null);
  const [note, setNote] = useState("");
  /** Counted on this walk, by part: what differs from the book, in words; empty where it is right. */
  const [done, setDone] = useState<ReadonlyMap<string, string>>(new Map());
  const go = (to: number) => {
    setHere((to + bins.length) % bins.length);
    setSeen(null);
    setWhy(null);
  };
  // A label read by the camera comes as an address.
  const [from, setFrom] = useState(begin);
  if (from !== begin) {
    setFrom(begin);
    if (at(begin) >= 0) go(at(begin));
  }
  useScan((text) => {
    const number = partOfBinLabel(text);
    if (number === null) return false;
    const to = at(number);
    setNote(to < 0 ? `${number} has no bin here. Give it one at Bins.` : "");
    if (to >= 0) go(to);
    return true;
  });
  // Refused, it is not counted: the walk's list says so as well.
  useEffect(() => {
    const refused = (stopped?.notDone ?? []).filter(({ about }) => about === "walk");
    const parts = new Set(refused.map(({ input }) => (input as { readonly partTypeId: string }).partTypeId));
    if (parts.size) setDone((before) => new Map([...before].filter(([part]) => !parts.has(part))));
  }, [stopped]);
  const differences = [...done.values()].filter(Boolean);
  const bin = bins[here];
  if (!bin)
    return (
      <Sheet fill>
        <StoresPages here="Count" />
        <p className="mt-3">No bin yet. Add the first one at Bins.</p>
      </Sheet>
    );
  const { type } = bin;
  const says = seen ?? bin.count;
  const keep = () => {
    const spoken = `${bin.bin} ${type.number}: ${says}`;
    const right = says === bin.count;
    if (!press("count-bin", { partTypeId: type.id, count: says, why: right ? null : why }, spoken)) return;
    setDone(
      (done) => new Map([...done, [type.id, right ? "" : `${spoken}, the record said ${bin.count}${why ? `, ${countWhy[why]}` : ""}`]]),
    );
    go(here + 1);
  };
  return (
    <Sheet
      fill
      act={
        <>
          <Key label="Bin before" onPress={() => go(here - 1)}>
            Bin before
          </Key>
          <MainKey onPress={keep}>{says === bin.count ? `${says} it is` : `Count is ${says}`}</MainKey>
          <Key label="Next bin, not counted" onPress={() => go(here + 1)}>
            Next bin
          </Key>
        </>
      }
      block={<CornerBlock cells={[{ label: "Counted", value: `${done.size} of ${bins.length}`, large: true }]} />}
    >
      <StoresPages here="Count" />
      <QueueLine />
      <div className="mt-3 flex flex-wrap items-center gap-6">
        <span className="num text-measure">{bin.bin}</span>
        <Glyph type={type} widthPx={150} heightPx={110} />
        <div>
          <p className="text-head">
            <span className="num">{type.number}</span> {type.name}
          </p>
          <p>
            {bin.keptAside > 0 && `${bin.keptAside} of them set aside with a tag. `}
            {bin.counted ? `Counted on ${bin.counted}.` : "Never counted."}
          </p>
        </div>
      </div>
      <div className="mt-4 flex flex-wrap items-center gap-3">
        <Key label="− one fewer" className="min-w-20 text-head" disabled={says === 0} onPress={() => setSeen(Math.max(0, says - 1))}>
          −
        </Key>
        <input
          aria-label={`Counted ${type.number}`}
          className="num text-measure"
          style={{ width: 150, height: 72 }}
          inputMode="numeric"
          value={String(says)}
          onChange={(event) => setSeen(Math.max(0, Math.min(100_000, Number(event.target.value.replace(/\D/g, "")) || 0)))}
        />
        <Key label="+ one more" className="min-w-20 text-head" onPress={() => setSeen(says + 1)}>
          +
        </Key>
        <span className="num">{says === bin.count ? "matches the record" : `the record says ${bin.count}`}</span>
      </div>
      {says !== bin.count && (
        <fieldset className="mt-3 flex flex-wrap gap-2">
          <legend>Reason, if known</legend>
          {countWhyIds.map((id) => (
            <button
              key={id}
              type="button"
              className="key key-small"
              aria-pressed={why === id}
              onClick={() => setWhy(why === id ? null : id)}
            >
              {countWhy[id]}
            </button>
          ))}
        </fieldset>
      )}
      {note && <p role="status">{note}</p>}
      {differences.length > 0 && (
        <section aria-label="Differences" className="mt-4">
          <h2>Differences in this count</h2>
          <ul>
            {differences.map((line) => (
              <li key={line} className="rule-row py-1">
                {line}
              </li>
            ))}
          </ul>
        </section>
      )}
    </Sheet>
  );
}
