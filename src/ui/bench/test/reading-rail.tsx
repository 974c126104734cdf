import type { Verdict } from "@/core/vocabulary/tests";

interface Mark {
  readonly value: number;
  readonly verdict: Verdict;
}

interface Props {
  /** What it is a reading of, for those who cannot see it. */
  readonly name: string;
  /** What reels like this leave with; null while nobody knows. */
  readonly usual: { readonly low: number; readonly median: number; readonly high: number } | null;
  readonly before: Mark | null;
  readonly now: Mark | null;
  /** A value as it is said. */
  readonly say: (value: number) => string;
}

const [width, height] = [300, 34];

/** Good is round, doubtful stands on its point, bad is a cross: told by shape, not by colour. */
function Shape({ x, size, verdict }: { x: number; size: number; verdict: Verdict }) {
  const y = height / 2;
  if (verdict === "good") return <circle cx={x} cy={y} r={size} className="fl-ink" />;
  if (verdict === "doubtful")
    return (
      <path
        d={`M${x} ${y - size * 1.2} L${x + size * 1.2} ${y} L${x} ${y + size * 1.2} L${x - size * 1.2} ${y} Z`}
        className="ln-outline fl-sheet"
      />
    );
  return (
    <path
      d={`M${x - size} ${y - size} L${x + size} ${y + size} M${x + size} ${y - size} L${x - size} ${y + size}`}
      className="ln-outline"
    />
  );
}

/** A reading on a rail with what reels like this leave with: before small, after large. */
export function ReadingRail({ name, usual, before, now, say }: Props) {
  const values = [...(usual ? [usual.low, usual.high] : []), ...(before ? [before.value] : []), ...(now ? [now.value] : [])];
  if (!now && !before) return null;
  if (values.length < 2) return null;
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const room = (high - low || Math.abs(high) || 1) * 0.18;
  const [from, to] = [Math.min(low - room, low > 0 ? Math.max(0, low - room) : low - room), high + room];
  const at = (value: number) => 8 + ((value - from) / (to - from)) * (width - 16);
  const words = [
    ...(usual ? [`reels like this leave with ${say(usual.low)} to ${say(usual.high)}`] : []),
    ...(before ? [`before ${say(before.value)}, ${before.verdict}`] : []),
    ...(now ? [`now ${say(now.value)}, ${now.verdict}`] : []),
  ].join("; ");
  return (
    <svg role="img" aria-label={`${name}: ${words}`} width={width} height={height} className="ml-auto shrink-0 self-center">
      <line x1={4} x2={width - 4} y1={height / 2} y2={height / 2} className="ln-leader" />
      {usual && (
        <>
          <rect
            x={at(usual.low)}
            y={height / 2 - 8}
            width={Math.max(2, at(usual.high) - at(usual.low))}
            height={16}
            className="ln-leader fl-sheet"
          />
          <line x1={at(usual.median)} x2={at(usual.median)} y1={height / 2 - 11} y2={height / 2 + 11} className="ln-outline" />
        </>
      )}
      {before && <Shape x={at(before.value)} size={4} verdict={before.verdict} />}
      {now && <Shape x={at(now.value)} size={7} verdict={now.verdict} />}
    </svg>
  );
}
