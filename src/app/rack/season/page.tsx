import Link from "next/link";
import { today } from "@/app/server/clock";
import { readPage } from "@/app/server/reading";
import { listBatches, seasonOf } from "@/data/season/season";
import { dateWords, dayWords, instantWords } from "@/ui/dates";
import { Invitations } from "@/ui/rack/invitations";
import { SeasonRail } from "@/ui/rack/season-rail";
import { Sheet } from "@/ui/sheets/sheet";

export const metadata = { title: "Season" };

export default async function SeasonPage() {
  const db = await readPage("rack");
  const { weeks, invitations, years, minutesPerReel } = seasonOf(db, today(), new Date().toISOString());
  const batches = listBatches(db);
  return (
    <Sheet
      act={
        <Link className="key" href="/">
          Back to the rack
        </Link>
      }
    >
      <h1>The year ahead</h1>
      <p className="text-note">
        What usually comes in each week, in bench hours, compared with the hours the bench has.{" "}
        {years > 0
          ? `From ${years === 1 ? "the year" : `the ${years} years`} before; a reel takes about ${Math.round(minutesPerReel)} minutes.`
          : "No earlier year yet: based on recent weeks."}
      </p>
      <SeasonRail weeks={weeks.map((week) => ({ ...week, words: dayWords(week.day), month: week.day.slice(5, 7) }))} />
      <h2 className="mt-4">Invite before the rush</h2>
      <Invitations
        letters={invitations.map(({ ownerId, owner, week, due, reels }) => ({
          ownerId,
          owner,
          week: dateWords(week),
          due: dateWords(due),
          reels: reels.map(({ name }) => name).join(", "),
        }))}
      />
      {batches.length > 0 && (
        <>
          <h2 className="mt-4">Letters made</h2>
          <ul>
            {batches.map(({ batch, reels }) => (
              <li key={batch}>
                <a
                  className="act-link inline-flex min-h-10 items-center"
                  href={`/rack/season/letters.pdf?batch=${encodeURIComponent(batch)}`}
                >
                  Letters of {instantWords(batch)} (PDF)
                </a>{" "}
                for {reels === 1 ? "1 reel" : `${reels} reels`}
              </li>
            ))}
          </ul>
        </>
      )}
    </Sheet>
  );
}
