export interface Renewal {
  readonly seat: string;
  readonly on: string;
}

/** When each seat was renewed last, the oldest first. @param renewals every new piece with its day, in any order. */
export function partsByAge(renewals: readonly Renewal[]): { seat: string; on: string; times: number }[] {
  const last = new Map<string, { on: string; times: number }>();
  for (const { seat, on } of renewals) {
    const known = last.get(seat);
    last.set(seat, { on: known && known.on > on ? known.on : on, times: (known?.times ?? 0) + 1 });
  }
  return [...last].map(([seat, age]) => ({ seat, ...age })).sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : a.seat < b.seat ? -1 : 1));
}

/** Where a day lies between two others, 0 to 1: for a line of time drawn to scale. */
export function shareOfTime(day: string, from: string, to: string): number {
  const [at, start, end] = [Date.parse(day), Date.parse(from), Date.parse(to)];
  return end > start ? Math.min(1, Math.max(0, (at - start) / (end - start))) : 0;
}
