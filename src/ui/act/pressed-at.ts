/**
 * When the hand pressed, on the clock of `performance.now()`: the time of the event, not of its handling. On a busy page two presses come to be
 * handled one right after the other, and would be taken for a switch's bounce.
 */
export const pressedAt = (): number => globalThis.event?.timeStamp ?? performance.now();
