"use client";
import { useDraggable, useDroppable } from "@dnd-kit/core";
import Link from "next/link";
import { moveWords, type WhoseMove } from "@/core/schedule/whose-move";
import type { RailDay, RailTag } from "./rail-types";
import { tagOutline } from "./tag-outline";

const dayWidth = 152;
const hourHeight = 68;
const tagWidth = 136;
/** Below the foot of a day there is room for what is too much. */
const overflow = 20;
/** How far what is too much is drawn, and for how many hours. */
const drawnOver = (minutes: number) => Math.min(40, 8 + (minutes / 60) * 10);

/**
 * The coming days as one unbroken rail, to scale in bench hours downward; claim tags hang under the day they were promised, and go to another day
 * where they are dragged.
 * @param chances of 100, by unit, that its day holds; null while nobody knows.
 */
export function RackRail({
  days,
  hoursPerDay,
  chances,
  least,
}: {
  days: readonly RailDay[];
  hoursPerDay: number;
  chances: ReadonlyMap<string, number> | null;
  /** Under so many of 100 a tag is said to slip. */
  least: number;
}) {
  const depth = hoursPerDay * hourHeight;
  const width = days.length * dayWidth;
  const height = footOf(Math.max(hoursPerDay * 60, ...days.map(({ footMinutes }) => footMinutes))) + overflow;
  return (
    <div className="flex-1 overflow-x-auto">
      <div className="relative" style={{ width: Math.max(width, 1), height }}>
        <svg aria-hidden="true" className="absolute inset-0" width={width} height={height}>
          <path d={`M0 36H${width}M0 42H${width}`} className="ln-outline" />
          <path
            d={days
              .map((_, i) => {
                const x = i * dayWidth + 1;
                const hours = Array.from({ length: Math.floor(hoursPerDay) }, (_, h) => `M${x} ${42 + (h + 1) * hourHeight}h6`);
                return `M${x} 0V${depth + 42}${hours.join("")}`;
              })
              .join("")}
            className="ln-leader"
          />
          <path d={`M0 ${depth + 42}H${width}`} className="ln-axis" />
          {days.map((day, i) =>
            day.overMinutes > 0 ? (
              <Overfull key={day.day} x={i * dayWidth} foot={footOf(day.footMinutes)} height={drawnOver(day.overMinutes)} />
            ) : null,
          )}
        </svg>
        <ol>
          {days.map((day, i) => (
            <Day key={day.day} day={day} first={i === 0} left={i * dayWidth} chances={chances} least={least} />
          ))}
        </ol>
      </div>
      <p className="mt-1 flex flex-wrap gap-x-6 gap-y-1 text-note">
        <span>One mark = one bench hour; a tag is as long as its work. Drag it to another day.</span>
        <span>Number: chance of keeping the date, %.</span>
        {(Object.keys(moveWords) as WhoseMove[]).map((move) => (
          <span key={move} className="flex items-center gap-2">
            <svg aria-hidden="true" width="30" height="22" viewBox="-1 -1 66 46">
              <path d={tagOutline(move, 64, 44)} className="ln-outline fl-sheet" />
            </svg>
            {move === "shelf" ? moveWords[move] : `waiting on ${moveWords[move]}`}
          </span>
        ))}
      </p>
    </div>
  );
}

/** How far down the rail a minute of a day lies, px. */
const footOf = (minutes: number): number => 42 + (minutes / 60) * hourHeight;

/** What does not fit into a day bulges out under its foot, hatched. */
function Overfull({ x, foot, height }: { x: number; foot: number; height: number }) {
  const [left, right] = [x + 6, x + dayWidth - 6];
  const hatch = Array.from({ length: Math.floor((dayWidth - 12) / 8) }, (_, i) => {
    const at = left + i * 8;
    return `M${at} ${foot + height}L${Math.min(right, at + height)} ${foot + Math.max(0, height - (right - at))}`;
  }).join("");
  return (
    <>
      <path d={hatch} className="ln-hatch" />
      <path d={`M${left} ${foot}V${foot + height}H${right}V${foot}`} className="ln-outline fl-none" />
    </>
  );
}

function Day({
  day,
  first,
  left,
  chances,
  least,
}: {
  day: RailDay;
  first: boolean;
  left: number;
  chances: ReadonlyMap<string, number> | null;
  least: number;
}) {
  const { setNodeRef, isOver } = useDroppable({ id: day.day });
  return (
    <li ref={setNodeRef} className="absolute top-0" style={{ left, width: dayWidth, height: footOf(day.footMinutes) }}>
      {isOver && <span aria-hidden="true" className="absolute inset-x-1 top-9 bottom-0 border-2 border-dashed border-current" />}
      <div className="flex h-9 items-end justify-between px-2 pb-1">
        <span className={first ? "font-semibold" : ""}>{day.words}</span>
        <span className={`num text-note ${day.overMinutes > 0 ? "font-semibold" : ""}`}>
          {day.shut !== null ? "shut" : day.promisedMinutes > 0 && `${(day.promisedMinutes / 60).toFixed(1)} h`}
        </span>
      </div>
      <ul className="relative mt-1.5">
        {day.tags.map((tag) => (
          <Tag key={tag.tag} tag={tag} chance={chances?.get(tag.unit) ?? null} least={least} />
        ))}
      </ul>
      {day.overMinutes > 0 && (
        <p className="absolute text-note font-semibold" style={{ top: footOf(day.footMinutes) + 4, left: 14 }}>
          <span className="bg-[var(--color-sheet)] px-1">over by {(day.overMinutes / 60).toFixed(1)} h</span>
        </p>
      )}
    </li>
  );
}

/** A cut at the foot of a short tag takes the place of its last words: they stand beside it. */
const besideCut: Readonly<Record<RailTag["move"], string>> = { ours: "", customer: "", supplier: "pr-4", shelf: "pl-4" };

function Tag({ tag, chance, least }: { tag: RailTag; chance: number | null; least: number }) {
  const height = (tag.lengthMinutes / 60) * hourHeight - 6;
  const top = (tag.fromMinutes / 60) * hourHeight + 6;
  const { setNodeRef, listeners, transform, isDragging } = useDraggable({ id: tag.unit });
  const slips = chance !== null && chance < least;
  return (
    <li
      ref={setNodeRef}
      {...listeners}
      className={`absolute touch-manipulation ${isDragging ? "z-20 cursor-grabbing opacity-90" : ""}`}
      style={{ top, left: 10, width: tagWidth, height, transform: transform ? `translate(${transform.x}px, ${transform.y}px)` : undefined }}
    >
      <Link href={tag.href} draggable={false} className="relative block h-full overflow-hidden">
        <svg aria-hidden="true" className="absolute inset-0" width={tagWidth} height={height} viewBox={`0 0 ${tagWidth} ${height}`}>
          <path d={tagOutline(tag.move, tagWidth - 2, height - 2)} transform="translate(1 1)" className="ln-outline fl-sheet" />
          <circle cx={tagWidth / 2} cy="8" r="3.5" className="ln-leader" />
          {tag.late && <path d={`M6 ${height - 14}V${height - 6}H40`} className="ln-leader" />}
        </svg>
        <span className="relative block overflow-hidden px-2 pt-2.5 leading-4">
          <span className="num text-note flex justify-between font-medium">
            <span className="truncate">{tag.tag}</span>
            {chance !== null && (
              <span className={slips ? "border-2 border-current px-0.5 leading-3 font-semibold" : ""}>
                {chance}
                <span className="sr-only"> %{slips ? ": likely to be late" : ""}</span>
              </span>
            )}
          </span>
          <span className="block truncate font-semibold">{tag.owner}</span>
          <span className={`text-note block truncate leading-4 ${besideCut[tag.move]}`}>
            {tag.late ? "LATE · " : ""}
            {tag.station}
            {tag.since && ` · ${tag.since}`}
          </span>
          <span className="sr-only">
            {tag.reel}, {tag.move === "shelf" ? moveWords[tag.move] : `waiting on ${moveWords[tag.move]}`}
          </span>
        </span>
      </Link>
    </li>
  );
}
