/**
 * A quote as a customer is asked about it: options side by side, lines that may be left out, each with a short code that can be said on the
 * phone, typed or scanned at the Counter.
 */

export const askingOptions = ["as-is", "quoted", "upgrade"] as const;
export type AskingOption = (typeof askingOptions)[number];

export interface AskingLine {
  /** Empty where a letter has more lines than codes. */
  readonly code: string;
  readonly kind: "part" | "kit" | "fault" | "extra" | "upgrade";
  /** The seat, the fault or the line of the shop's own. */
  readonly ref: string;
  readonly words: string;
  /** Before tax and discount. */
  readonly priceMinor: number;
}

export interface Asking {
  readonly options: readonly {
    readonly option: AskingOption;
    readonly code: string;
    readonly words: string;
    /** All that is to pay, tax in it. */
    readonly totalMinor: number;
  }[];
  /** Lines that may be left out one by one. */
  readonly lines: readonly AskingLine[];
  /** What belongs to the work whatever is left out. */
  readonly fixed: readonly { readonly words: string; readonly priceMinor: number }[];
  readonly currency: string;
  /** What the reel is worth as it is, where somebody said. */
  readonly valueMinor: number | null;
}

/** Signs that are not taken for each other, without vowels: no word is a code. Nineteen, a prime, so that the check finds what is swapped. */
const alphabet = "BCDFHJKLMNPRTWX3479";

/** So many short codes there are in one letter; lines beyond them are asked about with the rest. */
export const mostCodes = alphabet.length;

/**
 * Short codes, each three signs, the last a check: one sign misheard is never another line's code. The first sign is the asking's own, so that
 * a code of last month's letter is told apart most of the time.
 * @param first from 0, picks the first sign. @param n at most the alphabet's length.
 */
export function shortCodes(first: number, n: number): string[] {
  const size = alphabet.length;
  if (n > size) throw new RangeError(`At most ${size} codes.`);
  const a = ((first % size) + size) % size;
  return Array.from({ length: n }, (_, b) => `${alphabet[a]}${alphabet[b]}${alphabet[(a + 2 * b + 5) % size]}`);
}

export interface ReadAnswer {
  readonly option: AskingOption | null;
  /** Refs of the lines that were named. */
  readonly lines: readonly string[];
  /** What stood there and is no code of this asking. */
  readonly strange: readonly string[];
}

/** The codes in what a customer said or wrote, whatever stands between them and however they are written. */
export function readCodes(asking: Asking, text: string): ReadAnswer {
  const option = new Map(asking.options.map((one) => [one.code, one.option]));
  const line = new Map(asking.lines.filter(({ code }) => code !== "").map((one) => [one.code, one.ref]));
  let chosen: AskingOption | null = null;
  const lines: string[] = [];
  const strange: string[] = [];
  for (const word of text
    .toUpperCase()
    .split(/[^A-Z0-9]+/)
    .filter(Boolean)) {
    if (option.has(word)) chosen = option.get(word)!;
    else if (line.has(word)) lines.push(line.get(word)!);
    // Plain words around the codes say nothing; what looks like a code and is none is told.
    else if (word.length === 3 && [...word].every((sign) => alphabet.includes(sign))) strange.push(word);
  }
  return { option: chosen, lines: [...new Set(lines)], strange };
}

/**
 * What the named codes ask for: an option alone takes all its lines, lines alone take just those.
 * @returns null where nothing was named, or something strange was.
 */
export function saidYes(asking: Asking, { option, lines, strange }: ReadAnswer): { option: AskingOption; yes: string[] } | null {
  if (strange.length || (option === null && !lines.length)) return null;
  if (option === "as-is") return { option, yes: [] };
  const upgrades = new Set(asking.lines.filter(({ kind }) => kind === "upgrade").map(({ ref }) => ref));
  const chosen = option ?? (lines.some((ref) => upgrades.has(ref)) ? "upgrade" : "quoted");
  const all = asking.lines.filter(({ kind }) => chosen === "upgrade" || kind !== "upgrade").map(({ ref }) => ref);
  // Lines without a code cannot be named: they go with the rest.
  const unnamed = asking.lines.filter(({ code, kind }) => code === "" && kind !== "upgrade").map(({ ref }) => ref);
  return { option: chosen, yes: lines.length ? [...new Set([...lines, ...unnamed])] : all };
}

/** Days a link holds. */
export const askingDays = 14;
