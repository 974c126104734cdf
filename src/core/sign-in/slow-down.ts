/** Tries that cost no wait: a slip of a gloved hand. */
export const freeTries = 4;
/** The longest wait, seconds: a person who forgot is never locked out for good. */
export const longestWaitSeconds = 900;

/**
 * Seconds to wait after so many tries that failed in a row: none for the first four, then 2, 4, 8 and so on to a quarter of an hour. At that
 * pace four figures of a PIN take 17 days to be tried half through.
 */
export const waitAfter = (failures: number): number =>
  failures < freeTries ? 0 : Math.min(longestWaitSeconds, 2 ** Math.min(failures - freeTries + 1, 20));

/** Seconds still to wait. A clock that was set back makes nobody wait longer than the wait itself. */
export function waitLeft(failures: number, lastAt: string, now: string): number {
  const wait = waitAfter(failures);
  const gone = (Date.parse(now) - Date.parse(lastAt)) / 1000;
  return Math.ceil(Math.max(0, Math.min(wait, wait - gone)));
}
