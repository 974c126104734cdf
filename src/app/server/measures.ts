import "server-only";
import { seriesName } from "@/core/measures/measure-lines";
import type { KeptMeasure } from "@/data/bench/measures";
import type { ShownMeasure } from "@/ui/charts/measure-series";
import { dateWords } from "@/ui/dates";

/** What was measured, as series over the visits: a line for each seat, length or figure. */
export function shownSeries(
  kept: readonly KeptMeasure[],
  positions: readonly { readonly id: string; readonly name: string }[],
): ShownMeasure[] {
  const seats = new Map(positions.map(({ id, name }) => [id, name]));
  return kept.map(({ at, jobId: _, kind, positionId, name, ...rest }) => ({
    ...rest,
    series: seriesName({ kind, positionId, name }, (id) => seats.get(id) ?? id),
    on: dateWords(at),
  }));
}
