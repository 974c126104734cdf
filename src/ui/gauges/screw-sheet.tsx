"use client";
import { findThread, type ThreadMeasure, threadFault } from "@/core/threads/find-thread";
import { stressArea } from "@/core/threads/thread-table";
import { ThreadDrawing } from "./drawn/thread-drawing";
import { shown, typedMm, typedNumber } from "./figures/typed";
import { FormGauge, type GaugeAnswer } from "./form-gauge";
import { above, type CataloguePart, drawnPx, type Opened, type Own, shelf, texts } from "./gauge-parts";

export function ScrewSheet({ job, own, catalogue }: Opened & { own: readonly Own[]; catalogue: readonly CataloguePart[] }) {
  const compute = (typed: Readonly<Record<string, string>>): GaugeAnswer => {
    const over = typedMm(typed.overMm!);
    const threads = typedNumber(typed.threads!);
    const counted = typed.overMm!.trim() !== "" || typed.threads!.trim() !== "";
    if (counted && !(over > 0))
      return { fault: { field: "overMm", message: "The length over the threads, above 0 mm; leave both empty without." } };
    if (counted && !(threads >= 1)) return { fault: { field: "threads", message: "How many threads lie in that length: 1 or more." } };
    const measure: ThreadMeasure = {
      of: typed.of as "screw",
      diameterMm: typedMm(typed.diameterMm!),
      offMm: typedMm(typed.offMm!),
      ...(counted ? { pitch: { mm: over / threads, offMm: Math.max(0.005, 0.1 / threads) } } : {}),
    };
    const fault = threadFault(measure);
    if (fault) return { fault: fault.field === "pitch" ? { field: "overMm", message: fault.message } : fault };
    const { matches, certain, tell } = findThread(measure);
    const fits = catalogue.filter(
      ({ type: { shape } }) => shape.kind === "screw" && matches.some(({ size }) => Math.abs(size.diameterMm - shape.threadMm) < 0.01),
    );
    const big = certain ? matches[0]!.size.name : matches.length ? `${matches.length} can be it` : "not in my table";
    return {
      big,
      words: `Thread, ${measure.of} ${shown(measure.diameterMm)} mm${measure.pitch ? `, pitch ${shown(measure.pitch.mm, 3)}` : ""}: ${matches.length ? matches.map(({ size }) => size.name).join(", ") : "not in my table"}.`,
      rows: [
        ...matches.map(({ size }): readonly [string, string] => [
          size.name,
          `${shown(size.diameterMm)} × ${shown(size.pitchMm, 3)} mm, ${size.system}, stress area ${shown(stressArea(size), 3)} mm² (${size.certainty === "standard" ? "by its standard" : "from memory"})`,
        ]),
        ...fits.map(shelf),
      ],
      notes: [...tell, "A left-hand thread has the same sizes: held upright it climbs to the left."],
    };
  };
  return (
    <FormGauge
      gauge="screw"
      job={job}
      title="Which thread is it"
      fields={[
        { key: "of", label: "Measured", of: { screw: "outside of a screw", hole: "narrowest of a hole" } },
        { key: "diameterMm", label: "Diameter, mm" },
        { key: "offMm", label: "Caliper tolerance ±, mm" },
        { key: "overMm", label: "Length over threads, mm (or empty)" },
        { key: "threads", label: "Threads in that length" },
      ]}
      initial={{ of: "screw", diameterMm: "2.93", offMm: "0.02", overMm: "5", threads: "10" }}
      presets={own}
      compute={compute}
      draw={(typed, set) => {
        const diameterMm = typedMm(typed.diameterMm!);
        const counted = typedMm(typed.overMm!) / typedNumber(typed.threads!);
        if (!above(diameterMm)) return null;
        const first = findThread({ of: typed.of as "screw", diameterMm, offMm: 0.05 }).matches[0]?.size;
        const pitchMm = above(counted) ? Math.min(counted, diameterMm / 1.5) : (first?.pitchMm ?? diameterMm / 6);
        return (
          <ThreadDrawing
            {...drawnPx}
            {...{ diameterMm, pitchMm }}
            system={first?.system ?? "ISO metric"}
            set={(change) => set(texts(change))}
          />
        );
      }}
      method="ISO 261/262 and ASME B1.1; British Association and metric from before ISO from memory. Allowed for: tolerance as made, 0.05 mm of wear, 0.02 mm of plating. A true M3 measures 2.87 to 2.98 mm."
    />
  );
}
