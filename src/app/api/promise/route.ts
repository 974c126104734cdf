import { today } from "@/app/server/clock";
import { readFile } from "@/app/server/reading";
import { findModel } from "@/data/catalogue/models";
import { promiseFor, slipsOf } from "@/data/promise/promise";
import { dayWords } from "@/ui/dates";

/** The day a reel that comes in now could be promised for; with `rush`, what slips if it is taken up before all others. */
export const GET = readFile("rack", (db, _: object, request) => {
  const asked = new URL(request.url).searchParams;
  const model = asked.get("model") ?? "";
  const modelId = model.length < 80 && findModel(db, model) ? model : null;
  const day = today();
  const said = (iso: string | null) => (iso === null ? null : { day: iso, words: dayWords(iso) });
  if (asked.has("rush")) {
    const rush = slipsOf(db, day, modelId);
    return Response.json({ by: said(rush.day), slips: rush.slips });
  }
  const { day: eight, chances, because } = promiseFor(db, day, modelId);
  return Response.json({ today: day, by: said(eight), chances, because });
});
