/** A week ahead: what may come, and what the bench has for it, in minutes. */
export interface WeekAhead {
  /** Day number of its first day. */
  readonly from: number;
  readonly coming: number;
  readonly bench: number;
}

/**
 * The weeks ahead: what usually comes at their time of the year, in bench minutes, and the bench's own minutes then.
 * @param perDay reels expected on each day from today. @param minutesPerReel of work. @param benchOn minutes worked on a day ahead.
 */
export function weeksAhead(
  today: number,
  perDay: readonly number[],
  minutesPerReel: number,
  benchOn: (ahead: number) => number,
): WeekAhead[] {
  return Array.from({ length: Math.floor(perDay.length / 7) }, (_, week) => {
    const days = Array.from({ length: 7 }, (_, day) => 7 * week + day);
    return {
      from: today + 7 * week,
      coming: days.reduce((sum, ahead) => sum + perDay[ahead]! * minutesPerReel, 0),
      bench: days.reduce((sum, ahead) => sum + benchOn(ahead), 0),
    };
  });
}

/** A reel that is due again. */
export interface DueReel {
  readonly reelId: number;
  /** Day number. */
  readonly due: number;
}

export interface Invited {
  readonly reelId: number;
  /** Place of the week it is asked to come in. */
  readonly week: number;
}

/** A week fuller than this is one to keep reels out of; one emptier than this has room. */
export const fullFrom = 0.8;
export const roomBelow = 0.6;
/** A reel is asked to come at most so much earlier than it is due, and not before its owner had a week to answer (common practice). */
const mostWeeksEarlier = 14;
const answerWeeks = 1;
/** Nobody is asked for a week further off: letters go out again before the next season. */
const askWithinWeeks = 18;

const share = ({ coming, bench }: WeekAhead) => (bench > 0 ? coming / bench : Number.POSITIVE_INFINITY);

/**
 * Who is asked to come before the season: reels due in a full week, or in the rush around it, into the emptiest weeks before, each of which is
 * filled no further than the others' room. The soonest due first. Reels that are overdue are asked into the first week with room.
 */
export function invitationsOf(due: readonly DueReel[], weeks: readonly WeekAhead[], minutesPerReel: number): Invited[] {
  const load = weeks.map((week) => week.coming);
  const loaded = (i: number) => share({ ...weeks[i]!, coming: load[i]! });
  const first = weeks[0]?.from ?? 0;
  const weekOf = (day: number) => Math.floor((day - first) / 7);
  return [...due]
    .sort((a, b) => a.due - b.due || a.reelId - b.reelId)
    .flatMap(({ reelId, due: day }): Invited[] => {
      const at = weekOf(day);
      if (at >= weeks.length) return [];
      const overdue = at < answerWeeks;
      // Due in a week with room of its own it may come by itself.
      if (!overdue && share(weeks[at]!) < fullFrom) return [];
      const [from, to] = overdue
        ? [answerWeeks, Math.min(weeks.length, answerWeeks + mostWeeksEarlier)]
        : [Math.max(answerWeeks, at - mostWeeksEarlier), at];
      let best = -1;
      for (let week = from; week < Math.min(to, askWithinWeeks); week++)
        if (
          share(weeks[week]!) < roomBelow &&
          loaded(week) < roomBelow &&
          (best < 0 || (overdue ? false : loaded(week) < loaded(best) - 1e-9))
        )
          best = week;
      if (best < 0) return [];
      load[best]! += minutesPerReel;
      // It will not come in the rush; a full week stays one nobody is asked into.
      if (!overdue) load[at] = Math.max(0, load[at]! - minutesPerReel);
      return [{ reelId, week: best }];
    });
}

/** The letter that asks. */
export const invitationText = (of: {
  readonly shopName: string;
  readonly owner: string;
  readonly reels: readonly string[];
  readonly week: string;
  readonly due: string;
}): string =>
  [
    `${of.owner},`,
    "",
    `your ${of.reels.join(" and your ")} ${of.reels.length === 1 ? "is" : "are"} due for a service about ${of.due}, our busiest time.`,
    `In the week of ${of.week} the bench has room. Bring ${of.reels.length === 1 ? "it" : "them"} then, and you will not have to wait.`,
    "",
    "Call or write if another week suits you better. If you have fished less than usual it may be able to wait: tell us.",
    "",
    of.shopName,
  ].join("\n");
