/** `npm run read-sheets`: how well sheets of invented reels are read, by style and by reel; those only counted were never looked at while it was written. */
import { loadSolver } from "@/core/blind-spots/least-cover";
import { sheetStyles } from "../tests/sheets/draw-sheet";
import { type Score, scoreOfSheet, scoreOfStyle, shareOf } from "../tests/sheets/score";
import { writtenSheets } from "../tests/sheets/written-sheets";

const percent = (scores: readonly Score[]) => `${(100 * shareOf(scores)).toFixed(1)} %`.padStart(8);
console.log("Words with boxes (a text layer): cells to the letter, numerals tied to their rows");
const styles = sheetStyles.map((style, i) => ({ name: style.name, counted: i >= 6, ...scoreOfStyle(style, 0.03) }));
for (const { name, counted, cells, numerals } of styles)
  console.log(`${percent([cells])} ${numerals.all ? percent([numerals]) : "        "}  ${name}${counted ? " (only counted)" : ""}`);
for (const counted of [false, true]) {
  const of = styles.filter((one) => one.counted === counted);
  console.log(
    `${percent(of.map(({ cells }) => cells))} ${percent(of.map(({ numerals }) => numerals))}  all ${counted ? "only counted" : "looked at"}`,
  );
}
console.log("\nSeats found from the words of the list alone, the family told by it");
const solver = await loadSolver();
const sheets = writtenSheets.map((sheet) => ({ ...sheet, ...scoreOfSheet(solver, sheet) }));
for (const { family, counted, told, seats, doubted, doubtful } of sheets)
  console.log(
    `${percent([seats])}  ${family}${told ? "" : ", taken for another family"}: ${doubted.all} in wrong seats, ${doubted.right} of them doubtful, ${doubtful} doubtful in all${counted ? " (only counted)" : ""}`,
  );
for (const counted of [false, true])
  console.log(
    `${percent(sheets.filter((one) => one.counted === counted).map(({ seats }) => seats))}  all ${counted ? "only counted" : "looked at"}`,
  );
