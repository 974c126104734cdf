/** The words of a wish such as "handle, main gear; spool". */
const wishes = (words: string): string[] =>
  words
    .toLowerCase()
    .split(/[,;\n]|\band\b|\bor\b/u)
    .map((wish) => wish.trim().replace(/^((a|an|any|the|new)\s+)+/u, ""))
    .filter((wish) => wish.length > 1);

const singular = (word: string): string => (word.length > 3 ? word.replace(/s$/u, "") : word);

/**
 * Which of some parts the customer wants to be called for, whatever the sum: those whose name or seat has every word of one of the wishes.
 * @param words as said at the counter; empty for nothing. @returns the parts' names, each once, in their order.
 */
export function calledFor(words: string, parts: readonly { readonly name: string; readonly seat: string }[]): string[] {
  const wanted = wishes(words).map((wish) => wish.split(/\s+/u).map(singular));
  const named = parts.filter(({ name, seat }) => {
    const words = new Set(
      `${name} ${seat}`
        .toLowerCase()
        .split(/[^\p{L}\p{N}]+/u)
        .map(singular),
    );
    return wanted.some((wish) => wish.every((word) => words.has(word)));
  });
  return [...new Set(named.map(({ name }) => name))];
}
