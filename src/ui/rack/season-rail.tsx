import { fullFrom } from "@/core/season/season";

interface Week {
  readonly day: string;
  readonly words: string;
  readonly month: string;
  readonly coming: number;
  readonly bench: number;
}

const width = 1180;
const height = 190;
const foot = 160;

/** The weeks of a year side by side: what comes stands as a bar, what the bench has as a line over it; a full week is hatched. */
export function SeasonRail({ weeks }: { weeks: readonly Week[] }) {
  const most = Math.max(60, ...weeks.flatMap(({ coming, bench }) => [coming, bench]));
  const step = width / weeks.length;
  const y = (minutes: number) => foot - (minutes / most) * (foot - 14);
  const full = weeks.filter(({ coming, bench }) => coming >= fullFrom * bench);
  return (
    <figure className="mt-2">
      <svg role="img" aria-label="Bench hours needed and available, week by week" viewBox={`0 0 ${width} ${height}`} className="w-full">
        <defs>
          <pattern id="full-week" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <path d="M0 0V6" className="ln-hatch" />
          </pattern>
        </defs>
        {weeks.map(({ day, coming, bench }, i) => (
          <rect
            key={day}
            x={i * step + 2}
            y={y(coming)}
            width={step - 4}
            height={foot - y(coming)}
            fill={coming >= fullFrom * bench ? "url(#full-week)" : "none"}
            className="ln-outline"
            style={coming >= fullFrom * bench ? undefined : { fill: "none" }}
          />
        ))}
        <path d={weeks.map(({ bench }, i) => `${i ? "L" : "M"}${i * step} ${y(bench)}H${(i + 1) * step}`).join("")} className="ln-hidden" />
        <path d={`M0 ${foot}H${width}`} className="ln-outline" />
        {weeks.map(({ day, month, words }, i) =>
          i === 0 || weeks[i - 1]!.month !== month ? (
            <text key={day} x={i * step + 2} y={foot + 16} fontSize="13">
              {words.split(" ").slice(-1)}
            </text>
          ) : null,
        )}
        <text x={width} y={12} fontSize="12" textAnchor="end">
          {Math.round(most / 60)} h a week
        </text>
      </svg>
      <figcaption className="text-note">
        Bars: work coming in each week. Dashed line: hours at the bench.{" "}
        {full.length
          ? `Hatched: ${full.length === 1 ? "1 week is" : `${full.length} weeks are`} full, the first from ${full[0]!.words}.`
          : "No week is full."}
      </figcaption>
    </figure>
  );
}
