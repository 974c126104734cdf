import { pdfResponse } from "@/app/bench/[tag]/pdf-response";
import { historyPdf } from "@/formats/history-pdf";
import { historyOf, noReel, type ReelParams } from "../history-route";

export async function GET(_request: Request, props: ReelParams): Promise<Response> {
  const history = await historyOf(props);
  return history ? pdfResponse(await historyPdf(history), "reel-history.pdf") : noReel();
}
