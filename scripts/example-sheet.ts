/** Writes a sheet of an invented reel as a PDF, for the README's picture: example-sheet FILE.pdf */
import { writeFileSync } from "node:fs";
import { drawSheet, sheetStyles } from "../tests/sheets/draw-sheet";
import { pdfOf } from "../tests/sheets/pdf-sheet";
import { writtenSheets } from "../tests/sheets/written-sheets";

writeFileSync(
  process.argv[2]!,
  await pdfOf(drawSheet(writtenSheets.find(({ family }) => family === "star-drag-bridge")!, sheetStyles[4]!, 5)),
);
