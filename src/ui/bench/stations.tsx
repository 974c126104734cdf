"use client";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useEffect, useRef } from "react";
import { stationsOf } from "@/core/intake/job-kinds";
import type { JobPath } from "@/core/vocabulary/job-kinds";
import { useShortcut } from "@/ui/keys/keys";
import { type StationId, stationNames } from "./stations-words";

/** The stations of a job as marks along one line: solid as far as the job has come, dashed ahead, the pointer where you look. */
export function Stations({ tag, path, reached, here }: { tag: string; path: JobPath; reached: StationId | "closed"; here: StationId }) {
  const order = stationsOf(path);
  const upTo = reached === "closed" ? order.length : order.indexOf(reached);
  return (
    <nav aria-label="Stations" className="flex min-w-0 flex-1 overflow-x-auto border-b border-ink">
      {order.map((station, index) => (
        <StationLink key={station} station={station} number={index + 1} tag={tag} solid={index <= upTo} here={station === here} />
      ))}
    </nav>
  );
}

function StationLink({
  station,
  number,
  tag,
  solid,
  here,
}: {
  station: StationId;
  number: number;
  tag: string;
  solid: boolean;
  here: boolean;
}) {
  const router = useRouter();
  const href = `/bench/${tag}/${station}`;
  useShortcut(String(number), `Station ${stationNames[station]}`, "Stations", () => router.push(href));
  const link = useRef<HTMLAnchorElement>(null);
  // Too narrow for all of them, the line stands at its station.
  useEffect(() => {
    const line = link.current?.parentElement;
    if (here && line) line.scrollLeft = link.current!.offsetLeft - line.offsetLeft - 40;
  }, [here]);
  return (
    <Link
      ref={link}
      href={href}
      aria-current={here ? "step" : undefined}
      className="relative flex min-h-14 min-w-24 flex-1 items-center gap-2 px-4"
    >
      <svg aria-hidden="true" className="absolute inset-x-0 bottom-0 h-3 w-full overflow-visible" preserveAspectRatio="none">
        <line x1="0" x2="100%" y1="11" y2="11" className={solid ? "ln-outline" : "ln-hidden"} />
        {here && <path d="M16 0l8 11h-16z" className="fl-ink" />}
      </svg>
      <span className={here ? "text-head font-semibold" : "font-semibold text-brass"}>{stationNames[station]}</span>
      <span className="cap" aria-hidden="true">
        {number}
      </span>
    </Link>
  );
}
