"use client";
import { useEffect, useState } from "react";
import type { LeverDrag, Star } from "@/core/drag/adjusters";
import { type DragElement, type FrictionMaterial, frictionRanges, type PressureModel } from "@/core/drag/capacity";
import { type DragPathOfFit, dragVerdict, fitDrag, type MeasuredPull } from "@/core/drag/fit-drag";
import type { Figure } from "@/core/measures/taken";
import type { Phase } from "@/core/proving/observation";
import { ChoiceField, TextField } from "@/ui/controls/text-field";
import { shown, typedMm, typedNewtons, typedNumber } from "./figures/typed";

export type FitFigure = Figure & { readonly name: string; readonly unit: string };

interface Props {
  readonly elements: readonly DragElement[];
  /** What each is called, in the same order. */
  readonly names: readonly string[];
  readonly model: PressureModel;
  /** What squeezes it, as the sheet has it. */
  readonly squeeze: { readonly star: Star } | { readonly lever: LeverDrag };
  readonly path: DragPathOfFit;
  /** Pulls already taken at the bench. */
  readonly taken: readonly (MeasuredPull & { readonly phase: Phase })[];
  /** With every fit that has an interval, for the reel's series; null while there is none. */
  readonly onFigure: (figure: FitFigure | null) => void;
  /** Line radius of pulls typed without one. */
  readonly radiusMm: number;
}

const pullsOf = (text: string, radiusMm: number): MeasuredPull[] =>
  text
    .split(";")
    .map((pull) => pull.trim())
    .filter(Boolean)
    .map((pull) => {
      // "0.5 24", "0.5 5 lb", "60 24 18": turns or degrees, pull with or without its unit, line radius.
      const [, setting, force, radius] = /^(\S+)\s+([\d.,]+\s*[a-z#]*)(?:\s+(\S.*))?$/i.exec(pull) ?? [];
      return {
        setting: typedNumber(setting ?? ""),
        pullN: typedNewtons(force ?? ""),
        lineRadiusMm: radius === undefined ? radiusMm : typedMm(radius),
      };
    });

/** Pulls off the scale: the coefficient they tell, how sure it is, and what that says of the washers. */
export function MeasuredPanel({ elements, names, model, squeeze, taken, path, radiusMm, onFigure }: Props) {
  const newest = taken.some(({ phase }) => phase === "after") ? "after" : "before";
  const [text, setText] = useState(() =>
    taken
      .filter(({ phase }) => phase === newest)
      .map(({ setting, pullN, lineRadiusMm }) => `${shown(setting)} ${shown(pullN)} ${shown(lineRadiusMm)}`)
      .join("; "),
  );
  const [peak, setPeak] = useState("");
  const [known, setKnown] = useState("known");
  const [material, setMaterial] = useState("");
  const [looked, setLooked] = useState("all");
  const byLever = "lever" in squeeze;
  const pulls = pullsOf(text, radiusMm);
  const wrong = pulls.some(({ setting, pullN, lineRadiusMm }) => !(setting >= 0 && pullN >= 0 && lineRadiusMm > 0));
  const startPeak = peak.trim() === "" ? null : typedNumber(peak);
  const peakWrong =
    startPeak !== null && !(startPeak >= 0.5 && startPeak <= 10) ? "Start over running pull, such as 1.4; or empty." : undefined;
  let figure: FitFigure | null = null;
  let said: { value: string; verdict: string } | null = null;
  let refused: string | undefined = wrong
    ? byLever
      ? "Each pull: degrees of the lever and newtons, and the line's radius where it differs: 60 30; 90 52 22"
      : "Each pull: turns of the star and newtons, and the line's radius where it differs: 0.5 12; 1 25 22"
    : undefined;
  if (!wrong && pulls.length) {
    try {
      const fit = fitDrag(
        pulls,
        looked === "all" ? elements : elements.map((element, i) => ({ ...element, known: String(i) !== looked })),
        byLever
          ? { known: known === "known", lever: squeeze.lever }
          : known === "known"
            ? { ...squeeze.star, known: true }
            : { known: false, pitchMm: squeeze.star.pitchMm },
        path,
        model,
      );
      if (pulls.length > 1 && Number.isFinite(fit.high))
        figure = {
          name: fit.of === "mu" ? "Drag, coefficient" : "Drag, coefficient × stiffness",
          unit: fit.of === "mu" ? "" : "N/mm",
          value: fit.value,
          low: fit.low,
          high: fit.high,
        };
      const { says, because } = dragVerdict(
        fit,
        material === "" ? null : (material as FrictionMaterial),
        peakWrong ? null : startPeak,
        null,
      );
      said = {
        value:
          fit.of === "mu"
            ? `Coefficient ${shown(fit.value, 3)}${pulls.length > 1 ? ` (${shown(fit.low, 2)} to ${Number.isFinite(fit.high) ? shown(fit.high, 2) : "no end: another face slips first"})` : ", from one pull: no interval"}`
            : `Coefficient × stiffness ${shown(fit.value, 3)} N/mm: without ${byLever ? "the springs' stiffness" : "the springs' sizes"} pulls tell no more`,
        verdict: `${says}: ${because}.`,
      };
    } catch (error) {
      refused = error instanceof RangeError ? error.message : "These pulls do not fit together.";
    }
  }
  const asText = JSON.stringify(figure);
  useEffect(() => onFigure(JSON.parse(asText)), [asText, onFigure]);
  return (
    <details open={taken.length > 0} className="border-t border-ink pt-2">
      <summary className="act-link min-h-10">What measured pulls say</summary>
      <div className="grid grid-cols-2 gap-3">
        <TextField
          label={`${byLever ? "Degrees" : "Turns"} and pull, N (and radius, mm); one after the other`}
          value={text}
          error={refused}
          onType={setText}
        />
        <TextField label="Start over running pull, from a trace (or empty)" value={peak} error={peakWrong} onType={setPeak} />
        <ChoiceField
          label={byLever ? "Springs and plates" : "Tension washers"}
          of={
            byLever
              ? { known: "stiffness as above", unknown: "stiffness not known" }
              : { known: "sizes known, as above", unknown: "sizes not known" }
          }
          value={known}
          onChoose={setKnown}
        />
        <ChoiceField
          label="Look for the coefficient of"
          of={{
            all: "all friction washers",
            ...Object.fromEntries(elements.flatMap(({ mu }, i) => (mu === null ? [] : [[i, `${names[i]} alone; the others as typed`]]))),
          }}
          value={looked}
          onChoose={setLooked}
        />
        <ChoiceField
          label="Friction washers"
          of={{
            "": "carbon or another: your own data",
            ...Object.fromEntries(Object.entries(frictionRanges).map(([name, [low, high]]) => [name, `${name}: ${low} to ${high}`])),
          }}
          value={material}
          onChoose={setMaterial}
        />
      </div>
      {said && (
        <p role="status" className="mt-2">
          <strong>{said.value}.</strong> {said.verdict}
        </p>
      )}
      <p className="text-note">Least squares on the torque at the spool; ranges on steel after Shigley's clutch table, from memory.</p>
    </details>
  );
}
