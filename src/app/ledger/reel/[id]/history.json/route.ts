import { fileResponse, historyFile } from "@/app/server/files";
import { historySchema } from "@/core/history/history";

/** The history as a file for the owner: docs/history.schema.json says what is in it. */
export const GET = historyFile((history) =>
  fileResponse(
    `${JSON.stringify(historySchema.parse(history), null, 2)}\n`,
    "application/json; charset=utf-8",
    `reel-history-${history.reel.serial.replace(/[^\w-]+/g, "-") || "no-serial"}.json`,
  ),
);
