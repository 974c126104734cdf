/** Whether something said of a reel is a guess: it ends with a question mark. */
export const isGuess = (said: string): boolean => said.trim().endsWith("?");

/** What a reel is taken for, in one line: guesses say so. Empty where nothing was said. */
export function takenForWords(of: { readonly madeBy: string; readonly madeWhen: string; readonly madeWhere: string }): string {
  const say = (said: string) => (isGuess(said) ? `${said.trim().slice(0, -1).trim()} (a guess)` : said.trim());
  return [of.madeBy, of.madeWhen, of.madeWhere]
    .filter((said) => said.replace("?", "").trim())
    .map(say)
    .join(", ");
}
