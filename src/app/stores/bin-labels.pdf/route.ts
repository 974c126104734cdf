import { pdfResponse } from "@/app/server/files";
import { readFile } from "@/app/server/reading";
import { byWay } from "@/core/ordering/bin-label";
import { listStock } from "@/data/parts/stock";
import { binLabelsPdf } from "@/formats/bin-labels-pdf";

/** The labels of every bin, by the way through them. */
export const GET = readFile("stores", async (db) => pdfResponse(await binLabelsPdf(byWay(listStock(db))), "bin-labels.pdf"));
