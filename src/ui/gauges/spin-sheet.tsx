"use client";
import { fitPulses, noRunDown } from "@/core/spin/fit-run";
import { fitSpin } from "@/core/spin/fit-spin";
import { lineInertia, lossTorqueNmm } from "@/core/spin/inertia";
import { lossTerms, lossUnits, lossWords, spinDown } from "@/core/spin/losses";
import { Field } from "@/ui/controls/field";
import { SpinDrawing } from "./drawn/spin-drawing";
import { shown, typedMm, typedNumber } from "./figures/typed";
import { FormGauge, type GaugeAnswer } from "./form-gauge";
import { above, drawnPx, type Opened, type Own } from "./gauge-parts";
import { SoundField } from "./sound-field";

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

export function SpinSheet({ job, own = [] }: Opened & { own?: readonly Own[] }) {
  const compute = (typed: Readonly<Record<string, string>>): GaugeAnswer => {
    const typedTimes = timesOf(typed.times!);
    if (typedTimes.some((time) => !Number.isFinite(time)))
      return { fault: { field: "times", message: "Pulse times are numbers in seconds, one after the other." } };
    const perTurn = typedNumber(typed.perTurn!);
    if (!(perTurn >= 1 && Number.isInteger(perTurn)))
      return { fault: { field: "perTurn", message: "Marks on the spool: a whole number from 1." } };
    if (typedTimes.length < 8) return { fault: { field: "times", message: "At least eight pulses." } };
    if (typedTimes.some((time, i) => i > 0 && !(time > typedTimes[i - 1]!)))
      return { fault: { field: "times", message: "The times rise from pulse to pulse." } };
    const spool = typed.inertia!.trim() === "" ? 0 : typedNumber(typed.inertia!);
    if (!(spool >= 0 && spool < 1e6)) return { fault: { field: "inertia", message: "The bare spool's inertia in g·cm², or empty." } };
    const [arborMm, lineMm, widthMm] = [typedMm(typed.arborMm!), typedMm(typed.lineMm!), typedMm(typed.widthMm!)];
    const inertia = spool > 0 ? spool + (lineMm > arborMm && widthMm > 0 ? lineInertia(arborMm, lineMm, widthMm) : 0) : 0;
    const typedPlaces = placesOf(typed.times!);
    if (typedPlaces.some((place, i) => !Number.isInteger(place) || (i > 0 && !(place > typedPlaces[i - 1]!))))
      return { fault: { field: "times", message: "After an @ comes the number of the pulse: rising whole numbers." } };
    // Where nobody counted them, a pickup may have missed some or seen some twice.
    const { fit, times, places, missed, others } = typed.times!.includes("@")
      ? { fit: fitSpin(typedTimes, perTurn, typedPlaces), times: typedTimes, places: typedPlaces, missed: 0, others: 0 }
      : fitPulses(typedTimes, perTurn);
    const none = noRunDown(fit);
    if (none) return { fault: { field: "times", message: none } };
    const losses = { a: fit.terms.a.value, b: fit.terms.b.value, c: fit.terms.c.value };
    const seconds = times.at(-1)! - times[0]!;
    const present = lossTerms.filter((term) => fit.terms[term].there);
    const simulated = typed.times === sampleTimes;
    return {
      big: `${shown(fit.standardStopS, 3)} s`,
      words: `${simulated ? "Spin of simulated times" : "Spin"}: from 1000 turns a minute it would stop after ${shown(fit.standardStopS, 3)} s. ${fit.cannot || `Losses: ${present.map((term) => lossWords[term].split(":")[0]).join(", ") || "not told apart"}.`}`,
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
      // Simulated times are to try the gauge with: they are no reel's.
      figures: simulated
        ? []
        : lossTerms.map((term) => {
            const { value, low, high } = fit.terms[term];
            const torque = term === "a" && inertia > 0;
            const as = (x: number) => (torque ? lossTorqueNmm(x, inertia) : x);
            return {
              name: `Spin, ${lossWords[term].split(":")[0]}${torque ? " as a torque" : ""}`,
              value: as(value),
              low: as(low),
              high: as(high),
              unit: torque ? "N·mm" : lossUnits[term],
            };
          }),
      notes: [
        ...(fit.cannot ? [fit.cannot] : []),
        ...(missed || others
          ? [`By how it slows down, pulses missing: ${missed}; too many: ${others}. Allowed for; repeat the spin to be sure.`]
          : []),
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
      method="dω/dt = −(a + b·ω + c·ω²), fitted to the pulse times by least squares on the integrated law; where each mark stands, and how much of a pulse's spread is of angle, are found along with it. A loss counts only if its 95 % interval excludes nothing. Start speed standardised at 1000 turns a minute."
    />
  );
}
