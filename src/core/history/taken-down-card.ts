/** What somebody reads who takes a reel down again after weeks. */
export interface TakenDownCard {
  readonly lastOn: string;
  readonly person: string;
  /** What lies in the tray, and what of it waits in a bath. */
  readonly off: string;
  readonly soaking: string;
  readonly waiting: string;
  /** The customer's own words, the last ones. */
  readonly said: string;
  readonly next: string;
}
