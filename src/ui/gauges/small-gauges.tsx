"use client";
import type { PartType } from "@/core/anatomy/types";
import { answerBearing, bearingFault, materialAdvice } from "@/core/bearings/bearing-answer";
import { knobForce, ratioOfCounts, retrievePerTurn, simplestFraction, toothPairs } from "@/core/gearing/gearing";
import { backingM, capacityM, diameterForCapacity, diameterWithLeft, lineFault, nylonByBreakingKg } from "@/core/line/line";
import { fitSpin } from "@/core/spin/fit-spin";
import { lineInertia, lossTorqueNmm } from "@/core/spin/inertia";
import { lossTerms, lossWords, spinDown } from "@/core/spin/losses";
import { findThread, type ThreadMeasure, threadFault } from "@/core/threads/find-thread";
import { stressArea } from "@/core/threads/thread-table";
import type { Action } from "@/ui/act/press";
import { Field } from "@/ui/controls/field";
import { BearingDrawing, GearDrawing, LineDrawing, SpinDrawing, ThreadDrawing } from "./drawn/drawings";
import { FormGauge, type GaugeAnswer } from "./form-gauge";
import type { GaugeJob } from "./gauge-frame";
import { SoundField } from "./sound-field";
import { shown, typedMm, typedNumber } from "./typed";

/** A part of the catalogue as a finder lists it. */
export interface CataloguePart {
  readonly type: Pick<PartType, "number" | "name" | "shape" | "thread">;
  readonly stock: number;
  readonly bin: string;
  readonly models: readonly string[];
}

interface Opened {
  readonly job: GaugeJob | null;
  readonly keep: Action<void>;
}
interface Own {
  readonly name: string;
  readonly values: Readonly<Record<string, string>>;
}

const shelf = ({ type, stock, bin, models }: CataloguePart): readonly [string, string] => [
  `${type.number} ${type.name}`,
  `${stock ? `${stock} in ${bin}` : "none in a bin"}${models.length ? `; in ${models.slice(0, 3).join(", ")}${models.length > 3 ? ` and ${models.length - 3} more` : ""}` : ""}`,
];

export function BearingSheet({ job, keep, own, catalogue }: Opened & { own: readonly Own[]; catalogue: readonly CataloguePart[] }) {
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
      keep={keep}
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

export function ScrewSheet({ job, keep, own, catalogue }: Opened & { own: readonly Own[]; catalogue: readonly CataloguePart[] }) {
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
      keep={keep}
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

const drawnPx = { widthPx: 560, heightPx: 210 };
const above = (...values: readonly number[]) => values.every((value) => Number.isFinite(value) && value > 0);
/** Numbers of a drawing as they are typed. */
const texts = (change: Readonly<Record<string, number | undefined>>) =>
  Object.fromEntries(Object.entries(change).map(([key, value]) => [key, String(value)]));

/** Pulse times as typed or pasted: seconds, by lines, spaces or semicolons. */
const timesOf = (text: string): number[] =>
  text
    .split(/[\s;]+/)
    .filter(Boolean)
    .map((time) => typedNumber(time.split("@")[0]!));

/** Which pulse each time is: one after the other, or what stands behind an @ where some were missed. */
const placesOf = (text: string): number[] =>
  text
    .split(/[\s;]+/)
    .filter(Boolean)
    .map((time, i) => (time.includes("@") ? typedNumber(time.split("@")[1]!) : i));

/** A spin of a spool with a tight cap, simulated, to begin with. */
const sampleTimes = (() => {
  const times: number[] = [];
  for (const { t, angle } of spinDown(120, { a: 6, b: 0.1, c: 0.0006 }, 14, 2000)) if (angle >= times.length * 2 * Math.PI) times.push(t);
  return times.map((time) => time.toFixed(4)).join(" ");
})();

export function SpinSheet({ job, keep, own = [] }: Opened & { own?: readonly Own[] }) {
  const compute = (typed: Readonly<Record<string, string>>): GaugeAnswer => {
    const times = timesOf(typed.times!);
    if (times.some((time) => !Number.isFinite(time)))
      return { fault: { field: "times", message: "Pulse times are numbers in seconds, one after the other." } };
    const perTurn = typedNumber(typed.perTurn!);
    if (!(perTurn >= 1 && Number.isInteger(perTurn)))
      return { fault: { field: "perTurn", message: "Marks on the spool: a whole number from 1." } };
    if (times.length < 8) return { fault: { field: "times", message: "At least eight pulses." } };
    if (times.some((time, i) => i > 0 && !(time > times[i - 1]!)))
      return { fault: { field: "times", message: "The times rise from pulse to pulse." } };
    const spool = typed.inertia!.trim() === "" ? 0 : typedNumber(typed.inertia!);
    if (!(spool >= 0 && spool < 1e6)) return { fault: { field: "inertia", message: "The bare spool's inertia in g·cm², or empty." } };
    const [arborMm, lineMm, widthMm] = [typedMm(typed.arborMm!), typedMm(typed.lineMm!), typedMm(typed.widthMm!)];
    const inertia = spool > 0 ? spool + (lineMm > arborMm && widthMm > 0 ? lineInertia(arborMm, lineMm, widthMm) : 0) : 0;
    const places = placesOf(typed.times!);
    if (places.some((place, i) => !Number.isInteger(place) || (i > 0 && !(place > places[i - 1]!))))
      return { fault: { field: "times", message: "Behind an @ stands which pulse it is: whole numbers that rise." } };
    const fit = fitSpin(times, perTurn, places);
    const losses = { a: fit.terms.a.value, b: fit.terms.b.value, c: fit.terms.c.value };
    const seconds = times.at(-1)! - times[0]!;
    const there = lossTerms.filter((term) => fit.terms[term].there);
    const simulated = typed.times === sampleTimes;
    return {
      big: `${shown(fit.standardStopS, 3)} s`,
      words: `${simulated ? "Spin of simulated times" : "Spin"}: from 1000 turns a minute it would stand after ${shown(fit.standardStopS, 3)} s. ${fit.cannot || `Losses: ${there.map((term) => lossWords[term].split(":")[0]).join(", ") || "not told apart"}.`}`,
      rows: lossTerms.map((term): readonly [string, string] => {
        const { value, low, high, there: so } = fit.terms[term];
        return [
          lossWords[term],
          `${so ? `${shown(value, 3)} (${shown(low, 3)} to ${shown(high, 3)})` : `may be none, at most ${shown(high, 2)}`}${
            term === "a" && inertia > 0
              ? `; ${shown(lossTorqueNmm(value, inertia), 2)} N·mm (${shown(lossTorqueNmm(low, inertia), 2)} to ${shown(lossTorqueNmm(high, inertia), 2)})`
              : ""
          }`,
        ];
      }),
      notes: [
        ...(fit.cannot ? [fit.cannot] : []),
        inertia > 0
          ? "Rubbing as a torque compares at any line fill; compare the others at equal fill and brake state."
          : "They are torques over the inertia that turns: compare them only at equal line fill and brake state, or give the inertia.",
      ],
      chart: {
        curves: [
          {
            name: "measured",
            points: times.slice(1).map((time, i) => ({
              x: (time + times[i]!) / 2 - times[0]!,
              y: (60 * (places[i + 1]! - places[i]!)) / ((time - times[i]!) * perTurn),
            })),
            line: "solid",
          },
          {
            name: "fitted",
            points: spinDown(fit.startRadPerS, losses, seconds, 20).map(({ t, speed }) => ({ x: t, y: (speed * 60) / (2 * Math.PI) })),
            line: "dashed",
          },
        ],
        xName: "s",
        yName: "turns a minute",
        summary: `${simulated ? "Dashed: simulated" : "Thick: measured"}, ${times.length} pulses over ${shown(seconds, 3)} s. Thin: the law with its losses.`,
      },
    };
  };
  return (
    <FormGauge
      gauge="spin"
      job={job}
      keep={keep}
      title="Spool losses"
      fields={[
        { key: "perTurn", label: "Pulses a turn" },
        { key: "inertia", label: "Bare spool's inertia, g·cm² (or empty)" },
        { key: "arborMm", label: "Arbor diameter, mm" },
        { key: "lineMm", label: "Diameter over the line, mm" },
        { key: "widthMm", label: "Between the flanges, mm" },
      ]}
      initial={{ perTurn: "1", inertia: "", arborMm: "", lineMm: "", widthMm: "", ...own[0]?.values, times: sampleTimes }}
      compute={compute}
      draw={(typed, set) => {
        const marks = typedNumber(typed.perTurn!);
        return above(marks) ? (
          <SpinDrawing
            {...drawnPx}
            heightPx={170}
            marks={marks}
            lineMm={typedMm(typed.lineMm!) || 40}
            set={(n) => set({ perTurn: String(n) })}
          />
        ) : null;
      }}
      extra={(set, typed) => (
        <>
          <SoundField marksPerTurn={Math.max(1, Math.round(typedNumber(typed.perTurn!) || 1))} onTimes={(times) => set({ times })} />
          <Field
            label={typed.times === sampleTimes ? "Pulse times, s (simulated; paste your pickup's)" : "Pulse times, s"}
            error={undefined}
          >
            {(field) => (
              <textarea
                {...field}
                rows={10}
                className="num"
                value={typed.times ?? ""}
                onChange={(event) => set({ times: event.target.value })}
              />
            )}
          </Field>
        </>
      )}
      method="dω/dt = −(a + b·ω + c·ω²), fitted to the pulse times by least squares on the integrated law; a loss counts only if its 95 % interval excludes nothing. Start speed standardised at 1000 turns a minute."
    />
  );
}

export function GearingSheet({ job, keep, own }: Opened & { own: readonly Own[] }) {
  const compute = (typed: Readonly<Record<string, string>>): GaugeAnswer => {
    const value = (key: string) => (key.endsWith("Mm") ? typedMm : typedNumber)(typed[key]!);
    for (const [field, words] of [
      ["handleTurns", "Turns of the handle, above 0."],
      ["spoolTurns", "Turns of the rotor or spool, above 0."],
      ["fullMm", "Diameter of the line on a full spool, above 0 mm."],
      ["handleMm", "Length of the handle, above 0 mm."],
    ] as const)
      if (!(value(field) > 0 && value(field) < 2000)) return { fault: { field, message: words } };
    if (!(value("offTurns") >= 0 && value("offTurns") <= 2))
      return { fault: { field: "offTurns", message: "Count tolerance: 0 to 2 turns." } };
    if (!(value("emptyMm") > 0 && value("emptyMm") <= value("fullMm")))
      return { fault: { field: "emptyMm", message: "Nearly empty it is no wider than full." } };
    const other = typed.other!.trim() === "" ? null : typedNumber(typed.other!);
    if (other !== null && !(other > 0.2 && other < 20)) return { fault: { field: "other", message: "A ratio from 0.2 to 20, or empty." } };
    const interval = ratioOfCounts(value("handleTurns"), value("spoolTurns"), value("offTurns"));
    const pairs = toothPairs(interval);
    const simplest = interval.high > interval.low ? simplestFraction(interval.low, interval.high) : null;
    const [full, empty] = [retrievePerTurn(interval.ratio, value("fullMm")), retrievePerTurn(interval.ratio, value("emptyMm"))];
    const knob = knobForce(10, value("fullMm") / 2, interval.ratio, value("handleMm"), 0.9);
    return {
      big: `${shown(interval.ratio, 3)} : 1`,
      words: `Ratio ${shown(interval.ratio, 3)} (${shown(interval.low, 3)} to ${shown(interval.high, 3)}); ${shown(full / 1000, 3)} m a turn full, ${shown(empty / 1000, 3)} m nearly empty.`,
      rows: [
        ...(simplest ? ([["Between", `${shown(interval.low, 4)} and ${shown(interval.high, 4)}`]] as const) : []),
        ...(simplest ? ([["Simplest fraction", `${simplest.over} : ${simplest.under}`]] as const) : []),
        ["Retrieve, full and nearly empty", `${shown(full, 4)} and ${shown(empty, 4)} mm a turn`],
        ["At the knob to lift 10 N at the line", `${shown(knob, 3)} N (efficiency 0.9, a rule of thumb)`],
        [
          "Tooth pairs within the count",
          pairs.length
            ? pairs
                .slice(0, 8)
                .map(({ gear, pinion }) => `${gear}/${pinion}`)
                .join(", ") + (pairs.length > 8 ? ` and ${pairs.length - 8} more` : "")
            : "none from 5 teeth up",
        ],
      ],
      notes: pairs.some(({ repeatsAfterGearTurns }) => repeatsAfterGearTurns === 1)
        ? ["Pairs whose counts divide meet the same teeth every turn: they wear in one place."]
        : [],
      chart: {
        curves: [
          {
            name: "retrieve",
            points: Array.from({ length: 21 }, (_, i) => {
              const mm = diameterWithLeft({ arborMm: value("emptyMm"), fullMm: value("fullMm"), widthMm: 1 }, i / 20);
              return { x: i * 5, y: retrievePerTurn(interval.ratio, mm) };
            }),
            line: "solid",
          },
        ],
        xName: "line left, %",
        yName: "mm a turn",
        summary: `From ${shown(empty, 3)} mm a turn nearly empty to ${shown(full, 3)} full.`,
      },
    };
  };
  return (
    <FormGauge
      gauge="gearing"
      job={job}
      keep={keep}
      title="Gearing and retrieve"
      fields={[
        { key: "handleTurns", label: "Turns of the handle, or pinion teeth" },
        { key: "spoolTurns", label: "Turns of spool or rotor, or gear teeth" },
        { key: "offTurns", label: "Count tolerance ±, turns" },
        { key: "fullMm", label: "Line across, full spool, mm" },
        { key: "emptyMm", label: "Line across, nearly empty, mm" },
        { key: "handleMm", label: "Handle, axis to knob, mm" },
        { key: "other", label: "Second speed or another set, ratio (or empty)" },
      ]}
      initial={{ handleTurns: "10", spoolTurns: "52", offTurns: "0.5", fullMm: "45", emptyMm: "30", handleMm: "60", other: "" }}
      presets={own}
      compute={compute}
      draw={(typed, set) => {
        const [handle, spool] = [typedNumber(typed.handleTurns!), typedNumber(typed.spoolTurns!)];
        if (!above(handle, spool)) return null;
        const pair = toothPairs(ratioOfCounts(handle, spool, Math.max(0.1, typedNumber(typed.offTurns!) || 0.1)))[0];
        return (
          <GearDrawing
            {...drawnPx}
            ratio={spool / handle}
            gear={pair?.gear ?? 40}
            pinion={pair?.pinion ?? 10}
            set={(ratio) => set({ spoolTurns: shown(ratio * handle, 4) })}
          />
        );
      }}
      method="Ratio = turns over turns; retrieve = ratio × π × diameter. Teeth from 5 to 20 on the pinion, to 120 on the gear; the simplest fraction by the Stern–Brocot tree."
    />
  );
}

export function LineSheet({ job, keep, own }: Opened & { own: readonly Own[] }) {
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
      keep={keep}
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
