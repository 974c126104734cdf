import { mmPerInch } from "@/core/units/units";

/** The number somebody typed, with a comma or a point; NaN for anything else, so that the gauge's own check speaks at the field. */
export const typedNumber = (text: string): number => (text.trim() === "" ? Number.NaN : Number(text.trim().replace(",", ".")));

/** A length somebody typed, mm: plain numbers are millimetres; "0.5 in", "3/16 in" and "1/4″" are inches. NaN for anything else. */
export function typedMm(text: string): number {
  const inches = /^(?:(\d+)\s*\/\s*(\d+)|([\d.,]+))\s*(?:in|"|″)$/.exec(text.trim());
  if (!inches) return typedNumber(text);
  const [, over, under, plain] = inches;
  return (plain === undefined ? Number(over) / Number(under) : typedNumber(plain)) * mmPerInch;
}

/** A result to so many significant digits, as the gauges show it. */
export const shown = (value: number, digits = 4): string =>
  Number.isFinite(value) ? value.toLocaleString("en-GB", { maximumSignificantDigits: digits, useGrouping: false }) : "–";
