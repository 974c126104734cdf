import { damm } from "cdigit";
import { fail, ok, type Result } from "@/core/result";

/**
 * A claim tag is `Z-01234-n`: five digits and a Damm check digit (Damm 2004), which catches every single wrong digit and every swap of
 * neighbours, the two mistakes made when a number is read off a wet tag.
 */
export type ClaimTag = string;

export type TagFault = "not-a-tag" | "check-digit";

/** Writes the tag for a running number 1 to 99 999. @throws RangeError outside it. @example formatTag(572) // "Z-00572-4" */
export function formatTag(number: number): ClaimTag {
  if (!Number.isInteger(number) || number < 1 || number > 99_999) throw new RangeError("formatTag: the running number must be 1 to 99999");
  const body = String(number).padStart(5, "0");
  return `Z-${body}-${damm.compute(body)}`;
}

/** Reads a typed or scanned tag; spaces, missing dashes and small letters are forgiven, a wrong digit is not. */
export function parseTag(text: string): Result<{ tag: ClaimTag; number: number }, TagFault> {
  const match = /^Z?[-\s]*(\d{5})[-\s]*(\d)$/i.exec(text.trim());
  if (!match) return fail("not-a-tag", "A tag reads Z, five digits and a check digit, such as Z-00572-4.");
  const body = match[1]!;
  const number = Number(body);
  if (number < 1 || damm.compute(body) !== match[2])
    return fail(
      "check-digit",
      `The check digit of ${text.trim()} does not match: one digit is wrong or two are swapped. Read the tag again.`,
    );
  return ok({ tag: `Z-${body}-${match[2]}`, number });
}

/** Whether a typed text was meant as a tag at all, so that the finder can tell a wrong tag from a name. */
export const looksLikeTag = (text: string): boolean => /^Z[-\s]*\d/i.test(text.trim());
