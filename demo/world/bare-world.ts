import { DateTime } from "luxon";
import { families } from "@/core/families/families";
import type { ShopPast } from "@/core/promise/backtest";
import type { FamilyId } from "@/core/vocabulary/families";
import { bareHands } from "./bare-hands";
import { calendarOf, within } from "./calendar";
import type { WorldModel } from "./reels";
import { seeded } from "./seeded";
import { simulate, type World, type WorldVisit } from "./simulate";
import { popular, populate, type WorldSize } from "./world";

/** One model a family, as its template has it. */
const templateModels = (): WorldModel[] =>
  (Object.keys(families) as FamilyId[])
    .map((id) => ({ id, parts: families[id].parts }))
    .map(({ id, parts }) => ({
      id,
      family: id,
      roles: new Set(parts.map(({ role }) => role)),
      parts: parts.length,
      share: popular[id] ?? 5,
      serial: (n, year) => `${year} ${n}`,
    }));

/** The last day of every bare world: what they show does not depend on today. */
const lastDay = DateTime.fromISO("2026-06-30", { zone: "utc" });

/** A world without books: its jobs' times, and what was true of each. */
export function bareWorld(size: WorldSize, planted?: World["planted"], sound = false) {
  const random = seeded(size.seed);
  const calendar = calendarOf(random.fork("calendar"), lastDay, size.years);
  // A world that is to be judged by what is planted has no bad batch of its own.
  if (sound) Object.assign(calendar.upsets.badWashers, { lifeTimes: 1 });
  const world: World = { ...populate(random.fork("reels"), calendar, size, templateModels()), ...(planted ? { planted } : {}) };
  const hands = bareHands(random.fork("hands"), calendar);
  const visits: WorldVisit[] = [];
  simulate(
    random.fork("life"),
    world,
    hands,
    (visit) => visits.push(visit),
    () => undefined,
  );
  const past: ShopPast = {
    jobs: hands.past(),
    // The rules say what the world's people say of themselves: weekdays, the hours of the bench.
    rules: Array.from({ length: 7 }, (_, day) => (calendar.weekday[day]! <= 5 ? size.benchMinutes : 0)),
    from: 9 * 60,
    // Christmas is in every shop's calendar; illness in none.
    shut: (day) => {
      const iso = calendar.days[day] ?? "";
      return iso.slice(5) >= "12-23" || (iso !== "" && iso.slice(5) <= "01-02");
    },
  };
  return {
    past,
    calendar,
    visits,
    world,
    sick: (day: number) => calendar.upsets.illness.some((spell) => within(calendar.days[day]!, spell)),
  };
}
