"use client";
import { useEffect, useRef, useState } from "react";
import { threadOf } from "@/core/anatomy/thread";
import { hasTwoSides } from "@/core/anatomy/two-sides";
import type { PartType, Position } from "@/core/anatomy/types";
import { wearSignsOf } from "@/core/cleaning/wear-signs";
import { dressings, type WellVerdict, wellVerdictWords } from "@/core/teardown/verdicts";
import { type Lies, lieIds } from "@/core/teardown/way-round";
import type { Well } from "@/core/teardown/well";
import type { Choice } from "@/core/ways/ways";
import { useAct } from "@/ui/act/use-act";
import type { BenchHead } from "@/ui/bench/bench-sheet";
import { Field } from "@/ui/controls/field";
import { keepsTyped } from "@/ui/controls/keeps-typed";
import { Refused } from "@/ui/controls/refused";
import { Glyph } from "@/ui/glyphs/glyph";

interface Props {
  readonly head: BenchHead;
  readonly shown: Well;
  readonly position: Position;
  readonly type: PartType;
  /** When bearings are replaced on this job. */
  readonly bearings: Choice<"bearings">;
  /** Where it is looked at: coming off, or cleaned. */
  readonly at: "strip" | "clean";
}

/** The way of working of this job, where a bearing is judged. */
const bearingWords: Readonly<Record<Choice<"bearings">, string>> = {
  feel: "Replace if it feels rough when turned slowly under load.",
  talk: "Keep it while it is quiet; replace it when it gets noisy.",
  upgrade: "An upgrade fits here: stainless, ceramic, or a bearing in place of a bush.",
};

/** How a part lay and what it looks like. The verdict goes to Quote and Stores at once, and what became of it is said here. */
export function WellForm({ head, shown, position, type, at, bearings }: Props) {
  const [said, setSaid] = useState("");
  const [verdict, setVerdict] = useState(shown.verdict);
  // What was seen of it: the page's, or newer by what this form itself has written since.
  const seen = useRef(shown.rowVersion);
  useEffect(() => {
    seen.current = Math.max(seen.current, shown.rowVersion);
  }, [shown.rowVersion]);
  const form = useRef<HTMLFormElement>(null);
  const noting = useAct("note-well", ({ words }) => {
    seen.current += 1;
    setSaid(words || "Kept.");
  });
  const isScrew = type.shape.kind === "screw" || type.shape.kind === "nut" || type.shape.kind === "cap";
  const signs = wearSignsOf(type);
  return (
    <form
      ref={form}
      className="flex flex-col gap-2"
      onBlur={keepsTyped}
      onSubmit={(event) => {
        event.preventDefault();
        const data = new FormData(event.currentTarget);
        const typed = (name: string, otherwise = "") => String(data.get(name) ?? otherwise);
        setSaid("");
        noting.press({
          jobId: head.jobId,
          positionId: shown.positionId,
          verdict: typed("verdict") as WellVerdict,
          orientation: typed("orientation"),
          note: typed("note"),
          forOwner: data.get("forOwner") === "on",
          hole: typed("hole", shown.hole),
          thread: (typed("thread") as "right" | "left" | "") || null,
          lies: (typed("lies") as Lies | "") || null,
          foundCount: Number(data.get("foundCount") ?? shown.foundCount),
          dressed: typed("dressed"),
          // A part that has just come off is at its first state whatever the page has of it.
          seen: Math.max(seen.current, 1),
          at,
        });
      }}
    >
      <h2>
        Well {shown.well}: {position.name}
      </h2>
      <p className="text-note">Signs of wear: {signs.join("; ")}.</p>
      {type.shape.kind === "bearing" && <p className="text-note">{bearingWords[bearings]}</p>}
      <fieldset className="grid grid-cols-2 gap-1">
        <legend className="text-note font-normal">Condition</legend>
        {Object.entries(wellVerdictWords).map(([id, words]) => (
          <label
            key={id}
            className="flex min-h-9 cursor-pointer items-center gap-2 border border-brass px-2 font-semibold text-brass has-checked:bg-brass has-checked:text-sheet has-focus-visible:outline-3 has-focus-visible:outline-ink"
          >
            <input
              type="radio"
              name="verdict"
              value={id}
              defaultChecked={shown.verdict === id}
              className="h-4 min-h-0 w-4 accent-ink"
              // One press judges it; only a dressed part is asked how.
              onChange={() => {
                setVerdict(id as WellVerdict);
                if (id !== "dressed") form.current?.requestSubmit();
              }}
            />
            {words}
          </label>
        ))}
      </fieldset>
      {verdict === "dressed" && (
        <fieldset className="flex flex-wrap gap-1">
          <legend className="text-note font-normal">How it was dressed</legend>
          {dressings.map((how) => (
            <label
              key={how}
              className="flex min-h-9 cursor-pointer items-center gap-2 border border-brass px-2 text-brass has-checked:bg-brass has-checked:text-sheet has-focus-visible:outline-3 has-focus-visible:outline-ink"
            >
              <input
                type="radio"
                name="dressed"
                value={how}
                defaultChecked={shown.dressed === how}
                className="h-4 min-h-0 w-4 accent-ink"
                onChange={() => form.current?.requestSubmit()}
              />
              {how}
            </label>
          ))}
        </fieldset>
      )}
      {hasTwoSides(position, type) && (
        <fieldset className="grid grid-cols-2 gap-1">
          <legend className="text-note font-normal">Which way round it was</legend>
          {lieIds.map((id) => (
            <label
              key={id}
              className="flex min-h-9 cursor-pointer items-center gap-2 border border-brass px-2 text-brass has-checked:bg-brass has-checked:text-sheet has-focus-visible:outline-3 has-focus-visible:outline-ink"
            >
              <input
                type="radio"
                name="lies"
                value={id}
                defaultChecked={shown.lies === id}
                className="h-4 min-h-0 w-4 accent-ink"
                onChange={() => form.current?.requestSubmit()}
              />
              <span className="bg-sheet">
                <Glyph type={type} turned={id === "as-model" ? position.turned : !position.turned} widthPx={44} heightPx={36} />
              </span>
              {id === "as-model" ? "as drawn" : "turned over"}
            </label>
          ))}
        </fieldset>
      )}
      <Field label="Orientation as found" error={noting.fields.orientation}>
        {(field) => <input {...field} name="orientation" defaultValue={shown.orientation} autoComplete="off" />}
      </Field>
      <div className="grid grid-cols-[1fr_auto] gap-2">
        {isScrew ? (
          <Field label="Hole" error={noting.fields.hole}>
            {(field) => <input {...field} name="hole" defaultValue={shown.hole} autoComplete="off" />}
          </Field>
        ) : (
          <Field label="How many here" error={noting.fields.foundCount}>
            {(field) => (
              <input {...field} name="foundCount" type="number" min={0} max={20} defaultValue={shown.foundCount} className="num" />
            )}
          </Field>
        )}
        {isScrew && (
          <Field label="Thread" error={noting.fields.thread}>
            {(field) => (
              <select {...field} name="thread" defaultValue={threadOf(type, shown.thread)}>
                <option value="right">right-hand</option>
                <option value="left">left-hand</option>
              </select>
            )}
          </Field>
        )}
      </div>
      <Field label="Note" error={noting.fields.note}>
        {(field) => <input {...field} name="note" defaultValue={shown.note} autoComplete="off" />}
      </Field>
      <label className="flex min-h-10 cursor-pointer items-center gap-2">
        <input
          type="checkbox"
          name="forOwner"
          defaultChecked={shown.forOwner}
          className="h-5 min-h-0 w-5 accent-ink"
          onChange={() => form.current?.requestSubmit()}
        />
        The owner reads this note on the report
      </label>
      <button type="submit" className="key" disabled={noting.busy || head.closed}>
        Save
      </button>
      <Refused of={[noting]} beside />
      {said && <p role="status">{said}</p>}
    </form>
  );
}
