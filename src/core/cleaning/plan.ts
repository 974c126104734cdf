import { oneMachine } from "@/core/schedule/one-machine";
import { type CleanMethod, cleanMethodIds } from "@/core/vocabulary/clean-methods";
import { cleanMethods, isBath } from "./methods";

/** Parts that are cleaned together: one method, one vessel or one place on the towel. */
export interface CleanGroup {
  readonly method: CleanMethod;
  readonly positionIds: readonly string[];
  readonly soakMinutes: number;
  /** Work of the hands once it is out of the bath. */
  readonly handMinutes: number;
  readonly dryMinutes: number;
}

/** Groups the parts by method, in the order the methods are listed; methods without a part have no group. */
export function cleanGroups(
  parts: readonly { readonly positionId: string; readonly method: CleanMethod; readonly together?: boolean }[],
): CleanGroup[] {
  return cleanMethodIds.flatMap((method) => {
    const group = parts.filter((part) => part.method === method);
    if (!group.length) return [];
    const { soakMinutes, handMinutes, dryMinutes } = cleanMethods[method];
    // Screws and nuts are done in one go, whatever their number.
    const single = group.filter(({ together }) => !together).length;
    const acts = single + (single < group.length ? 1 : 0);
    return [{ method, positionIds: group.map(({ positionId }) => positionId), soakMinutes, handMinutes: handMinutes * acts, dryMinutes }];
  });
}

export interface PlannedAct {
  readonly kind: "load" | "hand";
  readonly method: CleanMethod;
  /** Minutes from the start. */
  readonly startMinute: number;
  readonly minutes: number;
}

export interface CleanPlan {
  /** What the hands do, first first: baths are filled, then each group in its turn. */
  readonly acts: readonly PlannedAct[];
  /** When everything is dry, minutes from the start. */
  readonly doneMinute: number;
  /** What it would take one group after the other, waiting at each bath. */
  readonly oneByOneMinutes: number;
  readonly handMinutes: number;
}

/** Putting a bath's parts in takes the hands this long. */
const loadMinutes = 1;

/**
 * The order in which one pair of hands cleans a tray soonest. Baths are filled first, the longest first; then each group waits for its bath
 * (head), takes the hands, and dries by itself (tail): one machine with heads and tails, solved exactly.
 */
export function planCleaning(groups: readonly CleanGroup[]): CleanPlan {
  const baths = groups.filter(({ method }) => isBath(method)).sort((a, b) => b.soakMinutes - a.soakMinutes);
  const loads = baths.map(({ method }, i): PlannedAct => ({ kind: "load", method, startMinute: i * loadMinutes, minutes: loadMinutes }));
  const loaded = loads.length * loadMinutes;
  const jobs = groups.map((group) => {
    const load = loads.find(({ method }) => method === group.method);
    return { ...group, head: load ? load.startMinute + loadMinutes + group.soakMinutes : 0 };
  });
  const best = oneMachine(
    jobs.map(({ head, handMinutes, dryMinutes }) => ({ head, work: handMinutes, tail: dryMinutes })),
    loaded,
  );
  let at = loaded;
  const hands = best.order.map((i): PlannedAct => {
    const job = jobs[i]!;
    const startMinute = Math.max(at, job.head);
    at = startMinute + job.handMinutes;
    return { kind: "hand", method: job.method, startMinute, minutes: job.handMinutes };
  });
  const handMinutes = loaded + groups.reduce((sum, group) => sum + group.handMinutes, 0);
  return {
    acts: [...loads, ...hands],
    doneMinute: groups.length ? best.done : 0,
    oneByOneMinutes: loaded + groups.reduce((sum, group) => sum + group.soakMinutes + group.handMinutes + group.dryMinutes, 0),
    handMinutes,
  };
}
