import zxcvbn from "zxcvbn";

/** Lengths of a passphrase (OWASP ASVS 4.0 V2.1.1, V2.1.2): no rule about its signs, and nothing is cut off. */
export const passphraseLength = { least: 12, most: 128 } as const;
/** How hard a passphrase must be to guess, 0 to 4: below 3 it stands among the common ones or is a play on them. */
const leastScore = 3;

/**
 * Why a passphrase will not do, in words; null when it will. Common and leaked ones are known by the dictionaries of zxcvbn.
 * @param about words a guesser would try first: the shop, the person.
 */
export function passphraseFault(text: string, about: readonly string[]): string | null {
  const length = [...text].length;
  if (length < passphraseLength.least) return `At least ${passphraseLength.least} letters: three or four unrelated words.`;
  if (length > passphraseLength.most) return `At most ${passphraseLength.most} letters.`;
  // Beyond a hundred letters its answer does not change and its time grows.
  const { score, feedback } = zxcvbn(
    text.slice(0, 100),
    about.flatMap((one) => [one, ...one.split(/\s+/)]),
  );
  if (score >= leastScore) return null;
  return `Too easy to guess${feedback.warning ? ` (${feedback.warning.replace(/\.$/, "").toLowerCase()})` : ""}: add one or two unrelated words.`;
}

/** Why a PIN will not do, in words; null when it will. It is tried a few times only, so four figures are enough, but not the first ones tried. */
export function pinFault(text: string): string | null {
  if (!/^\d{4,8}$/.test(text)) return "Four to eight digits.";
  const steps = new Set([...text].slice(1).map((figure, i) => (Number(figure) - Number(text[i]) + 10) % 10));
  if (steps.size === 1 && [0, 1, 9].some((step) => steps.has(step)))
    return "Not all the same and not in sequence: those are guessed first.";
  if (/^(19|20)\d\d$/.test(text)) return "Not a year: those are guessed first.";
  return null;
}
