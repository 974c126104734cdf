import { readMeasure } from "@/core/units/read-measure";

/** The number somebody typed, with a comma or a point; NaN for anything else, so that the gauge's own check speaks at the field. */
export const typedNumber = (text: string): number => (text.trim() === "" ? Number.NaN : Number(text.trim().replace(",", ".")));

/** A length somebody typed, mm: plain numbers are millimetres; "0.5 in", "3/16 in", "1/4″", "2 cm" and "120 yd" are what they say. NaN for anything else. */
export const typedMm = (text: string): number => readMeasure(text, "mm");

/** A pull somebody typed, N: plain numbers are newtons; "5 lb", "2.4 kg" and "12 oz" are what they say. NaN for anything else. */
export const typedNewtons = (text: string): number => readMeasure(text, "N");

/** A result to so many significant digits, as the gauges show it. */
export const shown = (value: number, digits = 4): string =>
  Number.isFinite(value) ? value.toLocaleString("en-GB", { maximumSignificantDigits: digits, useGrouping: false }) : "–";
