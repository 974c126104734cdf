import Link from "next/link";
import { moveWords, type WhoseMove } from "@/core/schedule/whose-move";
import { tagOutline } from "./tag-outline";

interface RailTag {
  readonly tag: string;
  readonly href: string;
  readonly owner: string;
  readonly reel: string;
  readonly station: string;
  readonly move: WhoseMove;
  readonly late: boolean;
  readonly fromMinutes: number;
  readonly lengthMinutes: number;
}

interface RailDay {
  readonly day: string;
  readonly words: string;
  /** Why nobody works then; null when somebody does. */
  readonly shut: string | null;
  readonly tags: readonly RailTag[];
  readonly promisedMinutes: number;
  readonly overMinutes: number;
}

const dayWidth = 152;
const hourHeight = 72;
const tagWidth = 136;

/** The coming days as one unbroken rail, to scale in bench hours downward; claim tags hang under the day they were promised. */
export function RackRail({ days, hoursPerDay }: { days: readonly RailDay[]; hoursPerDay: number }) {
  const depth = hoursPerDay * hourHeight;
  const width = days.length * dayWidth;
  return (
    <div className="flex-1 overflow-x-auto">
      <div className="relative" style={{ width: Math.max(width, 1), height: depth + 62 }}>
        <svg aria-hidden="true" className="absolute inset-0" width={width} height={depth + 62}>
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
        </svg>
        <ol>
          {days.map((day, i) => (
            <li key={day.day} className="absolute top-0" style={{ left: i * dayWidth, width: dayWidth }}>
              <div className="flex h-9 items-end justify-between px-2 pb-1">
                <span className={i === 0 ? "font-semibold" : ""}>{day.words}</span>
                <span className="num text-note">
                  {day.shut !== null ? "shut" : day.promisedMinutes > 0 && `${(day.promisedMinutes / 60).toFixed(1)} h`}
                </span>
              </div>
              <ul className="relative mt-1.5">
                {day.tags.map((tag) => (
                  <Tag key={tag.tag} tag={tag} />
                ))}
              </ul>
              <p className="absolute text-note" style={{ top: depth + 44, left: 8 }}>
                {day.overMinutes > 0 ? `over by ${(day.overMinutes / 60).toFixed(1)} h` : ""}
              </p>
            </li>
          ))}
        </ol>
      </div>
      <p className="mt-1 flex flex-wrap gap-6 text-note">
        <span>One mark down a day is one bench hour. A tag is as long as the work left in it.</span>
        {(Object.keys(moveWords) as WhoseMove[]).map((move) => (
          <span key={move} className="flex items-center gap-2">
            <svg aria-hidden="true" width="30" height="22" viewBox="-1 -1 66 46">
              <path d={tagOutline(move, 64, 44)} className="ln-outline fl-sheet" />
            </svg>
            {move === "ours" ? "our move" : move === "shelf" ? "ready, on the shelf" : `${moveWords[move]} move`}
          </span>
        ))}
      </p>
    </div>
  );
}

/** A cut at the foot of a short tag takes the place of its last words: they stand beside it. */
const besideCut: Readonly<Record<RailTag["move"], string>> = { ours: "", customer: "", supplier: "pr-4", shelf: "pl-4" };

function Tag({ tag }: { tag: RailTag }) {
  const height = (tag.lengthMinutes / 60) * hourHeight - 6;
  const top = (tag.fromMinutes / 60) * hourHeight + 6;
  return (
    <li className="absolute" style={{ top, left: 10, width: tagWidth, height }}>
      <Link href={tag.href} className="relative block h-full overflow-hidden">
        <svg aria-hidden="true" className="absolute inset-0" width={tagWidth} height={height} viewBox={`0 0 ${tagWidth} ${height}`}>
          <path d={tagOutline(tag.move, tagWidth - 2, height - 2)} transform="translate(1 1)" className="ln-outline fl-sheet" />
          <circle cx={tagWidth / 2} cy="8" r="3.5" className="ln-leader" />
          {tag.late && <path d={`M6 ${height - 14}V${height - 6}H40`} className="ln-leader" />}
        </svg>
        <span className="relative block px-2 pt-3 leading-4">
          <span className="num text-note block font-medium">{tag.tag}</span>
          <span className="block truncate font-semibold">{tag.owner}</span>
          <span className={`text-note block truncate ${besideCut[tag.move]}`}>
            {tag.late ? "LATE · " : ""}
            {tag.station}
          </span>
          <span className="sr-only">
            {tag.reel}, move: {moveWords[tag.move]}
          </span>
        </span>
      </Link>
    </li>
  );
}
