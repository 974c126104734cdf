/** The number somebody typed, with a comma or a point; NaN for anything else, so that the gauge's own check speaks at the field. */
export const typedNumber = (text: string): number => (text.trim() === "" ? Number.NaN : Number(text.trim().replace(",", ".")));

/** A result to five significant digits, as the gauges show it. */
export const shown = (value: number, digits = 4): string =>
  Number.isFinite(value) ? value.toLocaleString("en-GB", { maximumSignificantDigits: digits, useGrouping: false }) : "–";
