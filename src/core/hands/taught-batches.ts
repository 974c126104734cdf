import type { Anatomy } from "@/core/anatomy/types";

/** A part that came off by itself, with the time of its press. */
export interface TakenAlone {
  readonly jobId: number;
  readonly positionId: string;
  readonly well: number;
  readonly atMs: number;
}

/** Seats that hands took off one right after the other, again and again: one act? */
export interface TaughtBatch {
  /** In the order they came off. */
  readonly positionIds: readonly string[];
  readonly times: number;
}

/** One press after the other within this long belongs together. */
const withinMs = 10_000;
/** So often before it is asked. */
const timesToAsk = 3;

/**
 * What hands do as one though the model does not say so: runs of parts of one assembly taken off by themselves within ten seconds of each other,
 * in three jobs or more. A longer run counts for itself alone; what lies in a batch already is not asked.
 * @param taken wells that hold one part, of every job of the model.
 */
export function taughtBatches(anatomy: Pick<Anatomy, "positions" | "batches">, taken: readonly TakenAlone[]): TaughtBatch[] {
  const assemblyOf = new Map(anatomy.positions.map(({ id, assemblyId }) => [id, assemblyId]));
  const batched = new Set(anatomy.batches.flatMap(({ positionIds }) => positionIds));
  const jobs = new Map<number, TakenAlone[]>();
  for (const one of taken) jobs.set(one.jobId, [...(jobs.get(one.jobId) ?? []), one]);
  const seen = new Map<string, { positionIds: string[]; jobs: Set<number> }>();
  for (const [jobId, own] of jobs) {
    let run: TakenAlone[] = [];
    const close = () => {
      if (run.length > 1) {
        const positionIds = run.map(({ positionId }) => positionId);
        const key = [...positionIds].sort().join(" ");
        const known = seen.get(key) ?? { positionIds, jobs: new Set() };
        known.jobs.add(jobId);
        seen.set(key, known);
      }
      run = [];
    };
    for (const one of own.sort((a, b) => a.well - b.well)) {
      const last = run.at(-1);
      const joins =
        last &&
        one.well === last.well + 1 &&
        one.atMs - last.atMs <= withinMs &&
        assemblyOf.get(one.positionId) === assemblyOf.get(last.positionId) &&
        !batched.has(one.positionId);
      if (!joins) close();
      if (assemblyOf.has(one.positionId) && !batched.has(one.positionId)) run.push(one);
    }
    close();
  }
  return [...seen.values()]
    .filter((one) => one.jobs.size >= timesToAsk)
    .map(({ positionIds, jobs: in_ }) => ({ positionIds, times: in_.size }))
    .sort((a, b) => b.times - a.times || b.positionIds.length - a.positionIds.length);
}
