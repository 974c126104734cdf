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
  /** How much of its length nothing hangs over. */
  readonly inSightMinutes: number;
}

export interface RackDay {
  readonly day: string;
  readonly tags: readonly HungTag[];
  readonly promisedMinutes: number;
  readonly overMinutes: number;
}

/** How short a tag may be drawn, and how much of it shows above the one that hangs over it: in bench minutes of the rail. */
export interface Readable {
  readonly shortestMinutes: number;
  /** Less than the shortest. */
  readonly seenMinutes: number;
}

/**
 * Hangs tags under the day they were promised, to scale in bench minutes: each is as long as the work left in it (never shorter than it
 * can be read), one below the other. A day that holds more than its hours cannot be longer: its tags are pushed up until the last one ends
 * at the day's foot, so they overlap, and that is how an over-promised day looks. Of each the beginning stays in sight and within reach; one
 * too long for that ends at the foot.
 * @param days consecutive shop days; what was promised before the first hangs under the first.
 */
export function hangTags(tags: readonly TagToHang[], days: readonly string[], minutesPerDay: number, readable: Readable): RackDay[] {
  return days.map((day, index) => {
    const here = tags.filter((tag) => tag.promisedOn === day || (index === 0 && tag.promisedOn < day));
    const lengths = here.map((tag) => Math.min(minutesPerDay, Math.max(readable.shortestMinutes, tag.minutesLeft)));
    const total = lengths.reduce((sum, length) => sum + length, 0);
    const room = minutesPerDay - (lengths.at(-1) ?? 0);
    const spread = total - (lengths.at(-1) ?? 0);
    const squeeze = total > minutesPerDay && spread > 0 ? room / spread : 1;
    // A long tag further down holds the ones above it up too, or it would hang out below the day's foot.
    const lowest = lengths.map((_, i) => Math.min(...lengths.slice(i).map((length) => minutesPerDay - length)));
    const foot = Math.max(0, minutesPerDay - readable.shortestMinutes);
    const seen = Math.min(readable.seenMinutes, foot / Math.max(1, here.length - 1));
    let at = 0;
    let above = -seen;
    const froms = here.map((_, i) => {
      above = Math.min(foot - seen * (here.length - 1 - i), Math.max(above + seen, Math.min(at, lowest[i]!)));
      at += lengths[i]! * squeeze;
      return above;
    });
    const hung = here.map(({ tag }, i) => {
      const from = froms[i]!;
      const length = Math.min(lengths[i]!, minutesPerDay - from);
      return { tag, fromMinutes: from, lengthMinutes: length, inSightMinutes: Math.min(length, (froms[i + 1] ?? minutesPerDay) - from) };
    });
    const promisedMinutes = here.reduce((sum, tag) => sum + tag.minutesLeft, 0);
    return { day, tags: hung, promisedMinutes, overMinutes: Math.max(0, promisedMinutes - minutesPerDay) };
  });
}
