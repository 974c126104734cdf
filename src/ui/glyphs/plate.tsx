import type { Plate } from "@/core/schematic/assembly-plate";
import { GlyphLines } from "./glyph";

interface Props {
  readonly plate: Plate;
  readonly title: string;
  readonly pickedPositionId?: string | null;
  /** What a callout's part is doing, by its first seat: drawn under the number. */
  readonly states?: Readonly<Record<string, string>>;
  readonly names: Readonly<Record<string, string>>;
  /** Seats nobody has confirmed: their callouts are dashed. */
  readonly guessed?: ReadonlySet<string>;
  readonly onPick: (positionId: string) => void;
}

/** An exploded plate that can be touched: a callout is a key of at least 24 px whatever the scale. */
export function PlateView({ plate, title, pickedPositionId, states = {}, names, guessed, onPick }: Props) {
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
        const many = plate.assemblyId !== null && callout.positionIds.length > 1;
        const words = `${callout.item}: ${names[id]}${many ? `, ${callout.positionIds.length} of them` : ""}${states[id] ? `, ${states[id]}` : ""}`;
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
                className={
                  picked ? "ln-outline fl-ink" : callout.positionIds.some((seat) => guessed?.has(seat)) ? "ln-hidden" : "ln-leader"
                }
                style={picked ? {} : { fill: "var(--color-sheet)" }}
              />
              <text
                x={x}
                y={y - h * (many ? 0.46 : 0.3)}
                textAnchor="middle"
                fontSize={w * (many ? 0.38 : 0.42)}
                fontFamily="var(--font-mono)"
                fontWeight="500"
                style={{ fill: picked ? "var(--color-sheet)" : "var(--color-brass)" }}
              >
                {callout.item}
              </text>
              {many && (
                <text
                  x={x}
                  y={y - h * 0.1}
                  textAnchor="middle"
                  fontSize={w * 0.28}
                  fontFamily="var(--font-mono)"
                  style={{ fill: picked ? "var(--color-sheet)" : "var(--color-ink)" }}
                >
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
