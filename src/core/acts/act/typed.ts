import { z } from "zod";
import { parseMinor } from "@/core/money/money";

/** What somebody typed into a form, read by the action's schema, so that the message stands at the field and says what would do. */

const number = (text: string) => (text.trim() === "" ? Number.NaN : Number(text.trim().replace(",", ".")));

/** An amount of money, in minor units. @param example what to type instead. */
export const typedAmount = (example = "An amount such as 4.50.") =>
  z
    .string()
    .max(20, example)
    .transform((text, context) => {
      const minor = parseMinor(text);
      if (minor !== null) return minor;
      context.addIssue({ code: "custom", message: example });
      return z.NEVER;
    });

/** An amount of money that may be left empty: undefined then. */
export const typedMaybeAmount = (example = "An amount such as 4.50, or empty.") =>
  z.union([z.literal("").transform(() => undefined), typedAmount(example)]);

/** An amount paid or, with a minus, given back; none where it is empty. */
export const typedSignedAmount = (example: string) =>
  z
    .string()
    .max(20, example)
    .transform((text, context) => {
      if (text.trim() === "") return 0;
      const [, sign = "", rest = ""] = /^\s*([-−+]?)(.*)$/.exec(text) ?? [];
      const minor = parseMinor(rest);
      if (minor !== null) return /[-−]/.test(sign) ? -minor : minor;
      context.addIssue({ code: "custom", message: example });
      return z.NEVER;
    });

/** A number with a comma or a point, within bounds. */
export const typedNumber = (words: string, { min, max, whole = false }: { min: number; max: number; whole?: boolean }) =>
  z
    .string()
    .max(20, words)
    .transform((text, context) => {
      const value = number(text);
      if (Number.isFinite(value) && value >= min && value <= max && (!whole || Number.isInteger(value))) return value;
      context.addIssue({ code: "custom", message: words });
      return z.NEVER;
    });

/** A short text that has to be there. */
export const typedWords = (words: string, max: number) => z.string().trim().min(1, words).max(max, `At most ${max} characters.`);

/** A percentage, as basis points. @param words what to type instead. */
export const typedPercent = (words = "A percentage such as 20 or 8.1.") =>
  typedNumber(words, { min: 0, max: 100 }).transform((percent) => Math.round(percent * 100));
