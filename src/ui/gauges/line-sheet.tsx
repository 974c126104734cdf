"use client";
import { backingM, capacityM, diameterForCapacity, diameterWithLeft, lineFault, nylonByBreakingKg } from "@/core/line/line";
import { LineDrawing } from "./drawn/line-drawing";
import { shown, typedMm, typedNumber } from "./figures/typed";
import { FormGauge, type GaugeAnswer } from "./form-gauge";
import { above, drawnPx, type Opened, type Own, texts } from "./gauge-parts";

export function LineSheet({ job, own }: Opened & { own: readonly Own[] }) {
  const compute = (typed: Readonly<Record<string, string>>): GaugeAnswer => {
    const value = (key: string) => (key.endsWith("Mm") ? typedMm : typedNumber)(typed[key]!);
    const ring = { arborMm: value("arborMm"), fullMm: value("fullMm"), widthMm: value("widthMm") };
    const fault = lineFault(ring, value("lineMm"));
    if (fault) return { fault };
    if (!(value("backingMm") >= 0.03 && value("backingMm") <= 3))
      return { fault: { field: "backingMm", message: "A backing is 0.03 to 3 mm across." } };
    if (!(value("mainM") >= 0 && value("mainM") <= 5000)) return { fault: { field: "mainM", message: "Main line from 0 to 5000 m." } };
    if (!(value("lostM") >= 0)) return { fault: { field: "lostM", message: "Lost line from 0 m up." } };
    const [square, hexagonal] = [capacityM(ring, value("lineMm"), "square"), capacityM(ring, value("lineMm"), "hexagonal")];
    const backing = backingM(ring, { mm: value("lineMm"), metres: value("mainM") }, value("backingMm"), "square");
    const left = Math.max(0, 1 - value("lostM") / square);
    return {
      big: `${shown(square, 3)} m`,
      words: `Line ${shown(value("lineMm"))} mm: ${shown(square, 3)} to ${shown(hexagonal, 3)} m on the spool (${shown(square / 0.9144, 3)} to ${shown(hexagonal / 0.9144, 3)} yd).`,
      rows: [
        [
          "Loosest to tightest lay",
          `${shown(square, 4)} to ${shown(hexagonal, 4)} m, ${shown(square / 0.9144, 4)} to ${shown(hexagonal / 0.9144, 4)} yd`,
        ],
        [
          `Backing under ${shown(value("mainM"))} m of main line`,
          backing >= 0
            ? `${shown(backing, 3)} m`
            : `none: the main line is ${shown((-backing * value("backingMm") ** 2) / value("lineMm") ** 2, 3)} m too long`,
        ],
        [
          `After losing ${shown(value("lostM"))} m`,
          `${shown(100 * left, 3)} % left, standing at ${shown(diameterWithLeft(ring, left), 3)} mm`,
        ],
        ["For 300 m it takes a line of", `${shown(diameterForCapacity(ring, 300, "square"), 2)} mm`],
      ],
      notes: [
        `Nylon by class (common practice, makers differ): ${nylonByBreakingKg.map(([kg, low, high]) => `${kg} kg ${low}–${high}`).join(", ")} mm; braid is about a third.`,
      ],
      chart: {
        curves: [
          {
            name: "square",
            points: Array.from({ length: 31 }, (_, i) => {
              const mm = value("lineMm") * (0.6 + i / 30);
              return { x: mm, y: capacityM(ring, mm, "square") };
            }),
            line: "solid",
          },
        ],
        xName: "line, mm across",
        yName: "m",
        summary: `Capacity falls with the square of the line: ${shown(square, 3)} m at ${shown(value("lineMm"))} mm.`,
      },
    };
  };
  return (
    <FormGauge
      gauge="line"
      job={job}
      title="Line on the spool"
      fields={[
        { key: "arborMm", label: "Arbor across, mm" },
        { key: "fullMm", label: "Full across, mm" },
        { key: "widthMm", label: "Between the flanges, mm" },
        { key: "lineMm", label: "Line across, mm" },
        { key: "mainM", label: "Main line to be wound on, m" },
        { key: "backingMm", label: "Backing across, mm" },
        { key: "lostM", label: "Lost at a break-off, m" },
      ]}
      initial={{ arborMm: "30", fullMm: "50", widthMm: "15", lineMm: "0.3", mainM: "150", backingMm: "0.4", lostM: "50" }}
      presets={own}
      compute={compute}
      draw={(typed, set) => {
        const [arborMm, fullMm, widthMm, lineMm] = [
          typedMm(typed.arborMm!),
          typedMm(typed.fullMm!),
          typedMm(typed.widthMm!),
          typedMm(typed.lineMm!),
        ];
        return above(arborMm, fullMm - arborMm, widthMm, lineMm) ? (
          <LineDrawing {...drawnPx} {...{ arborMm, fullMm, widthMm, lineMm }} set={(change) => set(texts(change))} />
        ) : null;
      }}
      method="Volume of the ring × density of the lay ÷ section of the line; square lay π/4, hexagonal π/(2√3). A hand wound spool lies nearer the square."
    />
  );
}
