import { today } from "./clock";

const isDay = (text: string | null | undefined): text is string =>
  Boolean(text && /^\d{4}-\d{2}-\d{2}$/.test(text)) && !Number.isNaN(Date.parse(text!));

/** The time a page or a table is asked for: two ISO days, both included; the last twelve months where nothing useful was typed. */
export function rangeOf(asked: { get: (name: string) => string | null }): { readonly from: string; readonly to: string } {
  const day = today();
  const to = asked.get("to");
  const from = asked.get("from");
  // Nothing was done after today.
  const last = isDay(to) && to < day ? to : day;
  const yearBefore = `${Number(last.slice(0, 4)) - 1}${last.slice(4, 8)}${last.slice(8) === "29" ? "28" : last.slice(8)}`;
  const first = isDay(from) ? from : yearBefore;
  return first <= last ? { from: first, to: last } : { from: last, to: first };
}
