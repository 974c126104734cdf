/** `npm run heard`: what is heard in made recordings whose truth is known; prints the tables of docs/sources.md. ZORBEK_RECORDINGS=40 of a kind. */
import { gearKinds, recordGear, recordSpin, spinKinds } from "#tests/made-recordings";
import { gearFromSound } from "@/core/listen/gear-sound";
import { spinFromSound } from "@/core/listen/spin-sound";
import { lossTerms } from "@/core/spin/losses";

const recordings = Number(process.env.ZORBEK_RECORDINGS ?? 40);
const print = (cells: readonly (string | number)[]) => console.log(`| ${cells.join(" | ")} |`);

console.log(`Free runs, ${recordings} of a kind: read, and of those how often each interval holds its loss.`);
print(["in the way", "read", ...lossTerms]);
for (const [name, kind] of Object.entries(spinKinds)) {
  let read = 0;
  const held = { a: 0, b: 0, c: 0 };
  for (let seed = 1; seed <= recordings; seed++) {
    const { recording, losses, marks } = recordSpin(kind, seed);
    const heard = spinFromSound(recording, marks);
    if (!heard.ok) continue;
    read++;
    const { terms } = heard.value.fit;
    if (losses) for (const term of lossTerms) if (terms[term].low <= losses[term] && losses[term] <= terms[term].high) held[term]++;
  }
  print([name, read, ...lossTerms.map((term) => (kind.without ? "–" : held[term]))]);
}

console.log(`\nGears, ${recordings} of a kind: what is named first.`);
print(["made", "the gear's tooth", "the pinion's", "the mesh alone", "nothing"]);
for (const [name, kind] of Object.entries(gearKinds)) {
  const named = { gear: 0, pinion: 0, mesh: 0, none: 0 };
  for (let seed = 1; seed <= recordings; seed++) {
    const { recording, turns, ratio, gearTeeth } = recordGear(kind, seed);
    const heard = gearFromSound(recording, turns, ratio, gearTeeth);
    const order = heard.ok ? heard.value.lines[0]!.order : 0;
    named[order === 0 ? "none" : order === 1 ? "gear" : order === ratio ? "pinion" : "mesh"]++;
  }
  print([name, ...Object.values(named)]);
}
