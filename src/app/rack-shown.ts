import { DateTime } from "luxon";
import { today } from "@/app/server/clock";
import { fetchAfterDays } from "@/core/hand-back/hand-back";
import { hangTags } from "@/core/schedule/hang-tags";
import { unitsOfRack } from "@/core/schedule/lots-on-rack";
import { whyShut } from "@/core/schedule/opening";
import { listOpenLots } from "@/data/counter/lots";
import type { Db } from "@/data/database/database";
import { listUnclaimed } from "@/data/hand-back/returns";
import { orderOfUnits, type UnitsInOrder } from "@/data/promise/order";
import { daysSaidLately } from "@/data/promise/said";
import { listRack } from "@/data/schedule/rack";
import { openingOf } from "@/data/shop/opening";
import { getShopSettings } from "@/data/shop/settings";
import { stationNames } from "@/ui/bench/stations-words";
import { dayWords, sinceWords } from "@/ui/dates";

/** How much of a bench hour a tag needs to be read; shorter work still hangs this long. */
const shortestMinutes = 60;

/** Why this one is first. */
export function becauseOf({ late, lateByPromise, exact, tags }: UnitsInOrder, promisedOn: string, day: string): string {
  if (lateByPromise - late < 0.05) {
    const when = promisedOn < day ? "it is overdue" : promisedOn === day ? "it is due today" : "it is due first of the jobs waiting on us";
    return `because ${when}.`;
  }
  const gain = lateByPromise - late;
  const saved = gain < 10 ? gain.toFixed(1) : Math.round(gain);
  const how = exact ? "every order tried" : "improved step by step, not proven the best";
  return `because this order saves ${saved} weighted days of delay over the ${tags.length} reels waiting on us, compared with promised-date order (${how}).`;
}

/** The rack as it hangs: what is next and why, the coming days with their tags, and what waits waiting for collection. */
export function rackShown(db: Db) {
  const day = today();
  const settings = getShopSettings(db);
  const rack = unitsOfRack(listRack(db), ({ job }) => job.lotId);
  const lots = new Map(listOpenLots(db).map((lot) => [lot.id, lot]));
  const last = [day, ...rack.map((job) => job.promisedOn)].sort().at(-1)!;
  const opening = openingOf(db, day);
  const promised = new Set(rack.map((unit) => unit.promisedOn));
  // In the season reels are promised further off: the rail goes as far.
  const shown = Math.max(8, Math.min(20, daysSaidLately(db) + 2));
  const shownDays = Array.from({ length: 60 }, (_, i) => DateTime.fromISO(day).plus({ days: i }).toISODate()!)
    // A day nobody works on is left out, unless something hangs there.
    .filter((each) => each === day || promised.has(each) || whyShut(opening, each) === null)
    .filter((each, i) => i < shown || each <= last);
  const minutesPerDay = settings.benchHoursPerDay * 60;
  const now = new Date().toISOString();
  const ahead = orderOfUnits(db, rack, day, now);
  const byTag = new Map(
    rack.map((unit) => {
      const { job, station } = unit.jobs[0]!;
      const last = unit.jobs
        .map(({ since }) => since)
        .sort()
        .at(-1)!;
      const lot = unit.lotId === null ? null : lots.get(unit.lotId)!;
      const shown = lot
        ? { title: lot.name, href: `/bench/lot/${lot.id}`, station: `${unit.jobs.length} of ${lot.reels} reels` }
        : { title: unit.tag, href: `/bench/${unit.tag}`, station: stationNames[station] };
      return [
        unit.tag,
        { ...unit, ...shown, owner: job.customer.name, phone: job.customer.phone, reel: job.reel.modelName, since: sinceWords(last, now) },
      ];
    }),
  );
  const taken = ahead.tags.length ? byTag.get(ahead.tags[0]!)! : null;
  const dayNames = Object.fromEntries(
    Array.from(
      { length: 120 },
      (_, i) =>
        DateTime.fromISO(day)
          .plus({ days: i - 30 })
          .toISODate()!,
    ).map((iso) => [iso, dayWords(iso)]),
  );
  const unclaimed = listUnclaimed(db, DateTime.fromISO(day).minus({ days: fetchAfterDays }).toISODate()!);
  return {
    day,
    settings,
    hanging: rack.length,
    ahead,
    taken,
    dayNames,
    unclaimed,
    days: hangTags(rack, shownDays, minutesPerDay, shortestMinutes).map((hung) => ({
      ...hung,
      words: hung.day === day ? "Today" : dayWords(hung.day),
      shut: whyShut(opening, hung.day),
      tags: hung.tags.map((hanging) => {
        const unit = byTag.get(hanging.tag)!;
        const { title, href, owner, phone, reel, station, move, since, promisedOn } = unit;
        return {
          ...hanging,
          unit: hanging.tag,
          tag: title,
          href,
          owner,
          phone,
          reel,
          station,
          move,
          since,
          promisedOn,
          late: promisedOn < day,
          jobIds: unit.jobs.filter((one) => one.move !== "shelf").map(({ job }) => job.id),
        };
      }),
    })),
  };
}
