"use client";
import { useState } from "react";
import type { Measured } from "@/core/measures/measures";
import { TextField } from "@/ui/controls/text-field";
import { shown } from "./figures/typed";
import { GaugeFrame, type GaugeJob } from "./gauge-frame";
import { PictureRuler } from "./picture-ruler";

/** The picture gauge for itself: what it measured is named and kept with the job. */
export function PictureSheet({ job }: { job: GaugeJob | null }) {
  const [what, setWhat] = useState("");
  const [measured, setMeasured] = useState<Measured | null>(null);
  const [input, setInput] = useState<unknown>(null);
  const name = what.trim() || "In a picture";
  const words = measured ? `${name}: ${shown(measured.mm, 3)} ± ${shown(measured.offMm, 2)} mm, by a ruler in it.` : "";
  return (
    <GaugeFrame
      gauge="picture"
      job={job}
      result={
        measured && {
          words,
          csv: `${what};${measured.mm.toFixed(3)};${measured.offMm.toFixed(3)}`,
          input: { what, ...(input as object) },
          figures: [{ name, unit: "mm", value: measured.mm, low: measured.mm - measured.offMm, high: measured.mm + measured.offMm }],
        }
      }
    >
      <div className="grid gap-6 lg:grid-cols-[minmax(0,360px)_minmax(0,1fr)]">
        <div className="flex flex-col gap-3">
          <h1>A length in a picture</h1>
          <TextField label="What is measured" value={what} onType={setWhat} />
          {measured && (
            <>
              <p className="num text-measure" data-result>
                {shown(measured.mm, 3)} mm
              </p>
              <p>
                ± <span className="num">{shown(measured.offMm, 2)}</span> mm, by how well a tap hits. Nearer with the camera is surer.
              </p>
            </>
          )}
        </div>
        <PictureRuler
          onMeasured={(length, taken) => {
            setMeasured(length);
            setInput(taken);
          }}
        />
      </div>
    </GaugeFrame>
  );
}
