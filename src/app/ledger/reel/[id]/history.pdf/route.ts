import { historyFile, pdfResponse } from "@/app/server/files";
import { historyPdf } from "@/formats/history-pdf";

export const GET = historyFile(async (history) => pdfResponse(await historyPdf(history), "reel-history.pdf"));
