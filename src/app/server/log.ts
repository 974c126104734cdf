import { randomUUID } from "node:crypto";

/** Logs a fault of the program once, without any customer's words. @returns its reference, for the user to quote. */
export function logFault(where: string, error: unknown): string {
  const reference = randomUUID().slice(0, 8);
  console.error(
    JSON.stringify({ at: new Date().toISOString(), reference, where, error: error instanceof Error ? error.stack : String(error) }),
  );
  return reference;
}

/** What the user sees of a fault that undid the whole act. */
export const undoneWords = (reference: string): string =>
  `Zorbek failed here and has noted it as ${reference}. Nothing was changed. Try again; if it happens again, quote that reference.`;
