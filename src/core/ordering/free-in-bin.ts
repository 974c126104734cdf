/** What lies in a bin, and what of it is put aside for a job with a tag. */
export interface Lying {
  readonly count: number;
  readonly keptAside: number;
}

/** Pieces that anybody may take: those in the bin without those put aside for a job. None where the part has no bin. */
export const freeInBin = (line: Lying | null | undefined): number => (line ? line.count - line.keptAside : 0);
