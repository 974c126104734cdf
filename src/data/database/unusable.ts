/**
 * The data directory cannot be worked with as it is: written by a newer version, damaged, not writable. Said on every page instead of the
 * room, with what to do; nothing of the database is needed to show it.
 */
export class DataUnusable extends Error {
  override readonly name = "DataUnusable";
  constructor(
    readonly code: "newer" | "changed-migration" | "no-copy" | "cannot-open" | "emptied",
    message: string,
    /** What to do, as a person at the bench computer can do it. */
    readonly remedy: string,
    options?: ErrorOptions,
  ) {
    super(message, options);
  }
}
