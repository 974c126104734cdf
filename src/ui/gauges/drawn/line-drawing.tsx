"use client";
import { Drawn } from "./drawn";
import { grip, type Setter, type Sized } from "./grip";

/** A spool in section with its line in layers. */
export function LineDrawing({
  arborMm,
  fullMm,
  widthMm,
  lineMm,
  set,
  ...size
}: Sized & { arborMm: number; fullMm: number; widthMm: number; lineMm: number; set?: Setter<"arborMm" | "fullMm" | "widthMm"> }) {
  const [inner, outer, half] = [arborMm / 2, fullMm / 2, widthMm / 2];
  const layers = Math.max(1, Math.floor((outer - inner) / lineMm));
  // Many layers are drawn as some; how many there are stands beside.
  const drawnLayers = Math.min(layers, 14);
  const flange = Math.max(1, widthMm * 0.06);
  return (
    <Drawn
      name={`The spool in section, ${layers} layers of line`}
      box={[-half - flange * 4, -outer * 1.3, widthMm + flange * 12, outer * 1.45]}
      {...size}
      grips={[
        ...grip(set && ((v) => set({ fullMm: v })), "Over the line", [half * 0.3, -outer], "y", -2, fullMm, [arborMm + 1, 300], "mm", 0.5),
        ...grip(set && ((v) => set({ arborMm: v })), "Arbor", [-half * 0.6, -inner], "y", -2, arborMm, [2, fullMm - 1], "mm", 0.5),
        ...grip(
          set && ((v) => set({ widthMm: v })),
          "Between the flanges",
          [half, -(inner + outer) / 2],
          "x",
          2,
          widthMm,
          [2, 150],
          "mm",
          0.5,
        ),
      ]}
    >
      <path d={`M${-half - flange} 0 V${-outer * 1.1} H${-half} V0`} className="ln-outline fl-sheet" />
      <path d={`M${half} 0 V${-outer * 1.1} H${half + flange} V0`} className="ln-outline fl-sheet" />
      <path d={`M${-half} 0 V${-inner} H${half} V0`} className="ln-outline fl-none" />
      {Array.from({ length: 7 }, (_, i) => (
        <line
          // biome-ignore lint/suspicious/noArrayIndexKey: hatch lines never change order
          key={i}
          x1={-half + (widthMm * i) / 7}
          x2={-half + (widthMm * (i + 1)) / 7}
          y1={0}
          y2={-inner}
          className="ln-hatch"
        />
      ))}
      {Array.from({ length: drawnLayers }, (_, i) => {
        const y = -inner - ((outer - inner) * (i + 0.5)) / drawnLayers;
        const dot = ((outer - inner) / drawnLayers) * 0.42;
        return (
          <line
            // biome-ignore lint/suspicious/noArrayIndexKey: layers never change order
            key={i}
            x1={-half + dot}
            x2={half - dot}
            y1={y}
            y2={y}
            stroke="currentColor"
            strokeWidth={dot * 1.6}
            strokeLinecap="round"
            strokeDasharray={`0 ${dot * 2.4}`}
          />
        );
      })}
      <line x1={-half - flange * 3} x2={half + flange * 3} y1={0} y2={0} className="ln-axis" />
    </Drawn>
  );
}
