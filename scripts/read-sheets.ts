/** `npm run read-sheets`: how well sheets of invented reels are read, by style and by reel; those only counted were never looked at while it was written. */
import { loadSolver } from "@/core/blind-spots/least-cover";
import { sheetStyles } from "../tests/sheets/draw-sheet";
import { shots } from "../tests/sheets/photograph";
import { reader } from "../tests/sheets/read-picture";
import { type Score, scoreOfSheet, scoreOfStyle, shareOf } from "../tests/sheets/score";
import { scoreOfPicture } from "../tests/sheets/score-pictures";
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

if (process.argv.includes("--pictures")) {
  console.log(
    "\nPictures of printed sheets, read: cells, numerals on the list's own page, seconds; the worst corner of a photograph, in thousandths of its edge",
  );
  const { recognize, end } = await reader();
  const ways = [
    { words: "scan of 150 dpi", dpi: 150 },
    { words: "scan of 200 dpi, upside down", dpi: 200, turned: true },
    ...shots.map((shot) => ({ words: `photograph ${shot.name}`, dpi: 220, shot })),
  ];
  for (const how of ways) {
    const of = [];
    for (const [i, style] of sheetStyles.entries()) {
      const sheet = writtenSheets[i % writtenSheets.length]!;
      const score = await scoreOfPicture(recognize, sheet, style, 300 + i, how);
      of.push({ ...score, counted: i >= 6 });
      console.log(
        `${percent([score.cells])} ${score.numerals.all ? percent([score.numerals]) : "        "} ${score.seconds.toFixed(1).padStart(5)} s  ${how.words}, ${style.name}${i >= 6 ? " (only counted)" : ""}${score.corner === null ? "" : `, corner ${(1000 * score.corner).toFixed(1)}`}`,
      );
    }
    for (const counted of [false, true]) {
      const own = of.filter((one) => one.counted === counted);
      console.log(
        `${percent(own.map(({ cells }) => cells))} ${percent(own.map(({ numerals }) => numerals))}  ${how.words}, all ${counted ? "only counted" : "looked at"}`,
      );
    }
  }
  await end();
}
