import { type CountedJob, comebacksByCause, figuresBy, hourOf, monthsOf, waitFigures } from "@/core/figures/figures";
import { csvTable } from "./csv-table";

const round = (value: number) => Math.round(value * 100) / 100;

/** The figures of a time as a table (RFC 4180): what each is of, how many jobs, a quarter, the middle, three quarters. */
export function figuresCsv(jobs: readonly CountedJob[], from: string, to: string): string {
  const spread = (what: string, unit: string, scale: number, rows: ReturnType<typeof figuresBy>) =>
    rows.map(({ group, spread: of }) => [what, group, unit, of.n, round(of.low * scale), round(of.middle * scale), round(of.high * scale)]);
  const count = (what: string, rows: readonly { readonly group: string; readonly jobs: number }[]) =>
    rows.map(({ group, jobs: n }) => [what, group, "jobs", n, "", n, ""]);
  return csvTable(
    ["figure", "of", "unit", "jobs", "quarter", "middle", "three quarters"],
    [
      ...spread("a bench hour brought", "money an hour", 0.01, figuresBy(jobs, "hour-kind")),
      ...spread("a bench hour brought", "money an hour", 0.01, figuresBy(jobs, "hour-family")),
      ...spread("took against the quote", "times", 1, figuresBy(jobs, "took-kind")),
      ...spread("took against the quote", "times", 1, figuresBy(jobs, "took-family")),
      ...spread("waited on", "days", 1, waitFigures(jobs)),
      ...count("came back", comebacksByCause(jobs)),
      ...monthsOf(jobs, from, to).map(({ group, jobs: n, totalMinor }) => ["returned", group, "money", n, "", totalMinor / 100, ""]),
    ],
  );
}

/** The jobs behind the figures as a table, one a row. */
export const countedJobsCsv = (jobs: readonly CountedJob[]): string =>
  csvTable(
    [
      "tag",
      "owner",
      "reel",
      "what for",
      "family",
      "came",
      "returned",
      "work",
      "total",
      "minutes",
      "quoted minutes",
      "an hour brought",
      "waited: us",
      "customer",
      "supplier",
      "shelf",
      "came back for",
    ],
    jobs.map((job) => {
      const hour = hourOf(job);
      return [
        job.tag,
        job.owner,
        job.reel,
        job.kind,
        job.family,
        job.cameOn,
        job.closedOn,
        job.workMinor / 100,
        job.totalMinor / 100,
        round(job.minutes),
        job.quotedMinutes,
        hour === null ? "" : round(hour / 100),
        job.waits.us,
        job.waits.customer,
        job.waits.supplier,
        job.waits.shelf,
        job.comeback ?? "",
      ];
    }),
  );
