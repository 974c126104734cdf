import { historyFile, pdfResponse } from "@/app/server/files";
import { historyPdf } from "@/formats/history-pdf";
import { spokenLocale } from "@/ui/dates";

export const GET = historyFile(async (history) => pdfResponse(await historyPdf(history, spokenLocale()), "reel-history.pdf"));
