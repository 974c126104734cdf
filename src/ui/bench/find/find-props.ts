import type { ReactNode } from "react";
import type { Anatomy, PartType } from "@/core/anatomy/types";
import type { Isolation } from "@/core/diagnosis/isolation";
import type { LookLine } from "@/core/diagnosis/look-line";
import type { Suspect } from "@/core/diagnosis/suspect";
import type { BenchHead } from "@/ui/bench/bench-sheet";

/** What the page of the diagnosis is given. */
export interface FindProps {
  readonly head: BenchHead;
  readonly anatomy: Anatomy;
  readonly partTypes: Readonly<Record<string, PartType>>;
  readonly suspects: readonly Suspect[];
  /** What the reel seems to have been through, where what was noticed makes it likely. */
  readonly through: readonly { readonly words: string; readonly probability: number }[];
  /** What a fault's remedy may touch and hurt, by fault. */
  readonly remedyCautions: Readonly<Record<string, readonly string[]>>;
  /** What to look at next. */
  readonly looks: readonly LookLine[];
  readonly made: readonly { readonly finding: string; readonly name: string; readonly so: boolean }[];
  /** The fault whose own sign was seen: proved as soon as somebody says so. */
  readonly prove: { readonly id: string; readonly name: string } | null;
  readonly isolations: readonly Isolation[];
  readonly nothing: number;
  readonly leftOut: readonly string[];
  readonly complaint: string;
  readonly use: readonly string[];
  /** What the kind of job puts first: the last visit, or what a seller says. */
  readonly above?: ReactNode;
  readonly next: { href: string; words: string };
}
