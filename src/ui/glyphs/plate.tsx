"use client";
import { type KeyboardEvent, useId } from "react";
import type { Callout, Plate } from "@/core/schematic/assembly-plate";
import { GlyphLines } from "./glyph";
import { usePanZoom } from "./use-pan-zoom";

/** How much of something a seat has, drawn as the density of its hatch: 1 little, 2 some, 3 most. */
export type Shade = 1 | 2 | 3;

interface Props {
  readonly plate: Plate;
  readonly title: string;
  readonly pickedPositionId?: string | null;
  /** What a callout's part is doing, by its first seat: said with the number. */
  readonly states?: Readonly<Record<string, string>>;
  readonly names: Readonly<Record<string, string>>;
  /** Seats nobody has confirmed: their callouts are dashed. */
  readonly guessed?: ReadonlySet<string>;
  readonly shades?: Readonly<Record<string, Shade>>;
  readonly onPick: (positionId: string) => void;
}

const hatchGapMm: Record<Shade, number> = { 1: 5, 2: 3, 3: 1.6 };
const shadeWords: Record<Shade, string> = { 1: "lightly hatched", 2: "hatched", 3: "densely hatched" };

const shadeOf = (callout: Callout, shades: Props["shades"]): Shade | 0 =>
  callout.positionIds.reduce<Shade | 0>((most, id) => ((shades?.[id] ?? 0) > most ? shades![id]! : most), 0);

/** An exploded plate that can be touched, panned and zoomed: a callout is a key of at least 24 px whatever the scale. */
export function PlateView({ plate, title, pickedPositionId, states = {}, names, guessed, shades, onPick }: Props) {
  const { viewBox: box, labelWidth: w, labelHeight: h } = plate;
  const view = usePanZoom(box, plate.id);
  const hatch = useId();
  const onKeyDown = (event: KeyboardEvent<SVGSVGElement>) => {
    const step = box.width / 10 / view.scale;
    const act = new Map([
      ["+", () => view.zoomBy(1.5)],
      ["=", () => view.zoomBy(1.5)],
      ["-", () => view.zoomBy(1 / 1.5)],
      ["0", view.reset],
      ["ArrowLeft", () => view.panBy(step, 0)],
      ["ArrowRight", () => view.panBy(-step, 0)],
      ["ArrowUp", () => view.panBy(0, step)],
      ["ArrowDown", () => view.panBy(0, -step)],
    ]).get(event.key);
    if (!act || event.ctrlKey || event.metaKey || event.altKey) return;
    event.preventDefault();
    act();
  };
  return (
    <div className="flex h-full w-full gap-2">
      <svg
        ref={view.ref}
        viewBox={`${box.x} ${box.y} ${box.width} ${box.height}`}
        className={`h-full max-h-full min-w-0 flex-1 ${view.scale > 1 ? "cursor-grab" : ""}`}
        role="group"
        aria-label={title}
        onKeyDown={onKeyDown}
      >
        <defs>
          {([1, 2, 3] as const).map((shade) => (
            <pattern
              key={shade}
              id={`${hatch}-${shade}`}
              width={hatchGapMm[shade]}
              height={hatchGapMm[shade]}
              patternUnits="userSpaceOnUse"
              patternTransform="rotate(45)"
            >
              <line x1="0" y1="0" x2="0" y2={hatchGapMm[shade]} className="ln-leader" />
            </pattern>
          ))}
        </defs>
        <g transform={view.transform}>
          <line x1={plate.axis.from} x2={plate.axis.to} y1={0} y2={0} className="ln-axis" />
          {plate.callouts.map((callout) => {
            const shade = shadeOf(callout, shades);
            return (
              <g key={callout.item} transform={`translate(${callout.x} 0)`}>
                {shade > 0 && (
                  <rect
                    x={callout.glyph.left - 1.5}
                    y={-callout.glyph.up - 1.5}
                    width={callout.glyph.right - callout.glyph.left + 3}
                    height={callout.glyph.up + callout.glyph.down + 3}
                    fill={`url(#${hatch}-${shade})`}
                    data-shade={shade}
                  />
                )}
                <GlyphLines paths={callout.glyph.paths} />
              </g>
            );
          })}
          {plate.callouts.map((callout) => {
            const id = callout.positionIds[0]!;
            const picked = pickedPositionId !== undefined && pickedPositionId !== null && callout.positionIds.includes(pickedPositionId);
            const [x, y] = callout.label;
            const many = plate.assemblyId !== null && callout.positionIds.length > 1;
            const shade = shadeOf(callout, shades);
            const words = [
              `${callout.item}: ${names[id]}`,
              ...(many ? [`${callout.positionIds.length} of them`] : []),
              ...(states[id] ? [states[id]] : []),
              ...(shade ? [shadeWords[shade]] : []),
            ].join(", ");
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
        </g>
      </svg>
      <fieldset className="m-0 flex flex-col gap-1 self-end" aria-label="Size of the drawing">
        <button type="button" className="key key-small num" aria-label="Smaller" onClick={() => view.zoomBy(1 / 1.5)}>
          −
        </button>
        <button type="button" className="key key-small num" aria-label="Larger" onClick={() => view.zoomBy(1.5)}>
          +
        </button>
        <button type="button" className="key key-small" disabled={view.scale === 1} onClick={view.reset}>
          Whole
        </button>
      </fieldset>
    </div>
  );
}
