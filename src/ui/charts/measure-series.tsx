import { changeOf, figureWords } from "@/core/measures/taken";

/** One figure of a reel over its visits. */
export interface ShownMeasure {
  readonly id: number;
  /** One line for each name: a seat's, a length's, a gauge's figure. */
  readonly series: string;
  readonly phase: "before" | "after";
  /** The day of the visit, in words. */
  readonly on: string;
  readonly tag: string;
  readonly value: number;
  readonly low: number;
  readonly high: number;
  readonly unit: string;
  readonly says: string;
}

const [width, height, edge] = [320, 84, 14];

/** Each figure over the visits with how far it may be off: before the work open, after it full; what changed is said only where it is sure. */
export function MeasureSeries({ measures }: { measures: readonly ShownMeasure[] }) {
  const names = [...new Set(measures.map(({ series }) => series))];
  return (
    <ul className="flex flex-col gap-2">
      {names.map((name) => (
        <li key={name}>
          <OneSeries name={name} points={measures.filter(({ series }) => series === name)} />
        </li>
      ))}
    </ul>
  );
}

function OneSeries({ name, points }: { name: string; points: readonly ShownMeasure[] }) {
  const now = points.at(-1)!;
  const before = points.at(-2);
  const change = before && changeOf(before, now);
  const changed = change
    ? change.says === "no difference"
      ? `, no difference to ${before.on} that the tool could tell`
      : `, ${change.says} than on ${before.on} by ${figureWords({ value: Math.abs(change.by), low: Math.abs(change.by) - change.off, high: Math.abs(change.by) + change.off, unit: now.unit })}`
    : "";
  const words = `${name}: ${figureWords(now)}${now.says && `, ${now.says}`}${changed}.`;
  // An interval without an end is drawn to the edge.
  const ends = points.flatMap(({ value, low, high }) => [value, low, high]).filter(Number.isFinite);
  const [low, high] = [Math.min(...ends), Math.max(...ends)];
  const y = (value: number) => edge + ((high - Math.min(high, Math.max(low, value))) / (high - low || 1)) * (height - 2 * edge);
  const x = (i: number) => (points.length === 1 ? width / 2 : edge + (i / (points.length - 1)) * (width - 2 * edge));
  return (
    <div className="flex flex-wrap items-center gap-4">
      {points.length > 1 && (
        <svg
          role="img"
          aria-label={`${name} over the visits: ${points.map((point) => `${point.on} ${point.phase} ${figureWords(point)}`).join("; ")}`}
          width={width}
          height={height}
          className="shrink-0"
        >
          <line x1={2} x2={width - 2} y1={height - 2} y2={height - 2} className="ln-leader" />
          <polyline points={points.map(({ value }, i) => `${x(i)},${y(value)}`).join(" ")} className="ln-hidden" fill="none" />
          {points.map((point, i) => (
            <g key={point.id}>
              <title>{`${point.on}, ${point.tag}, ${point.phase}: ${figureWords(point)}`}</title>
              <path
                d={`M${x(i)} ${y(point.low)}V${y(point.high)}M${x(i) - 4} ${y(point.low)}h8M${x(i) - 4} ${y(point.high)}h8`}
                className="ln-leader"
              />
              <circle cx={x(i)} cy={y(point.value)} r={4.5} className={point.phase === "after" ? "fl-ink" : "ln-outline fl-sheet"} />
            </g>
          ))}
        </svg>
      )}
      <p className="min-w-0 flex-1">{words}</p>
    </div>
  );
}
