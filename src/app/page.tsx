import { DateTime } from "luxon";
import Link from "next/link";
import { hangTags } from "@/core/schedule/hang-tags";
import { moveWords, nextToTakeDown } from "@/core/schedule/whose-move";
import { listRack } from "@/data/rack";
import { getShopSettings } from "@/data/settings";
import { NextLink } from "@/ui/bench/next-link";
import { stationNames } from "@/ui/bench/stations-words";
import { dayWords } from "@/ui/dates";
import { RackRail } from "@/ui/rack/rack-rail";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";
import { getDb, today } from "./server";

export const metadata = { title: "Rack" };

/** How much of a bench hour a tag needs to be read: shorter work still hangs this long. */
const shortestMinutes = 60;

export default function RackPage() {
  const db = getDb();
  const day = today();
  const settings = getShopSettings(db);
  const rack = listRack(db);
  const last = [DateTime.fromISO(day).plus({ days: 7 }).toISODate()!, ...rack.map((job) => job.promisedOn)].sort().at(-1)!;
  const count = Math.min(60, Math.max(8, DateTime.fromISO(last).diff(DateTime.fromISO(day), "days").days + 1));
  const days = Array.from({ length: count }, (_, i) => DateTime.fromISO(day).plus({ days: i }).toISODate()!);
  const minutesPerDay = settings.benchHoursPerDay * 60;
  const next = nextToTakeDown(rack, day);
  const byTag = new Map(rack.map((job) => [job.tag, job]));
  return (
    <div className="flex min-h-[calc(100dvh-88px)] flex-col gap-4">
      <h1 className="sr-only">Rack</h1>
      <RackRail
        hoursPerDay={settings.benchHoursPerDay}
        days={hangTags(rack, days, minutesPerDay, shortestMinutes).map((hung) => ({
          ...hung,
          words: hung.day === day ? "Today" : dayWords(hung.day),
          tags: hung.tags.map((tag) => {
            const { job, move, station, promisedOn } = byTag.get(tag.tag)!;
            return {
              ...tag,
              href: `/bench/${tag.tag}`,
              owner: job.customer.name,
              reel: job.reel.modelName,
              station: stationNames[station],
              move,
              late: promisedOn < day,
            };
          }),
        }))}
      />
      <Sheet
        act={
          next ? (
            <NextLink href={`/bench/${next.job.tag}`} words={`Take down ${next.job.tag}`} />
          ) : (
            <NextLink href="/counter" words="Take a reel in" />
          )
        }
        block={
          <CornerBlock
            cells={
              next
                ? [
                    { label: "Tag", value: next.job.tag, large: true },
                    { label: "Reel", value: next.job.job.reel.modelName },
                    { label: "Station", value: stationNames[next.job.station] },
                    { label: "Whose move", value: moveWords[next.job.move] },
                    { label: "Promised", value: dayWords(next.job.promisedOn) },
                  ]
                : [{ label: "Hanging", value: String(rack.length), large: true }]
            }
          />
        }
      >
        {next ? (
          <p>
            <strong>
              Next: {next.job.job.customer.name}'s {next.job.job.reel.modelName}
            </strong>{" "}
            because {next.because}. About <span className="num">{next.job.minutesLeft}</span> minutes of bench left.
          </p>
        ) : (
          <p>
            {rack.length ? "Nothing here is yours to move: the rest waits for customers, suppliers or its owner." : "The rack is empty."}{" "}
            <Link className="act-link" href="/counter">
              Take a reel in
            </Link>
          </p>
        )}
      </Sheet>
    </div>
  );
}
