import { historySchema } from "@/core/history/history";
import { historyOf, noReel, type ReelParams } from "../history-route";

/** The history as a file for the owner: docs/history.schema.json says what is in it. */
export async function GET(_request: Request, props: ReelParams): Promise<Response> {
  const history = await historyOf(props);
  if (!history) return noReel();
  return new Response(`${JSON.stringify(historySchema.parse(history), null, 2)}\n`, {
    headers: {
      "content-type": "application/json; charset=utf-8",
      "content-disposition": `attachment; filename="reel-history-${history.reel.serial.replace(/[^\w-]+/g, "-") || "no-serial"}.json"`,
      "cache-control": "no-store",
    },
  });
}
