"use client";
import { knobForce, ratioOfCounts, retrievePerTurn, simplestFraction, toothPairs } from "@/core/gearing/gearing";
import { diameterWithLeft } from "@/core/line/line";
import { GearDrawing } from "./drawn/gear-drawing";
import { shown, typedMm, typedNumber } from "./figures/typed";
import { FormGauge, type GaugeAnswer } from "./form-gauge";
import { above, drawnPx, type Opened, type Own } from "./gauge-parts";
import { GearSoundField } from "./sound-field";

export function GearingSheet({ job, own }: Opened & { own: readonly Own[] }) {
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
      words: `Ratio ${shown(interval.ratio, 3)} (${shown(interval.low, 3)} to ${shown(interval.high, 3)}); ${shown(full / 1000, 3)} m a turn full, ${shown(empty / 1000, 3)} m nearly empty.${typed.heard ? ` Heard: ${typed.heard}.` : ""}`,
      rows: [
        ...(typed.heard ? ([["Heard as it turns", typed.heard]] as const) : []),
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
      extra={(set, typed) => {
        const [handle, spool] = [typedNumber(typed.handleTurns!), typedNumber(typed.spoolTurns!)];
        // Counted teeth are whole numbers; counted turns leave the gear's teeth unknown.
        const teeth = typedNumber(typed.offTurns!) === 0 && Number.isInteger(spool) && spool >= 15 ? spool : null;
        return above(handle, spool) ? (
          <GearSoundField ratio={spool / handle} gearTeeth={teeth} onHeard={(heard) => set({ heard })} />
        ) : null;
      }}
      method="Ratio = turns over turns; retrieve = ratio × π × diameter. Teeth from 5 to 20 on the pinion, to 120 on the gear; the simplest fraction by the Stern–Brocot tree."
    />
  );
}
