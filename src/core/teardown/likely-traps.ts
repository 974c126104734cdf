import type { Operation, Position } from "@/core/anatomy/types";

export interface DoneAct {
  readonly operation: Operation;
  readonly position: Position | null;
  readonly done: boolean;
}

export interface LikelyTrap {
  /** The seat to open again; null for a look without a seat of its own. */
  readonly positionId: string | null;
  readonly operationId: string | null;
  readonly words: string;
  readonly because: string;
}

/** So many places are named at least, where so many went in since the last check. */
const leastNamed = 3;

/**
 * Where to look when a gate did not pass, likeliest first: what this model's gates were failed by before, then what the gate itself asks
 * after, then the traps of what went in since the last gate that passed, the latest first. Nothing from before that gate: it was proved then.
 * @param acts the build in order, up to and with the gate. @param caused how often each seat was what failed this gate.
 */
export function likelyTraps(acts: readonly DoneAct[], gateId: string, caused: ReadonlyMap<string, number> = new Map()): LikelyTrap[] {
  const at = acts.findIndex(({ operation }) => operation.id === gateId);
  const gate = acts[at];
  if (!gate) return [];
  const lastGate = acts.slice(0, at).findLastIndex(({ operation, done }) => operation.kind === "gate" && done);
  const since = acts.slice(lastGate + 1, at).filter(({ done }) => done);
  const placed = since.filter(({ operation }) => operation.kind === "place");
  const found: LikelyTrap[] = [];
  const add = (act: DoneAct | null, words: string, because: string) => {
    if (act && found.some(({ positionId }) => positionId === act.position!.id)) return;
    // A look at no seat of its own is got at through what went in last.
    found.push({ positionId: act?.position?.id ?? null, operationId: (act ?? placed.at(-1))?.operation.id ?? null, words, because });
  };
  const times = (count: number) => (count === 1 ? "it was this once before" : `it was this ${count} times before`);
  for (const act of [...placed].sort((a, b) => (caused.get(b.position!.id) ?? 0) - (caused.get(a.position!.id) ?? 0))) {
    const count = caused.get(act.position!.id) ?? 0;
    if (count > 0) add(act, act.position!.trap ?? act.position!.orientation ?? act.position!.name, times(count));
  }
  // Of several seats it speaks of, the nearest to the gate.
  for (const { words, seats } of gate.operation.lookAt)
    add(placed.findLast(({ position }) => seats.includes(position!.id)) ?? null, words, "the check tests it");
  for (const act of [...placed].reverse()) if (act.position!.trap) add(act, act.position!.trap, "fitted since the last check");
  // Where nothing is known to go wrong, what went in last is looked at first.
  for (const act of placed.slice(-leastNamed).reverse())
    if (found.length < leastNamed)
      add(
        act,
        act.position!.orientation ? `${act.position!.name}: ${act.position!.orientation}` : act.position!.name,
        "fitted since the last check",
      );
  return found;
}
