import type { Effect } from "@/core/promise/what-if";
import { slipsAmong } from "@/core/promise/what-if";
import { of100 } from "./bench-to-ask";

/** So many are drawn and named. */
const named = 5;

/** What a change does to the others: one sentence, and one drawing of their chances before and after. @param begins such as "Then". */
export function Slips({ effects, tagOf, begins }: { effects: readonly Effect[]; tagOf: ReadonlyMap<number, string>; begins: string }) {
  const slips = slipsAmong(effects);
  if (!slips.length) return <p role="status">No other reel's date is affected.</p>;
  const shown = slips.slice(0, named);
  const words = shown.map(({ key, before, after }) => `${tagOf.get(key)} (${of100(after)} % likely, was ${of100(before)} %)`);
  const more = slips.length - shown.length;
  return (
    <div>
      <p role="status">
        {begins} {slips.length === 1 ? "slips" : "slip"}: {words.join(", ")}
        {more > 0 ? ` and ${more} more` : ""}.
      </p>
      <svg
        role="img"
        aria-label="Chances of keeping their dates, before and after"
        width={300}
        height={shown.length * 18 + 16}
        viewBox={`0 0 300 ${shown.length * 18 + 16}`}
      >
        {shown.map(({ key, before, after }, i) => (
          <g key={key} transform={`translate(0 ${i * 18 + 9})`}>
            <text x="0" y="4" className="num" fontSize="11">
              {tagOf.get(key)}
            </text>
            <path d="M90 0H290" className="ln-hidden" />
            <path d={`M${90 + 2 * of100(before)} 0H${90 + 2 * of100(after)}`} className="ln-outline" />
            <circle cx={90 + 2 * of100(before)} cy="0" r="4" className="ln-outline fl-sheet" />
            <circle cx={90 + 2 * of100(after)} cy="0" r="4" className="ln-outline fl-ink" />
          </g>
        ))}
        <g transform={`translate(0 ${shown.length * 18 + 12})`} fontSize="10">
          <text x="90">0</text>
          <text x="180">50</text>
          <text x="274">100</text>
        </g>
      </svg>
    </div>
  );
}
