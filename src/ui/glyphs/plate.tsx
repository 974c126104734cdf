import type { Plate } from "@/core/schematic/assembly-plate";
import { GlyphLines } from "./glyph";

interface Props {
  readonly plate: Plate;
  readonly title: string;
  readonly pickedPositionId?: string | null;
  /** What a callout's part is doing, by its first seat: drawn under the number. */
  readonly states?: Readonly<Record<string, string>>;
  readonly names: Readonly<Record<string, string>>;
  readonly onPick: (positionId: string) => void;
}

/** An exploded plate that can be touched: a callout is a key of at least 24 px whatever the scale. */
export function PlateView({ plate, title, pickedPositionId, states = {}, names, onPick }: Props) {
  const { viewBox: box } = plate;
  const { labelWidth: w, labelHeight: h } = plate;
  return (
    <svg viewBox={`${box.x} ${box.y} ${box.width} ${box.height}`} className="max-h-full w-full" role="group" aria-label={title}>
      <line x1={plate.axis.from} x2={plate.axis.to} y1={0} y2={0} className="ln-axis" />
      {plate.callouts.map((callout) => (
        <g key={callout.item} transform={`translate(${callout.x} 0)`}>
          <GlyphLines paths={callout.glyph.paths} />
        </g>
      ))}
      {plate.callouts.map((callout) => {
        const id = callout.positionIds[0]!;
        const picked = pickedPositionId !== undefined && pickedPositionId !== null && callout.positionIds.includes(pickedPositionId);
        const [x, y] = callout.label;
        const words = `${callout.item}: ${names[id]}${callout.positionIds.length > 1 ? `, ${callout.positionIds.length} of them` : ""}${states[id] ? `, ${states[id]}` : ""}`;
        return (
          <g key={callout.item}>
            <polyline points={callout.leader.map((point) => point.join(",")).join(" ")} className="ln-leader" />
            <g
              role="button"
              tabIndex={0}
              aria-label={words}
              aria-pressed={picked}
              className="cursor-pointer"
              onClick={() => onPick(id)}
              onKeyDown={(event) => {
                if (event.key !== "Enter" && event.key !== " ") return;
                event.preventDefault();
                onPick(id);
              }}
            >
              <title>{words}</title>
              <rect
                x={x - w / 2}
                y={y - h}
                width={w}
                height={h}
                className={picked ? "ln-outline fl-ink" : "ln-leader"}
                style={picked ? {} : { fill: "var(--color-sheet)" }}
              />
              <text
                x={x}
                y={y - h * 0.3}
                textAnchor="middle"
                fontSize={w * 0.42}
                fontFamily="var(--font-mono)"
                fontWeight="500"
                style={{ fill: picked ? "var(--color-sheet)" : "var(--color-brass)" }}
              >
                {callout.item}
              </text>
              {callout.positionIds.length > 1 && (
                <text x={x + w * 0.54} y={y + h * 0.38} fontSize={w * 0.34} fontFamily="var(--font-mono)">
                  ×{callout.positionIds.length}
                </text>
              )}
            </g>
          </g>
        );
      })}
    </svg>
  );
}
