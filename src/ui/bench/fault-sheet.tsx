"use client";
import { useState } from "react";
import type { Fault } from "@/core/diagnosis/faults";
import type { Isolation, ReelSection } from "@/core/diagnosis/isolation";
import type { Action } from "@/ui/act/press";
import { useAct } from "@/ui/act/use-act";
import { Refused } from "@/ui/controls/field";
import { type BenchHead, BenchSheet } from "./bench-sheet";
import { NextLink } from "./next-link";

const sectionWords: Record<ReelSection, string> = {
  "gear-side": "Gear side",
  "spool-side": "Spool side",
  "shaft-line": "Line of the shafts",
  drag: "Drag",
  "anti-reverse": "Anti-reverse",
  click: "Click",
  bail: "Bail and roller",
  "level-wind": "Level wind",
  controls: "Levers and clutch",
  outside: "Outside and seals",
};

interface Props {
  readonly head: BenchHead;
  readonly faults: readonly Fault[];
  readonly chosen: readonly string[];
  readonly isolations: readonly Isolation[];
  readonly tested: boolean;
  readonly complaint: string;
  readonly choose: Action<void>;
}

/** Which side to open, and what is wrong with it. The sides the tests point at come first; any fault of any side can be taken. */
export function FaultSheet({ head, faults, chosen, isolations, tested, complaint, choose }: Props) {
  const act = useAct(choose);
  const [look, setLook] = useState<string | null>(null);
  const pointed = isolations.map((isolation) => isolation.section);
  const sections = [...new Set([...pointed, ...(Object.keys(sectionWords) as ReelSection[])])];
  const shown = faults.find((fault) => fault.id === look) ?? faults.find((fault) => fault.id === chosen.at(-1)) ?? null;
  return (
    <BenchSheet
      head={head}
      station="find"
      act={<NextLink href={`/bench/${head.tag}/quote`} words={chosen.length ? `${chosen.length} found: on to Quote` : "On to Quote"} />}
    >
      <div className="grid gap-6 lg:grid-cols-[400px_1fr]">
        <div className="flex flex-col gap-3">
          <div>
            <p className="text-note">Says the customer</p>
            <p>{complaint || "nothing"}</p>
          </div>
          <h2>Open this first</h2>
          {isolations.map((isolation, index) => (
            <div key={isolation.section} className={index === 0 ? "border-2 border-ink p-3" : "rule-row pb-2"}>
              <p className="font-semibold">{isolation.open}</p>
              <p className="text-note">{isolation.because}</p>
            </div>
          ))}
          {!isolations.length && (
            <p>
              {tested
                ? "The tests found nothing off. Open only what the complaint needs."
                : "No test was made yet: the tests name the half to open."}
            </p>
          )}
          <p className="text-note">Rule: free spool against turning in gear (common practice).</p>
          <Refused message={act.message} />
          {shown && (
            <div className="border-t-2 border-ink pt-2">
              <h3>{shown.name}</h3>
              <p>Felt as: {shown.feltAs}.</p>
              <p>Tell it by: {shown.tellBy}</p>
              <p>
                Remedy: {shown.remedy.words}, <span className="num">{shown.remedy.minutes}</span> min (typical).
              </p>
              {shown.caution && <p className="alarm mt-2">{shown.caution} Makers, local rules and licensed practice stand above this.</p>}
            </div>
          )}
        </div>
        <div className="columns-1 gap-4 md:columns-2 xl:columns-3">
          {sections.map((section) => (
            <section key={section} className="mb-3 break-inside-avoid">
              <h3 className={pointed.includes(section) ? "border-b-2 border-ink" : "border-b border-ink"}>
                {sectionWords[section]}
                {pointed.includes(section) && " (the tests point here)"}
              </h3>
              <ul>
                {faults
                  .filter((fault) => fault.section === section)
                  .map((fault) => {
                    const taken = chosen.includes(fault.id);
                    return (
                      <li key={fault.id} className="mt-1">
                        <button
                          type="button"
                          className="key key-small w-full justify-between text-left"
                          aria-pressed={taken}
                          disabled={head.closed}
                          onFocus={() => setLook(fault.id)}
                          onMouseEnter={() => setLook(fault.id)}
                          onClick={() => act.press({ jobId: head.jobId, faultId: fault.id, wanted: !taken })}
                        >
                          {fault.name} <span className="num text-note font-normal whitespace-nowrap">{fault.remedy.minutes} min</span>
                        </button>
                      </li>
                    );
                  })}
              </ul>
            </section>
          ))}
        </div>
      </div>
    </BenchSheet>
  );
}
