import type { ReactNode } from "react";
import type { PartType } from "@/core/anatomy/types";
import { Glyph } from "@/ui/glyphs/glyph";

/** A parcel, drawn: its lid's two flaps over what lies in it. One that is not sent yet is dashed. */
export function Parcel({ label, later, children }: { label: string; later: boolean; children: ReactNode }) {
  return (
    <div role="group" aria-label={label} className={`border-2 border-ink ${later ? "border-dashed" : ""}`}>
      <svg aria-hidden="true" viewBox="0 0 400 14" preserveAspectRatio="none" className="block h-3 w-full">
        <path d="M0 0 L196 13 M400 0 L204 13" className="ln-outline fl-none" vectorEffect="non-scaling-stroke" />
        <path d="M0 13.5 H400" className="ln-leader" vectorEffect="non-scaling-stroke" />
      </svg>
      <div className="px-3 pb-2">{children}</div>
    </div>
  );
}

/** Pieces of one part, by its glyph. */
export function Pieces({
  type,
  count,
  number,
  children,
}: {
  type: PartType | undefined;
  count: number;
  number: string;
  children?: ReactNode;
}) {
  return (
    <div className="flex min-w-36 max-w-56 flex-col">
      <div className="flex items-end gap-2">
        {type && <Glyph type={type} widthPx={64} heightPx={44} />}
        <span className="num text-head">×{count}</span>
      </div>
      <span>
        <span className="num">{number}</span> {type?.name}
      </span>
      {children}
    </div>
  );
}

/** A bin, drawn open, filled up to what is in it or on its way; the line is its level. */
export function BinDrawn({ here, level }: { here: number; level: number }) {
  const top = 34 - 26 * Math.min(1, Math.max(0, here) / Math.max(1, level * 1.25));
  const line = 34 - 26 / 1.25;
  return (
    <svg role="img" aria-label={`${Math.max(0, here)} in the bin, level ${level}`} width={48} height={40} viewBox="0 0 48 40">
      <path d="M4 6 V34 H44 V6" className="ln-outline fl-none" />
      {here > 0 && <path d={`M4 ${top} H44 V34 H4 Z`} className="ln-hatch fl-none" />}
      {here > 0 && <path d={Array.from({ length: 6 }, (_, i) => `M${6 + i * 6} 34 l4 ${top - 34}`).join("")} className="ln-hatch" />}
      <path d={`M0 ${line} H48`} className="ln-hidden" />
    </svg>
  );
}

/** A rule from nothing to the value at which a parcel goes free, filled to what lies in it. */
export function FreePostRule({ value, from, words }: { value: number; from: number; words: string }) {
  const at = 4 + 192 * Math.min(1, value / Math.max(1, from));
  return (
    <svg role="img" aria-label={words} width={216} height={18} viewBox="0 0 216 18">
      <path d="M4 12 H196" className="ln-leader" />
      <path d="M4 7 V17 M196 3 V17" className="ln-outline" />
      <path d={`M4 12 H${at}`} className="ln-outline" />
      <path d={`M${at} 12 l-4 -7 h8 Z`} className="ln-outline fl-ink" />
    </svg>
  );
}
