import Link from "next/link";
import type { BenchAsk, BenchOrder, BenchRow } from "@/core/schedule/bench-list";
import { moveWords } from "@/core/schedule/whose-move";
import { stationNames } from "@/ui/bench/stations-words";
import { dayWords, sinceWords } from "@/ui/dates";

const columns: readonly { readonly order: BenchOrder | null; readonly words: string }[] = [
  { order: null, words: "Tag" },
  { order: "reel", words: "Reel" },
  { order: "owner", words: "Owner" },
  { order: "station", words: "Station" },
  { order: "move", words: "Waiting on" },
  { order: "since", words: "Untouched" },
  { order: "left", words: "Left" },
  { order: "promised", words: "Promised" },
];

/** The list, sorted by a press on a heading. */
export function BenchTable({ rows, ask }: { rows: readonly BenchRow[]; ask: BenchAsk }) {
  const sortedBy = (order: BenchOrder) => {
    const kept = { tag: ask.words, station: ask.station, move: ask.move, person: ask.person, order };
    return `/bench?${new URLSearchParams(Object.entries(kept).flatMap(([name, value]) => (value ? [[name, value]] : [])))}`;
  };
  const now = new Date().toISOString();
  return (
    <div className="overflow-x-auto">
      <table className="plain-table mt-2">
        <thead>
          <tr>
            {columns.map(({ order, words }) => (
              <th key={words} aria-sort={order === ask.order ? "ascending" : undefined}>
                {order === null || order === ask.order ? (
                  words
                ) : (
                  <Link className="act-link" href={sortedBy(order)} prefetch={false}>
                    {words}
                  </Link>
                )}
                {order === ask.order && " ↓"}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.tag}>
              <td className="num">
                <Link className="act-link whitespace-nowrap" href={`/bench/${row.tag}`} prefetch={false}>
                  {row.tag}
                </Link>
              </td>
              <td>
                {row.reel} <span className="num text-note">{row.serial}</span>
                {row.lot !== null && <span className="block text-note">{row.lot}</span>}
              </td>
              <td>{row.owner}</td>
              <td>{stationNames[row.station]}</td>
              <td>{moveWords[row.move]}</td>
              <td className="whitespace-nowrap">{sinceWords(row.since, now) || "today"}</td>
              <td className="num whitespace-nowrap">{row.minutesLeft} min</td>
              <td className="whitespace-nowrap">{dayWords(row.promisedOn)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
