let heldSince: number | null = null;

/**
 * When the hand pressed, on the clock of `performance.now()`: the time of the event, not of its handling. On a busy page two presses come to be
 * handled one right after the other, and would be taken for a switch's bounce.
 */
export const pressedAt = (): number => heldSince ?? globalThis.event?.timeStamp ?? performance.now();

/** Does what a key does that was held back for a while, a letter that might have begun a scan: pressed when it was, not when it is done. */
export function asPressedAt(timeMs: number, run: () => void): void {
  heldSince = timeMs;
  try {
    run();
  } finally {
    heldSince = null;
  }
}
