export interface TagToHang {
  readonly tag: string;
  readonly promisedOn: string;
  readonly minutesLeft: number;
}

export interface HungTag {
  readonly tag: string;
  /** From the rail down, in bench minutes of that day. */
  readonly fromMinutes: number;
  readonly lengthMinutes: number;
}

export interface RackDay {
  readonly day: string;
  readonly tags: readonly HungTag[];
  /** Where its last tag ends, or the day itself where that is later. */
  readonly footMinutes: number;
  readonly promisedMinutes: number;
  readonly overMinutes: number;
}

/**
 * Hangs tags under the day they were promised, each below the other and none over another, to scale in bench minutes: as long as the work left in it, and
 * never shorter than it can be read. On a day that holds more than its hours the long ones are drawn shorter until all of it hangs above the day's foot; where
 * even the shortest do not, they hang on below it.
 * @param days consecutive shop days; what was promised before the first hangs under the first.
 * @param shortestMinutes how short a tag may be drawn, in bench minutes of the rail.
 */
export function hangTags(tags: readonly TagToHang[], days: readonly string[], minutesPerDay: number, shortestMinutes: number): RackDay[] {
  return days.map((day, index) => {
    const here = tags.filter((tag) => tag.promisedOn === day || (index === 0 && tag.promisedOn < day));
    const wanted = here.map((tag) => Math.min(minutesPerDay, Math.max(shortestMinutes, tag.minutesLeft)));
    const least = here.length * shortestMinutes;
    const beyond = wanted.reduce((sum, length) => sum + length, 0) - least;
    const share = beyond > 0 ? Math.min(1, Math.max(0, minutesPerDay - least) / beyond) : 0;
    let from = 0;
    const hung = here.map(({ tag }, i) => {
      const length = shortestMinutes + (wanted[i]! - shortestMinutes) * share;
      from += length;
      return { tag, fromMinutes: from - length, lengthMinutes: length };
    });
    const promisedMinutes = here.reduce((sum, tag) => sum + tag.minutesLeft, 0);
    return {
      day,
      tags: hung,
      footMinutes: Math.max(minutesPerDay, from),
      promisedMinutes,
      overMinutes: Math.max(0, promisedMinutes - minutesPerDay),
    };
  });
}
