interface Props {
  readonly steps: readonly { readonly time: number; readonly survival: number; readonly error: number }[];
  readonly due: { readonly trips: number; readonly low: number; readonly high: number };
}

const [width, height, left, foot] = [420, 120, 34, 96];

/** The share still good by trips, as steps with their error; and where one in four is at its end, with its interval. */
export function LifeCurve({ steps, due }: Props) {
  const most = Math.max(due.high, ...steps.map(({ time }) => time), 1) * 1.05;
  const x = (trips: number) => left + ((width - left - 8) * Math.min(trips, most)) / most;
  const y = (share: number) => foot - share * (foot - 8);
  const line = (at: (step: Props["steps"][number]) => number) =>
    `M${left} ${y(1)}${steps.map((step) => `H${x(step.time)}V${y(Math.max(0, Math.min(1, at(step))))}`).join("")}H${x(most)}`;
  return (
    <svg
      role="img"
      aria-label="Share still good, by trips"
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      className="h-auto max-w-full"
    >
      <path d={`M${left} ${y(0.75)}H${width - 8}`} className="ln-hidden" />
      <path d={line(({ survival, error }) => survival + 1.96 * error)} className="ln-leader fl-none" />
      <path d={line(({ survival, error }) => survival - 1.96 * error)} className="ln-leader fl-none" />
      <path d={line(({ survival }) => survival)} className="ln-outline fl-none" />
      <path d={`M${left} 8V${foot}H${width - 8}`} className="ln-leader fl-none" />
      <path
        d={`M${x(due.low)} ${y(0.75)}H${x(due.high)}M${x(due.low)} ${y(0.75) - 5}v10M${x(due.high)} ${y(0.75) - 5}v10`}
        className="ln-outline"
      />
      <circle cx={x(due.trips)} cy={y(0.75)} r="4" className="ln-outline fl-ink" />
      <g fontSize="11" className="num">
        <text x="0" y={y(1) + 4}>
          100
        </text>
        <text x="6" y={y(0.75) + 4}>
          75
        </text>
        <text x={left} y={height - 6}>
          0
        </text>
        <text x={width - 8} y={height - 6} textAnchor="end">
          {Math.round(most)} trips
        </text>
      </g>
    </svg>
  );
}
