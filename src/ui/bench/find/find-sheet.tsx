"use client";
import { type ReactNode, useState } from "react";
import { anatomyOfEdition } from "@/core/anatomy/anatomy-of-edition";
import type { Anatomy, PartType } from "@/core/anatomy/types";
import type { Isolation } from "@/core/diagnosis/isolation";
import type { LookLine } from "@/core/diagnosis/look-line";
import type { Suspect } from "@/core/diagnosis/suspect";
import { useAct } from "@/ui/act/use-act";
import { type BenchHead, BenchSheet } from "@/ui/bench/bench-sheet";
import { Cautions } from "@/ui/bench/cautions";
import { sectionWords } from "@/ui/bench/section-words";
import { Key } from "@/ui/controls/keys";
import { NextLink } from "@/ui/controls/next-link";
import { Refused } from "@/ui/controls/refused";
import { DrawnHere } from "@/ui/glyphs/drawn-here";
import { keptPlates } from "@/ui/glyphs/kept-plates";
import { PlateView, type Shade } from "@/ui/glyphs/plate";

interface Props {
  readonly head: BenchHead;
  readonly anatomy: Anatomy;
  readonly partTypes: Readonly<Record<string, PartType>>;
  readonly suspects: readonly Suspect[];
  /** What the reel seems to have been through, where what was noticed makes it likely. */
  readonly through: readonly { readonly words: string; readonly probability: number }[];
  /** What a fault's remedy may touch and hurt, by fault. */
  readonly remedyCautions: Readonly<Record<string, readonly string[]>>;
  /** What to look at next. */
  readonly looks: readonly LookLine[];
  readonly made: readonly { readonly finding: string; readonly name: string; readonly so: boolean }[];
  readonly isolations: readonly Isolation[];
  readonly nothing: number;
  readonly leftOut: readonly string[];
  readonly complaint: string;
  readonly use: readonly string[];
  /** What the kind of job puts first: the last visit, or what a seller says. */
  readonly above?: ReactNode;
  readonly next: { href: string; words: string };
}

const share = (p: number) => (p >= 0.995 ? "sure" : `${Math.round(p * 100)}%`);
const shadeOf = (p: number): Shade | 0 => (p >= 0.5 ? 3 : p >= 0.2 ? 2 : p >= 0.08 ? 1 : 0);

/** Which side to open, what to look at next, and what is most likely wrong with it; the drawing is hatched as densely as its parts are suspect. */
export function FindSheet({
  head,
  anatomy,
  partTypes,
  suspects,
  through,
  remedyCautions,
  looks,
  made,
  isolations,
  nothing,
  leftOut,
  complaint,
  use,
  above,
  next,
}: Props) {
  const looking = useAct("look");
  const settling = useAct("settle-fault");
  const [openId, setOpenId] = useState<string | null>(null);
  const [all, setAll] = useState(false);
  const first = looks[0];
  const tasks = suspects.filter((suspect) => suspect.task);
  const spoken = suspects.filter((suspect) => suspect.spokenFor || suspect.settled !== null || suspect.task);
  const settled = suspects.filter((suspect) => suspect.settled !== null);
  const shown = all ? suspects : [...spoken.filter((suspect) => suspect.settled === null).slice(0, 9), ...settled];
  const open = suspects.find((suspect) => suspect.id === openId) ?? shown[0] ?? null;
  const machine = anatomyOfEdition(anatomy, null);
  const types = new Map(Object.entries(partTypes));
  const shades = Object.fromEntries(
    machine.positions.flatMap((position) => {
      const role = types.get(position.partTypeId)?.role ?? "";
      const most = Math.max(
        0,
        ...suspects.filter((s) => s.spokenFor && s.settled !== false && s.partRoles.includes(role)).map((s) => s.probability),
      );
      const shade = shadeOf(most);
      return shade ? [[position.id, shade]] : [];
    }),
  );
  const plate = machine.positions.length ? keptPlates(machine, types)[0]! : null;
  const answer = (finding: string, so: boolean | null) => looking.press({ jobId: head.jobId, findingId: finding, so });
  const press = (faultId: string, proved: boolean | null) => settling.press({ jobId: head.jobId, faultId, proved });
  return (
    <BenchSheet
      head={head}
      station="find"
      act={
        <>
          <NextLink href={next.href} words={tasks.length ? `${tasks.length} found: on to ${next.words}` : `On to ${next.words}`} />
          {first && !head.closed && (
            <>
              <Key shortcut="y" words="First check: yes" busy={looking.busy || looking.stale} onPress={() => answer(first.finding, true)}>
                Yes
              </Key>
              <Key shortcut="n" words="First check: no" busy={looking.busy || looking.stale} onPress={() => answer(first.finding, false)}>
                No
              </Key>
            </>
          )}
        </>
      }
    >
      <Refused of={[looking, settling]} />
      {above}
      <div className="grid gap-6 lg:grid-cols-[400px_minmax(0,1fr)]">
        <div className="flex flex-col gap-3">
          <div>
            <p className="text-note">Customer reports</p>
            <p>
              {complaint || "nothing"}
              {use.length > 0 && <span className="text-note"> ({use.join(", ")})</span>}
            </p>
          </div>
          <div className="border-2 border-ink p-3">
            <h2>Open this first</h2>
            {isolations.length ? (
              isolations.map((isolation, index) => (
                <p key={isolation.section} className={index === 0 ? "font-semibold" : "mt-1"}>
                  {isolation.open}
                  {index === 0 && <span className="block font-normal text-note">{isolation.because}</span>}
                </p>
              ))
            ) : (
              <p>Tests don't point to a side yet.</p>
            )}
          </div>
          <h2>Check this next</h2>
          {!looks.length && <p>No further check would help.</p>}
          <ol className="flex flex-col gap-2">
            {looks.map((one, i) => (
              <li key={one.finding} className={i === 0 ? "border-2 border-ink p-2" : "rule-row pb-2"}>
                <p className={i === 0 ? "font-semibold" : ""}>{one.how}</p>
                <p className="text-note">
                  <span className="num">{one.minutes}</span> min{one.opening && `, ${one.opening}`}. {one.why}
                </p>
                {i > 0 && !head.closed && (
                  <span className="mt-1 flex gap-1">
                    <button
                      type="button"
                      className="key key-small"
                      disabled={looking.busy}
                      aria-label={`${one.name}: yes`}
                      onClick={() => answer(one.finding, true)}
                    >
                      Yes
                    </button>
                    <button
                      type="button"
                      className="key key-small"
                      disabled={looking.busy}
                      aria-label={`${one.name}: no`}
                      onClick={() => answer(one.finding, false)}
                    >
                      No
                    </button>
                  </span>
                )}
              </li>
            ))}
          </ol>
          {made.length > 0 && (
            <div>
              <h3>Checked</h3>
              <ul className="flex flex-wrap gap-1">
                {made.map((one) => (
                  <li key={one.finding}>
                    <button
                      type="button"
                      className="key key-small"
                      disabled={looking.busy || head.closed}
                      aria-label={`${one.so ? "" : "not: "}${one.name} ✕, take the answer back`}
                      onClick={() => answer(one.finding, null)}
                    >
                      {one.so ? "" : "not: "}
                      {one.name} ✕
                    </button>
                  </li>
                ))}
              </ul>
            </div>
          )}
        </div>
        <div className="flex min-w-0 flex-col gap-3">
          {plate && (
            <div className="h-[190px] border border-ink p-2">
              <DrawnHere>
                {() => (
                  <PlateView
                    plate={plate}
                    title="The reel, suspect parts hatched"
                    names={Object.fromEntries(
                      plate.callouts.map((callout) => [
                        callout.positionIds[0]!,
                        machine.assemblies.find((a) => a.id === machine.positions.find((p) => p.id === callout.positionIds[0])?.assemblyId)
                          ?.name ?? "",
                      ]),
                    )}
                    shades={shades}
                    onPick={(seatId) => {
                      const assembly = machine.positions.find((p) => p.id === seatId)?.assemblyId;
                      const roles = new Set(
                        machine.positions.filter((p) => p.assemblyId === assembly).map((p) => types.get(p.partTypeId)?.role ?? ""),
                      );
                      const suspect = spoken.find((s) => s.partRoles.some((role) => roles.has(role)));
                      if (suspect) setOpenId(suspect.id);
                    }}
                  />
                )}
              </DrawnHere>
            </div>
          )}
          <div className="grid gap-4 xl:grid-cols-[minmax(0,1fr)_300px]">
            <div>
              <div className="flex items-end justify-between gap-2">
                <h2>Most likely faults</h2>
                <span className="text-note">
                  nothing wrong: <span className="num">{share(nothing)}</span>
                </span>
              </div>
              {through.length > 0 && (
                <p className="text-note">
                  Pattern:{" "}
                  {through.map(({ words, probability }, i) => (
                    <span key={words}>
                      {i > 0 && ", "}
                      {words} <span className="num">{share(probability)}</span>
                    </span>
                  ))}
                  . These faults usually come together.
                </p>
              )}
              <ul>
                {shown.map((suspect) => (
                  <li key={suspect.id} className="rule-row flex items-center gap-2 py-1">
                    <button
                      type="button"
                      className="flex min-h-10 min-w-0 flex-1 items-center gap-2 text-left"
                      aria-pressed={open?.id === suspect.id}
                      onClick={() => setOpenId(suspect.id)}
                    >
                      <Bar p={suspect.settled === false ? 0 : suspect.probability} />
                      <span className={`${open?.id === suspect.id ? "text-ink" : "text-brass"} font-semibold`}>{suspect.name}</span>
                    </button>
                    <span className="num w-20 shrink-0 text-right text-note">
                      {suspect.settled === true ? "proved" : suspect.settled === false ? "ruled out" : share(suspect.probability)}
                    </span>
                  </li>
                ))}
              </ul>
              {!shown.length && <p>Nothing found points to a fault.</p>}
              <button type="button" className="key key-small mt-2" aria-pressed={all} onClick={() => setAll(!all)}>
                {all ? "Only faults with evidence" : `All faults possible in this reel (${suspects.length})`}
              </button>
              {leftOut.length > 0 && <p className="text-note">Too many linked faults to weigh at once; left out: {leftOut.join(", ")}.</p>}
            </div>
            {open && (
              <div className="flex flex-col gap-2 self-start border-2 border-ink p-3">
                <h3>{open.name}</h3>
                <p className="text-note">
                  {sectionWords[open.section]}. Feels like: {open.feltAs}. How to tell: {open.tellBy}
                </p>
                {open.reasons.length > 0 && (
                  <ul>
                    {open.reasons.map((reason) => (
                      <li key={reason.words}>
                        <span className="num">{reason.bits > 0 ? "+" : "−"}</span> {reason.words}
                      </li>
                    ))}
                  </ul>
                )}
                <p>
                  Remedy: {open.remedy}, <span className="num">{open.minutes}</span> min (typical).
                </p>
                <Cautions said={[...(open.caution ? [open.caution] : []), ...(remedyCautions[open.id] ?? [])]} />
                {!head.closed && (
                  <div className="flex flex-wrap gap-2">
                    <button
                      type="button"
                      className="key"
                      aria-pressed={open.settled === true}
                      disabled={settling.busy}
                      onClick={() => press(open.id, open.settled === true ? null : true)}
                    >
                      Proved
                    </button>
                    <button
                      type="button"
                      className="key"
                      aria-pressed={open.settled === false}
                      disabled={settling.busy}
                      onClick={() => press(open.id, open.settled === false ? null : false)}
                    >
                      Ruled out
                    </button>
                  </div>
                )}
              </div>
            )}
          </div>
        </div>
      </div>
    </BenchSheet>
  );
}

/** How likely, as a bar of ten strokes: seen from across the bench. */
function Bar({ p }: { p: number }) {
  return (
    <svg width="62" height="16" aria-hidden="true" className="shrink-0">
      {Array.from({ length: 10 }, (_, i) => (
        // Ten strokes in a row have no names of their own.
        // biome-ignore lint/suspicious/noArrayIndexKey: see above
        <path key={i} d={`M${2 + i * 6} 2v12`} className={i < Math.round(p * 10) ? "ln-outline" : "ln-hatch"} />
      ))}
    </svg>
  );
}
