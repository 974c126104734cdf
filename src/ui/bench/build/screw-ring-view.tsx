import type { RingScrew } from "@/core/teardown/screw-ring";

const size = 92;

/** The screws of a plate drawn round a circle with the order they are drawn in; the one at hand is filled. */
export function ScrewRingView({ ring, hereId }: { ring: readonly RingScrew[]; hereId: string | null }) {
  const at = (i: number) => {
    const angle = (2 * Math.PI * i) / ring.length - Math.PI / 2;
    return { x: size / 2 + Math.cos(angle) * 32, y: size / 2 + Math.sin(angle) * 32 };
  };
  const order = [...ring].sort((a, b) => a.order - b.order);
  return (
    <svg
      viewBox={`0 0 ${size} ${size}`}
      width={size}
      height={size}
      role="img"
      aria-label={`Crosswise: ${order.map(({ name }) => name).join(", then ")}`}
    >
      <polyline
        points={order
          .map((screw) => {
            const { x, y } = at(ring.indexOf(screw));
            return `${x},${y}`;
          })
          .join(" ")}
        className="ln-hidden"
        fill="none"
      />
      {ring.map((screw, i) => {
        const { x, y } = at(i);
        const here = screw.positionId === hereId;
        return (
          <g key={screw.positionId}>
            <circle cx={x} cy={y} r={10} className={here ? "fl-ink" : "fl-sheet ln-outline"} />
            <text x={x} y={y + 4.5} textAnchor="middle" className={`num text-note ${here ? "fl-sheet" : "fl-ink"}`}>
              {screw.order}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
