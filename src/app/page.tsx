import Link from "next/link";
import { readPage } from "@/app/server/reading";
import { moveWords } from "@/core/schedule/whose-move";
import { revisionOf } from "@/data/database/journal";
import { getShopSettings } from "@/data/shop/settings";
import { NextLink } from "@/ui/controls/next-link";
import { dayWords } from "@/ui/dates";
import { Rack } from "@/ui/rack/rack";
import { UnclaimedList } from "@/ui/rack/unclaimed-list";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";
import { becauseOf, rackShown } from "./rack-shown";

export const metadata = { title: "Rack" };

export default async function RackPage() {
  const db = await readPage("rack");
  const { day, settings, hanging, taken, ahead, days, dayNames, unclaimed } = rackShown(db);
  return (
    <div className="flex min-h-[calc(100dvh-88px)] flex-col gap-2">
      <h1 className="sr-only">Rack</h1>
      <Rack hoursPerDay={settings.benchHoursPerDay} revision={revisionOf(db)} dayNames={dayNames} days={days} />
      <Sheet
        className="[@media(max-height:700px)]:sticky [@media(max-height:700px)]:bottom-0 [@media(max-height:700px)]:z-10"
        act={taken ? <NextLink href={taken.href} words={`Start ${taken.title}`} /> : <NextLink href="/counter" words="Check in a reel" />}
        block={
          <CornerBlock
            cells={
              taken
                ? [
                    { label: taken.lotId === null ? "Tag" : "Lot", value: taken.title, large: true },
                    { label: "Reel", value: taken.reel },
                    { label: "Station", value: taken.station },
                    { label: "Waiting on", value: moveWords[taken.move] },
                    { label: "Promised", value: dayWords(taken.promisedOn) },
                  ]
                : [{ label: "Hanging", value: String(hanging), large: true }]
            }
          />
        }
      >
        {taken ? (
          <p>
            <strong>
              Next: {taken.owner}, {taken.lotId === null ? taken.reel : `lot of ${taken.reel}`}
            </strong>{" "}
            {becauseOf(ahead, taken.promisedOn, day)} About <span className="num">{taken.minutesLeft}</span> bench minutes left.
          </p>
        ) : (
          <p>
            {hanging ? "Nothing is waiting on us: the rest waits for customers, suppliers or collection." : "The rack is empty."}{" "}
            <Link className="act-link" href="/counter">
              Check in a reel
            </Link>
          </p>
        )}
        {unclaimed.length > 0 && (
          <UnclaimedList
            shop={getShopSettings(db).shopName}
            reels={unclaimed.map((one) => ({
              ...one,
              readyOn: dayWords(one.readyOn),
              toldOn: one.toldOn && dayWords(one.toldOn),
            }))}
          />
        )}
      </Sheet>
    </div>
  );
}
