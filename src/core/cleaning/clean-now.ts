import type { CleanMethod } from "@/core/vocabulary/clean-methods";
import { isBath } from "./methods";
import type { CleanPlan } from "./plan";
import type { Soak, TrayGroup } from "./soak";

/** What the hands have before them at Clean. */
export interface AtClean {
  readonly groups: readonly TrayGroup[];
  readonly plan: CleanPlan;
  /** Baths that hold parts of this reel. */
  readonly soaks: readonly Soak[];
  /** The group somebody looks at; null follows the plan. */
  readonly chosen: CleanMethod | null;
  readonly nowMs: number;
}

/** What the main key of Clean does now. */
export type CleanKey =
  /** Nothing goes into a bath: the whole tray is one act of the hands; so many of it are left alone for their dust. */
  | { readonly what: "all-by-hand"; readonly waiting: number; readonly alone: number }
  | { readonly what: "count-back"; readonly soak: Soak; readonly pieces: number }
  | { readonly what: "into-bath"; readonly method: CleanMethod; readonly pieces: number }
  | { readonly what: "by-hand"; readonly method: CleanMethod; readonly pieces: number }
  /** A group that is clean is only looked at: it may be cleaned again. */
  | { readonly what: "again"; readonly method: CleanMethod }
  | { readonly what: "go-on" };

export interface CleanNow {
  /** The group under the hand. */
  readonly group: TrayGroup | null;
  readonly soak: Soak | null;
  /** Seats whose parts wait to be cleaned. */
  readonly waiting: readonly string[];
  readonly anyClean: boolean;
  readonly key: CleanKey;
}

/** The group the hands turn to next: a bath to be filled, then one that is up, then the plan's next act of the hands, then a bath that runs. */
function dueMethod({ groups, plan, soaks, nowMs }: AtClean): CleanMethod | null {
  const load = plan.acts.find(({ kind }) => kind === "load");
  if (load) return load.method;
  const up = soaks.find(({ dueAt }) => Date.parse(dueAt) <= nowMs);
  if (up) return up.method;
  const waits = (method: CleanMethod) => groups.some((group) => group.method === method && group.waiting.length > 0);
  return plan.acts.find(({ kind, method }) => kind === "hand" && waits(method))?.method ?? soaks[0]?.method ?? null;
}

/** What is cleaned next, and what the main key does. */
export function cleanNow(at: AtClean): CleanNow {
  const { groups, soaks, chosen } = at;
  const method = chosen ?? dueMethod(at);
  const group = groups.find((one) => one.method === method) ?? groups[0] ?? null;
  const soak = soaks.find((one) => one.method === group?.method) ?? null;
  const waiting = groups.flatMap((one) => one.waiting);
  return { group, soak, waiting, anyClean: groups.some(({ clean }) => clean.length > 0), key: keyOf() };

  function keyOf(): CleanKey {
    const handsOnly = waiting.length > 0 && groups.every((one) => !one.soaking.length && (!one.waiting.length || !isBath(one.method)));
    if (handsOnly && !chosen) {
      const alone = groups.find((one) => one.method === "leave-dry")?.waiting.length ?? 0;
      return { what: "all-by-hand", waiting: waiting.length, alone };
    }
    if (!group || groups.every((one) => !one.waiting.length && !one.soaking.length)) return { what: "go-on" };
    if (group.soaking.length && soak) return { what: "count-back", soak, pieces: group.soaking.length };
    const pieces = group.waiting.length;
    if (!pieces) return { what: "again", method: group.method };
    return { what: isBath(group.method) ? "into-bath" : "by-hand", method: group.method, pieces };
  }
}
