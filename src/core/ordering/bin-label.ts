/** What a bin's label says to a scanner: this word before the part's number. */
const mark = "BIN:";

export const binLabelText = (number: string): string => `${mark}${number}`;

/** The part number a scanned bin label says; null for anything else. A scanner may change the case of letters. */
export const partOfBinLabel = (text: string): string | null =>
  text.trim().toUpperCase().startsWith(mark) ? text.trim().slice(mark.length).trim() || null : null;

/** Bins in the order a hand goes along the shelves: letters, then numbers by their value. */
export const byWay = <T extends { readonly bin: string }>(bins: readonly T[]): T[] => {
  const order = new Intl.Collator("en", { numeric: true, sensitivity: "base" });
  return [...bins].sort((a, b) => order.compare(a.bin, b.bin));
};
