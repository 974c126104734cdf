"use client";
import { answerBearing, bearingFault, materialAdvice } from "@/core/bearings/bearing-answer";
import { BearingDrawing } from "./drawn/bearing-drawing";
import { shown, typedMm } from "./figures/typed";
import { FormGauge, type GaugeAnswer } from "./form-gauge";
import { above, type CataloguePart, drawnPx, type Opened, type Own, shelf, texts } from "./gauge-parts";

export function BearingSheet({ job, own, catalogue }: Opened & { own: readonly Own[]; catalogue: readonly CataloguePart[] }) {
  const compute = (typed: Readonly<Record<string, string>>): GaugeAnswer => {
    const measure = {
      boreMm: typedMm(typed.boreMm!),
      outsideMm: typedMm(typed.outsideMm!),
      widthMm: typedMm(typed.widthMm!),
      offMm: typedMm(typed.offMm!),
    };
    const fault = bearingFault(measure);
    if (fault) return { fault };
    const { matches, certain } = answerBearing(measure, measure.offMm);
    const near = (a: number, b: number) => Math.abs(a - b) <= measure.offMm + 1e-9;
    const fits = catalogue.filter(({ type: { shape } }) => {
      if (shape.kind === "bearing")
        return near(shape.boreMm, measure.boreMm) && near(shape.outsideMm, measure.outsideMm) && near(shape.widthMm, measure.widthMm);
      // A bush of a bearing's size can give way to it.
      return (
        shape.kind === "sleeve" &&
        near(shape.boreMm, measure.boreMm) &&
        near(shape.outsideMm, measure.outsideMm) &&
        near(shape.lengthMm, measure.widthMm)
      );
    });
    const big = certain ? matches[0]!.number : matches.length ? matches.map(({ number }) => number).join(" / ") : "not in my table";
    return {
      big,
      words: `Bearing ${shown(measure.boreMm)} × ${shown(measure.outsideMm)} × ${shown(measure.widthMm)} mm ±${shown(measure.offMm)}: ${big}${certain ? "" : matches.length ? ", not told apart by the measure" : ""}.`,
      rows: [
        ...matches.map((match): readonly [string, string] => [
          `${match.number}${match.inch ? ", inch, of old reels" : ""}`,
          `${shown(match.boreMm)} × ${shown(match.outsideMm)}, open ${shown(match.openMm)}, shielded ${shown(match.shieldedMm)}${match.width === "both" ? "" : `; you measured the ${match.width} one`} (${match.certainty})`,
        ]),
        ...fits.map(shelf),
      ],
      notes: [
        `Material: ${materialAdvice({ water: typed.water as "salt", mindsNoise: typed.noise === "yes", oilsOften: typed.oils === "yes" })} (common practice).`,
        ...(matches.length
          ? []
          : ["Measure bore, outside and width again: two bearings can share two of the three. It may be a maker's own size."]),
      ],
    };
  };
  return (
    <FormGauge
      gauge="bearing"
      job={job}
      title="Which bearing is it"
      fields={[
        { key: "boreMm", label: "Bore, mm" },
        { key: "outsideMm", label: "Outside, mm" },
        { key: "widthMm", label: "Width, mm" },
        { key: "offMm", label: "Caliper tolerance ±, mm" },
        { key: "water", label: "Water", of: { fresh: "fresh", brackish: "brackish", salt: "salt" } },
        { key: "noise", label: "Owner minds noise", of: { no: "no", yes: "yes" } },
        { key: "oils", label: "Owner oils it", of: { yes: "yes", no: "seldom" } },
      ]}
      initial={{ boreMm: "5", outsideMm: "11", widthMm: "5", offMm: "0.1", water: "salt", noise: "no", oils: "yes" }}
      presets={own}
      compute={compute}
      draw={(typed, set) => {
        const [boreMm, outsideMm, widthMm] = [typedMm(typed.boreMm!), typedMm(typed.outsideMm!), typedMm(typed.widthMm!)];
        return above(boreMm, outsideMm - boreMm, widthMm) ? (
          <BearingDrawing {...drawnPx} {...{ boreMm, outsideMm, widthMm }} set={(change) => set(texts(change))} />
        ) : null;
      }}
      method="ISO 15 / ABMA 20 boundary dimensions; inch sizes and the rows so marked from memory. Bore, outside and width all count: two bearings can share two of them. Oil by its place: a small drop at the spool, one or two elsewhere, none into a sealed one."
    />
  );
}
