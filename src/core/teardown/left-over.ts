export interface TrayWell {
  readonly well: number;
  readonly positionId: string;
  readonly name: string;
  readonly refitted: boolean;
  /** Why it stays out on purpose; null when nobody has said so. */
  readonly leftOutReason: string | null;
}

/**
 * What still lies in the tray and should not: expected minus refitted, without those left out for a reason.
 * An empty list is what lets a job close.
 */
export const leftOver = (wells: readonly TrayWell[]): TrayWell[] => wells.filter((well) => !well.refitted && well.leftOutReason === null);

/**
 * What must go in before this step, but is not in yet: the trap that is about to be built in.
 * @param needs operation ids the step waits for; @param done operation ids done or left out on purpose.
 */
export const missingBefore = (needs: readonly string[], done: ReadonlySet<string>): string[] => needs.filter((id) => !done.has(id));
