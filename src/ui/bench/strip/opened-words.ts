import { type OpenedFor, openedForWords } from "@/core/service/depth";

/** How far an assembly is opened on a job. */
export interface AssemblyDepth {
  readonly id: string;
  readonly name: string;
  /** Why it is opened; null while it stays shut or together. */
  readonly open: OpenedFor | null;
  /** Of one opened for some place in it: how many of its parts come out; null where it is opened whole. */
  readonly some: number | null;
  /** Of one that is to stay shut: what is reached only through it. */
  readonly inTheWayOf: readonly string[];
  /** Of a shut one: the part it rides on when that comes off. */
  readonly ridesOn: string | null;
  /** Its seats that are off. */
  readonly out: number;
  /** Its seats still expected off. */
  readonly left: number;
  /** Somebody said so for this job. */
  readonly said: boolean;
}

/** How far and why, in a few words. */
export function openedWords({ open, some, inTheWayOf, ridesOn, out, said }: AssemblyDepth): string {
  if (open) return `opened ${openedForWords[open]}${some === null ? "" : `: ${some} of its parts, the rest left in`}`;
  if (inTheWayOf.length) return `in the way of ${inTheWayOf.join(" and ").toLowerCase()}: only what must come off`;
  if (said && out)
    return `no further: ${out} of its parts ${out === 1 ? "is off and goes" : "are off and go"} back in at Build, the rest stays in`;
  return ridesOn ? `stays on the ${ridesOn.toLowerCase()}` : "stays shut";
}
