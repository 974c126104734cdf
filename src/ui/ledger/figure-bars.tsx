import Link from "next/link";

interface SpreadRow {
  readonly id: string;
  readonly group: string;
  readonly href: string;
  readonly n: number;
  readonly low: number;
  readonly middle: number;
  readonly high: number;
  readonly words: string;
}

interface SpreadProps {
  readonly rows: readonly SpreadRow[];
  /** A line to compare with. */
  readonly mark?: number;
  /** What a group is, and a value in words: the scale's. */
  readonly of: string;
  readonly inWords: (value: number) => string;
}

/** Groups below each other on one scale, each with the bar in which half of its jobs lie and its median; the name opens the jobs. */
export function SpreadBars({ rows, mark, of, inWords }: SpreadProps) {
  if (!rows.length) return <p>Nothing timed yet.</p>;
  const most = Math.max(...rows.map(({ high }) => high), mark ?? 0) || 1;
  const x = (value: number) => (180 * value) / most;
  return (
    <div className="overflow-x-auto">
      <table className="plain-table mt-1">
        <thead>
          <tr>
            <th>{of}</th>
            <th className="text-right">Jobs</th>
            <th>
              <span className="num flex justify-between pr-1.5">
                <span>0</span>
                <span>{inWords(most)}</span>
              </span>
            </th>
            <th className="text-right">Median</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ id, group, href, n, low, middle, high, words }) => (
            <tr key={id}>
              <td>
                <Link className="act-link" href={href} prefetch={false}>
                  {group}
                </Link>
              </td>
              <td className="num text-right text-note">{n}</td>
              <td className="w-48">
                <svg aria-hidden="true" width="186" height="18" viewBox="-3 0 186 18">
                  <path d="M0 9H180" className="ln-hidden" />
                  {mark !== undefined && <path d={`M${x(mark)} 0V18`} className="ln-leader" />}
                  <rect x={x(low)} y="5" width={Math.max(1, x(high) - x(low))} height="8" className="ln-outline fl-sheet" />
                  <path d={`M${x(middle)} 2V16`} className="ln-outline" />
                </svg>
              </td>
              <td className="num text-right">{words}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

interface MonthRow {
  readonly id: string;
  readonly group: string;
  readonly href: string;
  readonly jobs: number;
  readonly totalMinor: number;
  readonly sum: string;
}

/** Months side by side: what they brought stands as a bar with the count of jobs over it; each opens its jobs. */
export function MonthBars({ months, currency }: { months: readonly MonthRow[]; currency: string }) {
  const most = Math.max(1, ...months.map(({ totalMinor }) => totalMinor));
  return (
    <ol className="mt-2 flex h-44 items-end gap-px overflow-x-auto" aria-label={`Returned by month, ${currency}`}>
      {months.map(({ id, group, href, jobs, totalMinor, sum }, i) => (
        <li key={id} className="flex min-w-2 flex-1 flex-col items-stretch text-center">
          <Link href={href} prefetch={false} className="block">
            <span className="sr-only">
              {group}: {jobs === 1 ? "1 job" : `${jobs} jobs`}, {sum} {currency}
            </span>
            <span aria-hidden="true">
              <span className="num block h-4 text-note leading-4">{months.length <= 24 && jobs ? jobs : ""}</span>
              <span className="block border-2 border-current" style={{ height: Math.round((118 * totalMinor) / most) }} />
              <span className="num block h-4 w-0 overflow-visible text-left text-note leading-4 whitespace-nowrap">
                {i === 0 || group.endsWith("-01") ? group.slice(2) : months.length <= 14 ? group.slice(5) : " "}
              </span>
            </span>
          </Link>
        </li>
      ))}
    </ol>
  );
}
