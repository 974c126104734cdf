/** One reel of a lot as its sheet lists it. */
export interface LotReportRow {
  readonly tag: string;
  readonly mark: string;
  readonly serial: string;
  readonly state: string;
  readonly findings: readonly string[];
  readonly parts: readonly string[];
  /** "turning 21 → 9 cN·m" and the like. */
  readonly readings: readonly string[];
  readonly watch: readonly string[];
  readonly totalMinor: number;
}

export interface LotReport {
  readonly shopName: string;
  readonly name: string;
  readonly sender: string;
  readonly model: string;
  readonly openedOn: string;
  readonly rows: readonly LotReportRow[];
  readonly currency: string;
}

export interface LotSums {
  readonly reels: number;
  readonly finished: number;
  readonly totalMinor: number;
  /** Faults by how many reels had them, the commonest first. */
  readonly faults: readonly { readonly name: string; readonly reels: number }[];
  /** Parts by how many went in. */
  readonly parts: readonly { readonly name: string; readonly count: number }[];
}

const counted = (lists: readonly (readonly string[])[]): { name: string; count: number }[] => {
  const counts = new Map<string, number>();
  for (const name of lists.flat()) counts.set(name, (counts.get(name) ?? 0) + 1);
  return [...counts].map(([name, count]) => ({ name, count })).sort((a, b) => b.count - a.count || (a.name < b.name ? -1 : 1));
};

/** What a lot comes to: reels, faults by share, parts, money. */
export function lotSums({ rows }: Pick<LotReport, "rows">): LotSums {
  return {
    reels: rows.length,
    finished: rows.filter(({ state }) => state === "returned" || state === "ready").length,
    totalMinor: rows.reduce((sum, row) => sum + row.totalMinor, 0),
    faults: counted(rows.map(({ findings }) => [...new Set(findings)])).map(({ name, count }) => ({ name, reels: count })),
    parts: counted(rows.map(({ parts }) => parts)),
  };
}
