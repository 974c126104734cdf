import { randomUUID } from "node:crypto";

/** What a log may hold of an error: its kind, its code and where it was. Its message may quote what somebody wrote. */
export function faultLines(error: unknown): { kind: string; code: string; at: string[] } {
  if (!(error instanceof Error)) return { kind: typeof error, code: "", at: [] };
  const frames = (error.stack ?? "").split("\n").filter((line) => /^\s+at /.test(line));
  return { kind: error.name, code: String((error as { code?: unknown }).code ?? ""), at: frames.slice(0, 12).map((line) => line.trim()) };
}

/** Logs a fault of the program once, without any customer's words. @returns its reference, for the user to quote. */
export function logFault(where: string, error: unknown): string {
  const reference = randomUUID().slice(0, 8);
  console.error(JSON.stringify({ at: new Date().toISOString(), reference, where, fault: faultLines(error) }));
  return reference;
}

/** What the user sees of a fault that undid the whole act. */
export const undoneWords = (reference: string): string =>
  `Zorbek failed here and has noted it as ${reference}. Nothing was changed. Try again; if it happens again, quote that reference.`;
