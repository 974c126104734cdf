import { z } from "zod";
import { identifier } from "./identifier";

/**
 * Serial patterns, written as a person reads a serial: `#` a digit, `@` a letter, `{YY}` or `{YYYY}` the year, `{L}` one letter that counts
 * years from A, `*` anything to the end, every other character itself. Spaces, dashes and case do not count, as serials are read off worn
 * metal. No regular expression of a user is ever run: each sign becomes one fixed piece, so matching takes one pass.
 */
const tokens = /\{YYYY\}|\{YY\}|\{L\}|#|@|\*|[\s-]|./gsu;

const plain = (serial: string) => serial.toUpperCase().replace(/[\s-]+/g, "");

/** @throws Error for a pattern with a brace that is none of the three: only bad data can cause that; forms check with `patternFault`. */
function compile(pattern: string): RegExp {
  const fault = patternFault(pattern);
  if (fault) throw new Error(fault);
  const pieces = (pattern.toUpperCase().match(tokens) ?? []).map((token) => {
    if (token === "{YYYY}") return "(?<yyyy>\\d{4})";
    if (token === "{YY}") return "(?<yy>\\d{2})";
    if (token === "{L}") return "(?<letter>[A-Z])";
    if (token === "#") return "\\d";
    if (token === "@") return "[A-Z]";
    if (token === "*") return ".*";
    return /[\s-]/.test(token) ? "" : token.replace(/[.+?^${}()|[\]\\/]/g, "\\$&");
  });
  return new RegExp(`^${pieces.join("")}$`, "u");
}

/** What is wrong with a pattern, or null. */
export function patternFault(pattern: string): string | null {
  if (!/[#@*{A-Z0-9]/i.test(pattern)) return "A pattern has at least one letter, digit or sign.";
  if (/[{}]/.test(pattern.toUpperCase().replace(/\{YYYY\}|\{YY\}|\{L\}/g, "")))
    return "In braces stands {YY}, {YYYY} or {L}, and nothing else.";
  if ((pattern.match(/\{/g) ?? []).length > 1) return "The year stands in a serial once.";
  if (pattern.includes("*") && !/^[^*]*\*$/.test(pattern)) return "The star stands once, at the end.";
  return null;
}

/** Whether a serial is written so. False for a pattern that cannot be read. */
export const matchesSerial = (pattern: string, serial: string): boolean =>
  patternFault(pattern) === null && compile(pattern).test(plain(serial));

export const serialRuleSchema = z
  .object({
    pattern: z.string().trim().min(1).max(40),
    /** The years in which serials were written so; they also decide the century of {YY}. */
    fromYear: z.number().int().min(1850).max(2200),
    toYear: z.number().int().min(1850).max(2200),
    /** The year that A means, for {L}; letters that the maker left out. */
    letterYear: z.number().int().min(1850).max(2200).optional(),
    lettersLeftOut: z.string().max(26).default(""),
    /** The edition such a serial means, where it means one. */
    edition: identifier.optional(),
    note: z.string().max(200).default(""),
  })
  .superRefine((rule, ctx) => {
    const fault = patternFault(rule.pattern);
    if (fault) ctx.addIssue({ code: "custom", path: ["pattern"], message: fault });
    if (rule.fromYear > rule.toYear)
      ctx.addIssue({ code: "custom", path: ["toYear"], message: "The last year is not before the first one." });
    if (/\{L\}/i.test(rule.pattern) && rule.letterYear === undefined)
      ctx.addIssue({ code: "custom", path: ["letterYear"], message: "Which year does the letter A stand for?" });
  });
export type SerialRule = z.infer<typeof serialRuleSchema>;

/**
 * The year a serial tells, by a maker's rules in their order; null year where a rule matches but names none.
 * A rule whose year falls outside its own years does not match, which is what parts two makers' centuries. @returns null when no rule fits.
 */
export function decodeSerial<Rule extends SerialRule>(rules: readonly Rule[], serial: string): { rule: Rule; year: number | null } | null {
  if (!plain(serial)) return null;
  for (const rule of rules) {
    if (patternFault(rule.pattern)) continue;
    const found = compile(rule.pattern).exec(plain(serial));
    if (!found) continue;
    const { yyyy, yy, letter } = found.groups ?? {};
    if (!yyyy && !yy && !letter) return { rule, year: rule.fromYear === rule.toYear ? rule.fromYear : null };
    const within = (year: number) => rule.fromYear <= year && year <= rule.toYear;
    const candidates: number[] = [];
    if (yyyy) candidates.push(Number(yyyy));
    if (yy) for (let year = rule.fromYear; year <= rule.toYear; year++) if (year % 100 === Number(yy)) candidates.push(year);
    if (letter && rule.letterYear !== undefined) {
      const alphabet = [..."ABCDEFGHIJKLMNOPQRSTUVWXYZ"].filter((l) => !rule.lettersLeftOut.toUpperCase().includes(l));
      const at = alphabet.indexOf(letter);
      // Letters start over at the end of the alphabet; two turns are told apart by the rule's years, or not at all.
      if (at >= 0) for (let year = rule.letterYear + at; year <= rule.toYear; year += alphabet.length) candidates.push(year);
    }
    const fitting = candidates.filter(within);
    if (fitting.length === 1) return { rule, year: fitting[0]! };
    if (fitting.length > 1) return { rule, year: null };
  }
  return null;
}
