import { today } from "@/app/server/clock";
import { readFile } from "@/app/server/reading";
import { dayNumber, dayOfNumber } from "@/core/day/day";
import { depths, jobKinds } from "@/core/vocabulary/job-kinds";
import { findModel } from "@/data/catalogue/models";
import { freshJob, liveBench, lookDays, promiseSeed } from "@/data/promise/bench";
import { kindOf } from "@/data/promise/past";
import { dayWords } from "@/ui/dates";
import type { BenchToAsk } from "@/ui/promise/bench-to-ask";

/** The bench as it stands, for the page's own simulation; with `model`, also the reel that may be taken in. */
export const GET = readFile("rack", (db, _: object, request) => {
  const asked = new URL(request.url).searchParams;
  const day = today();
  const live = liveBench(db, day, new Date().toISOString());
  const { bench, hanging, people, wanted, ask, learnedFrom } = live;
  const named = asked.get("model");
  const kind = asked.get("kind") ?? "repair";
  const depth = asked.get("depth") ?? "";
  // A model the library does not know takes what reels take here.
  const model = named === null || named.length > 80 ? null : findModel(db, named);
  const fresh =
    named === null
      ? null
      : freshJob(live, {
          modelId: model?.id ?? "",
          family: model?.family ?? "",
          kind: kindOf(kind in jobKinds ? kind : "repair", depth in depths ? depth : null),
        });
  const first = dayNumber(day);
  const answer: BenchToAsk = {
    today: day,
    days: Array.from({ length: lookDays }, (_, ahead) => dayOfNumber(first + ahead)).map((iso) => ({ day: iso, words: dayWords(iso) })),
    bench,
    hanging,
    people,
    wanted,
    ask,
    learnedFrom,
    fresh,
    seed: promiseSeed,
  };
  return Response.json(answer);
});
