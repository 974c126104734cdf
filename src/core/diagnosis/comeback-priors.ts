/** What a comeback says beyond any customer's word: what was found last time, and what was renewed then. */
export interface LastWork {
  readonly faults: ReadonlySet<string>;
  /** Roles of the parts fitted last time. */
  readonly renewed: ReadonlySet<string>;
}

/** Times as likely, in odds: not cured the first time; or about a part we have just put in. Rule of thumb (common practice). */
const [again, ours] = [4, 2];

/**
 * The prior of a fault in a reel whose repair came back.
 * @param roles the part roles the fault is about.
 */
export function comebackPrior(prior: number, faultId: string, roles: readonly string[], last: LastWork): number {
  const times = (last.faults.has(faultId) ? again : 1) * (roles.some((role) => last.renewed.has(role)) ? ours : 1);
  return (times * prior) / (1 - prior + times * prior);
}

/** The last visit as a comeback opens on it: what was found, renewed and measured before the reel went home. */
export interface LastVisit {
  readonly tag: string;
  readonly closedAt: string;
  /** The last day our work of then is warranted; null where it is not. */
  readonly warrantedTo: string | null;
  /** It came back by that day. */
  readonly inWarranty: boolean;
  readonly found: readonly string[];
  readonly renewed: readonly string[];
  readonly measured: readonly { readonly testId: TestId; readonly name: string; readonly words: string }[];
}

import type { TestId } from "@/core/vocabulary/tests";
