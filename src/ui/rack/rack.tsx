"use client";
import {
  DndContext,
  type DragEndEvent,
  type DragOverEvent,
  MouseSensor,
  pointerWithin,
  TouchSensor,
  useSensor,
  useSensors,
} from "@dnd-kit/core";
import Link from "next/link";
import { useMemo, useState } from "react";
import { daysBetween } from "@/core/day/day";
import { chanceBy } from "@/core/promise/bench-simulation";
import { useAct } from "@/ui/act/use-act";
import { Field } from "@/ui/controls/field";
import { Key } from "@/ui/controls/keys";
import { Refused } from "@/ui/controls/refused";
import { type BenchToAsk, of100 } from "@/ui/promise/bench-to-ask";
import type { BenchQuestion } from "@/ui/promise/bench-worker";
import { Slips } from "@/ui/promise/slips";
import { useBenchReply, useBenchToAsk } from "@/ui/promise/use-bench";
import { RackRail } from "./rack-rail";
import type { Moving, RailDay, RailTag } from "./rail-types";

interface Props {
  readonly days: readonly RailDay[];
  readonly hoursPerDay: number;
  /** Changes with everything that is written: the bench is asked for anew. */
  readonly revision: number;
  readonly dayNames: Readonly<Record<string, string>>;
}

/** The chance that the day of each unit holds: that of its reel which is likeliest to be late. */
function chancesOf(
  asked: BenchToAsk,
  days: readonly RailDay[],
  reply: ReturnType<typeof useBenchReply>,
): ReadonlyMap<string, number> | null {
  if (reply?.kind !== "told") return null;
  const byKey = new Map(reply.told.map((told) => [told.key, told]));
  return new Map(
    days.flatMap(({ tags }) =>
      tags.flatMap((tag) => {
        const chances = tag.jobIds.flatMap((id) => {
          const chances = byKey.get(id);
          return chances ? [of100(chanceBy(chances, daysBetween(asked.today, tag.promisedOn)))] : [];
        });
        return chances.length ? [[tag.unit, Math.min(...chances)] as const] : [];
      }),
    ),
  );
}

/** A tag is a link: letting it go on another day opens nothing. */
function holdClicks(): void {
  const hold = (event: MouseEvent) => event.preventDefault();
  window.addEventListener("click", hold, { capture: true });
  const rest = () => setTimeout(() => window.removeEventListener("click", hold, { capture: true }), 100);
  for (const end of ["pointerup", "pointercancel", "touchend"]) window.addEventListener(end, rest, { once: true });
}

const moveQuestion = (asked: BenchToAsk, { tag, to }: Moving): BenchQuestion => ({
  kind: "change",
  bench: asked.bench,
  promised: asked.hanging,
  change: { kind: "moved", keys: tag.jobIds, to: daysBetween(asked.today, to) },
  seed: asked.seed,
  chance: asked.ask,
});

/** The rail with what is known of its days, and what a tag does on another day before it is let go there. */
export function Rack({ days, hoursPerDay, revision, dayNames }: Props) {
  const asked = useBenchToAsk(`?r=${revision}`);
  const all = useBenchReply(
    useMemo((): BenchQuestion | null => asked && { kind: "all", bench: asked.bench, seed: asked.seed, chance: asked.ask }, [asked]),
  );
  const [moving, setMoving] = useState<Moving | null>(null);
  const [moved, setMoved] = useState<{ readonly tag: RailTag; readonly from: string; readonly to: string } | null>(null);
  const act = useAct("move-promise");
  const tags = useMemo(() => new Map(days.flatMap((day) => day.tags.map((tag) => [tag.unit, tag]))), [days]);
  const chances = useMemo(() => (asked ? chancesOf(asked, days, all) : null), [asked, days, all]);
  const sensors = useSensors(
    // A finger that scrolls the rail takes no tag along: it has to rest on one first.
    useSensor(MouseSensor, { activationConstraint: { distance: 8 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 250, tolerance: 8 } }),
  );
  const put = ({ tag, to }: Moving) => {
    setMoving(null);
    if (to === tag.promisedOn) return;
    setMoved({ tag, from: tag.promisedOn, to });
    act.press({ jobIds: tag.jobIds, to });
  };
  const over = ({ active, over: on }: DragOverEvent | DragEndEvent): Moving | null => {
    const tag = tags.get(String(active.id));
    return tag && on ? { tag, to: String(on.id) } : null;
  };
  return (
    <DndContext
      id="rack"
      sensors={sensors}
      collisionDetection={pointerWithin}
      onDragStart={holdClicks}
      onDragOver={(event) => setMoving(over(event))}
      onDragCancel={() => setMoving(null)}
      onDragEnd={(event) => {
        const to = over(event);
        if (to) put(to);
        else setMoving(null);
      }}
    >
      <RackRail days={days} hoursPerDay={hoursPerDay} chances={chances} least={asked ? of100(asked.wanted) - 30 : 0} />
      {asked && moving && moving.to !== moving.tag.promisedOn && (
        <div className="sheet fixed right-4 bottom-4 left-4 z-10 p-4" aria-live="polite">
          <MoveEffect asked={asked} moving={moving} dayNames={dayNames} />
        </div>
      )}
      <Refused of={[act]} />
      {moved && !act.busy && !act.message && (
        <p role="status" className="flex flex-wrap items-center gap-x-3">
          {moved.tag.tag} is promised for {dayNames[moved.to] ?? moved.to} instead of {dayNames[moved.from] ?? moved.from}. Tell{" "}
          {moved.tag.owner}
          {moved.tag.phone && <span className="num">{moved.tag.phone}</span>}
          <Key
            className="key-small"
            onPress={() => {
              act.press({ jobIds: moved.tag.jobIds, to: moved.from });
              setMoved(null);
            }}
          >
            Undo
          </Key>
        </p>
      )}
      <div className="border-2 border-current bg-[var(--color-sheet)] px-4">
        <p className="float-right flex gap-6">
          <Link className="act-link inline-flex min-h-10 items-center" href="/bench">
            As a list
          </Link>
          <Link className="act-link inline-flex min-h-10 items-center" href="/rack/hours">
            People's hours
          </Link>
          <Link className="act-link inline-flex min-h-10 items-center" href="/rack/season">
            Season
          </Link>
        </p>
        <details>
          <summary className="act-link leading-10">Change a promised date</summary>
          <MoveForm asked={asked} tags={[...tags.values()]} dayNames={dayNames} put={put} />
        </details>
      </div>
    </DndContext>
  );
}

/** What moving a tag does: its own chance, and what slips by it. */
function MoveEffect({ asked, moving, dayNames }: { asked: BenchToAsk; moving: Moving; dayNames: Props["dayNames"] }) {
  const { tag, to } = moving;
  const reply = useBenchReply(useMemo(() => moveQuestion(asked, { tag, to }), [asked, tag, to]));
  const names = useMemo(() => new Map(asked.hanging.map(({ key, tag: name }) => [key, name])), [asked]);
  const words = `${tag.tag} from ${dayNames[tag.promisedOn] ?? tag.promisedOn} to ${dayNames[to] ?? to}`;
  if (reply?.kind !== "effects") return <p>{words}: working it out…</p>;
  const own = reply.effects.filter(({ key }) => tag.jobIds.includes(key));
  const least = (of: (effect: (typeof own)[number]) => number) => Math.min(...own.map((effect) => of100(of(effect))));
  return (
    <>
      <p>
        <strong>{words}</strong>
        {own.length > 0 && `: ${least(({ after }) => after)} % likely to be kept, was ${least(({ before }) => before)} %.`}
      </p>
      <Slips effects={reply.effects.filter(({ key }) => !tag.jobIds.includes(key))} tagOf={names} begins="Then" />
    </>
  );
}

function MoveForm({
  asked,
  tags,
  dayNames,
  put,
}: {
  asked: BenchToAsk | null;
  tags: readonly RailTag[];
  dayNames: Props["dayNames"];
  put: (moving: Moving) => void;
}) {
  const [unit, setUnit] = useState("");
  const [to, setTo] = useState("");
  const tag = tags.find((one) => one.unit === unit);
  const moving = useMemo(() => (tag && to ? { tag, to } : null), [tag, to]);
  return (
    <div className="flex flex-col gap-2">
      <div className="flex flex-wrap items-end gap-3">
        <Field label="Tag">
          {(field) => (
            <select {...field} value={unit} onChange={(event) => setUnit(event.target.value)}>
              <option value="">Choose</option>
              {tags.map((one) => (
                <option key={one.unit} value={one.unit}>
                  {one.tag}, {one.owner}, {dayNames[one.promisedOn] ?? one.promisedOn}
                </option>
              ))}
            </select>
          )}
        </Field>
        <Field label="New day">
          {(field) => <input {...field} type="date" value={to} onChange={(event) => setTo(event.target.value)} />}
        </Field>
        <Key disabled={!moving} onPress={() => moving && put(moving)}>
          Promise this day
        </Key>
      </div>
      {asked && moving && <MoveEffect asked={asked} moving={moving} dayNames={dayNames} />}
    </div>
  );
}
