import type { Cutaway } from "@/core/schematic/cutaway";
import { GlyphLines } from "./glyph";

/** The reel as it should look now, and the next part over its seat. */
export function CutawayView({ drawing, title }: { drawing: Cutaway; title: string }) {
  const { viewBox: box, next } = drawing;
  return (
    <svg viewBox={`${box.x} ${box.y} ${box.width} ${box.height}`} className="h-full w-full" role="img" aria-label={title}>
      <line x1={box.x} x2={box.x + box.width} y1={0} y2={0} className="ln-axis" />
      {drawing.seated.map((item) => (
        <g key={item.positionId} transform={`translate(${item.x} ${item.y})`}>
          <GlyphLines paths={item.glyph.paths} />
        </g>
      ))}
      {next && (
        <>
          <path d={`M${next.x + next.glyph.left} ${next.y}H${drawing.seatX}m3 -2l-3 2l3 2`} className="ln-hidden" />
          <g transform={`translate(${next.x} ${next.y})`} data-next={next.positionId}>
            <g className="slides-in" key={next.positionId}>
              <GlyphLines paths={next.glyph.paths} />
            </g>
          </g>
        </>
      )}
    </svg>
  );
}
