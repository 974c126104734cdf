"use client";
import Link from "next/link";
import { useState } from "react";
import type { PartType } from "@/core/anatomy/types";
import { Glyph } from "@/ui/glyphs/glyph";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";
import { StoresPages } from "./stores-pages";

interface Props {
  readonly day: string;
  readonly picks: readonly {
    readonly bin: string;
    readonly type: PartType;
    readonly for: readonly { readonly tag: string; readonly seat: string; readonly setAside: boolean }[];
    readonly inBin: number;
  }[];
  readonly tags: readonly string[];
  readonly missing: readonly { readonly tag: string; readonly words: string }[];
}

/** What tomorrow's jobs take from the bins, by the way through them; a press strikes what is in the hand. Nothing is booked: fitting does that. */
export function PickSheet({ day, picks, tags, missing }: Props) {
  const [taken, setTaken] = useState<ReadonlySet<string>>(new Set());
  return (
    <Sheet
      fill
      block={
        <CornerBlock
          cells={[
            { label: "For", value: day },
            { label: "Bins", value: `${taken.size} of ${picks.length}`, large: true },
          ]}
        />
      }
    >
      <StoresPages here="Pick list" />
      <p className="mt-2">
        {tags.length ? `For ${tags.length === 1 ? "one reel" : `${tags.length} reels`} until ${day}.` : "No reel is waiting for us."}{" "}
        {tags.length > 0 && !picks.length && "None of them needs a part from a bin."}
      </p>
      <ul className="mt-2">
        {picks.map(({ bin, type, for: jobs, inBin }) => {
          const done = taken.has(type.id);
          return (
            <li key={type.id} className="rule-row flex flex-wrap items-center gap-4 py-2">
              <button
                type="button"
                className="key min-w-28"
                aria-pressed={done}
                aria-label={`${bin}: take ${jobs.length} ${type.name}`}
                onClick={() => {
                  const next = new Set(taken);
                  if (!next.delete(type.id)) next.add(type.id);
                  setTaken(next);
                }}
              >
                <span className="num text-head">{bin}</span>
              </button>
              <Glyph type={type} widthPx={64} heightPx={44} />
              <span className="num text-head">×{jobs.length}</span>
              <span className={done ? "line-through" : ""}>
                <span className="num">{type.number}</span> {type.name}
                <span className="text-note"> of {inBin}</span>
              </span>
              <span className="text-note">
                {[...new Set(jobs.map(({ tag }) => tag))].map((tag, i) => {
                  const mine = jobs.filter((one) => one.tag === tag);
                  return (
                    <span key={tag}>
                      {i > 0 && ", "}
                      <Link className="act-link num" href={`/bench/${tag}/parts`} prefetch={false}>
                        {tag}
                      </Link>
                      {mine.length > 1 && ` ×${mine.length}`}
                      {mine.some(({ setAside }) => setAside) && " (already set aside with its tag)"}
                    </span>
                  );
                })}
              </span>
            </li>
          );
        })}
      </ul>
      {missing.length > 0 && (
        <section aria-label="Not in any bin" className="mt-4">
          <h2>Not in any bin</h2>
          <ul>
            {missing.map(({ tag, words }) => (
              <li key={`${tag} ${words}`} className="rule-row py-1">
                {words} for{" "}
                <Link className="act-link num" href={`/bench/${tag}/parts`} prefetch={false}>
                  {tag}
                </Link>
              </li>
            ))}
          </ul>
        </section>
      )}
    </Sheet>
  );
}
