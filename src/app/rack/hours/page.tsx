import { DateTime } from "luxon";
import Link from "next/link";
import { today } from "@/app/server/clock";
import { readPage } from "@/app/server/reading";
import { revisionOf } from "@/data/database/journal";
import { listPeople } from "@/data/shop/people";
import { listPersonHours } from "@/data/shop/person-hours";
import { getShopSettings } from "@/data/shop/settings";
import { dayWords } from "@/ui/dates";
import { PeopleHours } from "@/ui/rack/people-hours";
import { Sheet } from "@/ui/sheets/sheet";

export const metadata = { title: "People's hours" };

export default async function HoursPage() {
  const db = await readPage("rack");
  const day = today();
  const hours = new Map(listPersonHours(db, day).map((one) => [one.personId, one]));
  const { benchHoursPerDay } = getShopSettings(db);
  return (
    <Sheet
      act={
        <Link className="key" href="/">
          Back to the rack
        </Link>
      }
    >
      <h1>People's hours at the bench</h1>
      <p className="text-note">
        Hours for each day; blank = not at the bench. Until somebody has hours, the bench has {benchHoursPerDay} h on each day the shop is
        open, as actually worked.
      </p>
      <PeopleHours
        revision={revisionOf(db)}
        today={day}
        tomorrow={DateTime.fromISO(day).plus({ days: 1 }).toISODate()!}
        people={listPeople(db)
          .filter(({ role }) => role !== "counter" || hours.size > 0)
          .map(({ id, name }) => ({
            id,
            name,
            minutes: hours.get(id)?.minutes ?? Array<number>(7).fill(0),
            off: (hours.get(id)?.off ?? []).map((spell) => ({
              id: spell.id,
              words: `${dayWords(spell.from)}${spell.to === spell.from ? "" : ` to ${dayWords(spell.to)}`}${spell.words ? `: ${spell.words}` : ""}`,
            })),
          }))}
      />
    </Sheet>
  );
}
