import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { describe, expect, it } from "vitest";

const sources = ["src/data", "src/app"].flatMap((folder) =>
  readdirSync(folder, { recursive: true, encoding: "utf8" })
    .filter((file) => /\.tsx?$/.test(file) && !/\.test\./.test(file))
    .map((file) => join(folder, file)),
);

/** Each `new Refusal(…)` of the sources, whole: its own brackets counted, strings passed over. */
function refusalsOf(text: string): string[] {
  const found: string[] = [];
  for (let at = text.indexOf("new Refusal("); at >= 0; at = text.indexOf("new Refusal(", at + 1)) {
    let depth = 0;
    let quote = "";
    for (let i = at + "new Refusal".length; i < text.length; i++) {
      const sign = text[i]!;
      if (quote) {
        if (sign === "\\") i++;
        else if (sign === quote) quote = "";
      } else if (sign === '"' || sign === "`") quote = sign;
      else if (sign === "(") depth++;
      else if (sign === ")" && --depth === 0) {
        found.push(text.slice(at, i + 1));
        break;
      }
    }
  }
  return found;
}

/** Words of a refusal that send somebody elsewhere. */
const elsewhere =
  /\b(?:at|to) (?:Stores|Shop|Test|Find|Quote|Strip|Clean|Parts|Build|Prove|Return|Counter|the rack)\b|in the Library|to the part\b|Add it first|hand (?:it|that job) back first/i;

describe("a refusal that sends somebody elsewhere", () => {
  const all = sources.flatMap((file) => refusalsOf(readFileSync(file, "utf8")).map((refusal) => ({ file, refusal })));

  it("is looked for in the whole of the program", () => expect(all.length).toBeGreaterThan(120));

  it("brings the way there along, one press away", () => {
    const without = all.filter(({ refusal }) => elsewhere.test(refusal) && !/\bto: "|\bway\b/.test(refusal));
    expect(without.map(({ file, refusal }) => `${file}: ${refusal.replace(/\s+/g, " ")}`)).toEqual([]);
  });
});
