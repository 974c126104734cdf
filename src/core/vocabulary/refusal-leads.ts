import type { Station } from "./job-kinds";

/** Where a refusal leads by its code alone, when it names no place of its own: the page shown anew, or another station of the same job. */
export type Lead = { readonly to: "show-anew" } | { readonly to: "station"; readonly station: Station };

/** What the page showed is no more: somebody else did it, or did something else since. */
const outOfDate = [
  ...[
    "changed-elsewhere",
    "changed",
    "gone",
    "before",
    "ended",
    "here",
    "none",
    "undone",
    "settled",
    "ordered",
    "press-reused",
    "answered-once",
  ],
  ...[
    "no-seat",
    "no-step",
    "no-line",
    "no-piece",
    "no-point",
    "no-item",
    "no-well",
    "no-person",
    "no-fault",
    "no-finding",
    "no-lesson",
    "no-model",
    "not-bad",
    "no-picture",
  ],
  ...[
    "nothing-to-order",
    "not-sold",
    "price",
    "too-few",
    "too-small",
    "no-assembly",
    "no-choice",
    "no-edition",
    "no-lining",
    "no-asking",
    "nothing-out",
    "not-in-bath",
    "not-last",
    "has-schematic",
    "done",
    "followed",
    "no-feel",
    "no-kit",
    "not-of-lot",
  ],
] as const;

/** Put right at a station of the job that is on the page. */
const elsewhere = {
  "not-in-tray": "strip",
  "in-bath": "clean",
  short: "parts",
  "waits-for-part": "parts",
  "old-piece": "parts",
  "left-over": "build",
  oil: "build",
  gate: "build",
  step: "build",
  foreseen: "parts",
  tests: "prove",
  pays: "quote",
} as const satisfies Readonly<Record<string, Station>>;

const stale: ReadonlySet<string> = new Set(outOfDate);

/** @returns null where the field, or the page itself, is where it is put right. */
export function leadOf(code: string): Lead | null {
  if (stale.has(code)) return { to: "show-anew" };
  return Object.hasOwn(elsewhere, code) ? { to: "station", station: elsewhere[code as keyof typeof elsewhere] } : null;
}
