/** `npm run judge`: how well the forecasts do on made worlds whose truth they never read; prints the tables of docs/sources.md. */

import { bareWorld } from "#demo/world/bare-world";
import { driftStreams, type Plant, plantedHand, plantedModel, plantedSource } from "#demo/world/drift-streams";
import { watches } from "@/core/drift/watches";
import { backtest, verdictOf } from "@/core/promise/backtest";

const print = (cells: readonly (string | number)[]) => console.log(`| ${cells.join(" | ")} |`);

console.log("Days said for 8 in 10, looked back on (a shop of some 140 jobs a year; the last row one of 1,000):");
print(["seed", "jobs", "held of 100", "pinball loss", "seven days for all", "the middle of all"]);
const small = { years: 4, customers: 60, reels: 120, loyalty: 0.9, benchMinutes: 240, lot: 34 };
const all: ReturnType<typeof backtest>[number][] = [];
const row = (name: string | number, judged: typeof all) => {
  const { jobs, held, loss, lossOfSeven, lossOfMean } = verdictOf(judged, 0.8);
  print([name, jobs, held.toFixed(1), loss.toFixed(2), lossOfSeven.toFixed(2), lossOfMean.toFixed(2)]);
};
for (let seed = 1; seed <= 12; seed++) {
  const { past } = bareWorld({ seed, ...small });
  const judged = backtest(past, { wanted: 0.8, fromDay: 400, runs: 60, seed: 7 });
  all.push(...judged);
  row(seed, judged);
}
row("together", all);
const busy = bareWorld({ seed: 21, years: 3, customers: 2070, reels: 12_675, loyalty: 0.15, benchMinutes: 600, lot: 34 });
row("busy", backtest(busy.past, { wanted: 0.8, fromDay: 400, runs: 60, seed: 7, most: 600 }));

console.log("\nDrifts planted after three years; days until they were found (a dash: not within the year and a half that is left):");
const ids: Readonly<Record<Exclude<Plant, "none">, string>> = { supplier: plantedSource, model: plantedModel, person: plantedHand };
for (const plant of Object.keys(ids) as (keyof typeof ids)[]) {
  const days = Array.from({ length: 10 }, (_, i) => {
    const streams = driftStreams(i + 1, plant);
    const alarm = watches(streams).find(({ id }) => id === ids[plant])?.alarm;
    return alarm ? alarm.on - streams.begins : null;
  });
  print([
    plant,
    ...days.map((day) => day ?? "–"),
    `${days.filter((day) => day !== null && day > 0 && day <= 365).length} of 10 within a year`,
  ]);
}
let [alarms, years] = [0, 0];
for (let seed = 11; seed <= 30; seed++) {
  const streams = driftStreams(seed, "none");
  alarms += watches(streams).filter(({ alarm }) => alarm !== null).length;
  years += streams.today / 365;
}
console.log(
  `Nothing planted: ${alarms} false alarms in ${years.toFixed(0)} years, one in ${(years / alarms).toFixed(1)}; one in two years is said.`,
);
