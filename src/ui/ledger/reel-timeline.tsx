import Link from "next/link";
import { shareOfTime } from "@/core/history/parts-by-age";

interface Props {
  readonly visits: readonly { readonly tag: string; readonly on: string; readonly words: string; readonly open: boolean }[];
  readonly due: readonly { readonly id: string; readonly on: string; readonly words: string }[];
  readonly today: string;
}

const width = 1000;
const height = 86;

/** Every visit and what is due next on one line of time, to scale; what lies ahead is dashed. */
export function ReelTimeline({ visits, due, today }: Props) {
  const days = [...visits.map(({ on }) => on), ...due.map(({ on }) => on), today].sort();
  const [from, to] = [days[0]!, days.at(-1)!];
  const x = (day: string) => 20 + shareOfTime(day, from, to) * (width - 40);
  const years = Array.from(
    { length: Number(to.slice(0, 4)) - Number(from.slice(0, 4)) },
    (_, i) => `${Number(from.slice(0, 4)) + 1 + i}-01-01`,
  );
  return (
    <figure className="my-2">
      <svg
        viewBox={`0 0 ${width} ${height}`}
        className="w-full"
        role="img"
        aria-label={`${visits.map(({ words }) => words).join("; ")}. Due: ${due.map(({ words }) => words).join("; ") || "nothing known"}`}
      >
        <line x1={x(from)} x2={x(today)} y1={44} y2={44} className="ln-outline" />
        <line x1={x(today)} x2={x(to)} y1={44} y2={44} className="ln-hidden" />
        {years.map((day) => (
          <g key={day}>
            <line x1={x(day)} x2={x(day)} y1={28} y2={50} className="ln-leader" />
            <text x={x(day) + 3} y={24} className="fl-ink text-note">
              {day.slice(0, 4)}
            </text>
          </g>
        ))}
        {visits.map((visit) => (
          <path key={visit.tag} d={`M${x(visit.on)} 44l8 -14h-16z`} className="fl-ink" />
        ))}
        <line x1={x(today)} x2={x(today)} y1={28} y2={56} className="ln-outline" />
        <text x={x(today)} y={76} textAnchor="middle" className="fl-ink text-note">
          today
        </text>
        {due.map(({ id, on }) => (
          <path key={id} d={`M${x(on)} 46l6 10h-12z`} className="ln-leader" fill="none" />
        ))}
      </svg>
      <figcaption className="flex flex-wrap gap-x-6 text-note">
        <span>
          Visits:{" "}
          {visits.map((visit) => (
            <Link key={visit.tag} className="act-link num mr-2 inline-flex min-h-6 items-center" href={`/bench/${visit.tag}`}>
              {visit.words}
            </Link>
          ))}
        </span>
        {due.length > 0 && <span>Due (open triangles): {due.map(({ words }) => words).join("; ")}</span>}
      </figcaption>
    </figure>
  );
}
