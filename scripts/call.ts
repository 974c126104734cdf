/**
 * npm run -s call -- NAME < in.json > out.json: core functions on JSON. `--list` names them, `--schema NAME` prints the JSON Schema of the
 * input. What cannot be read is refused with where and why; exit 2.
 */
import { readFileSync } from "node:fs";
import { z } from "zod";
import { calls, vocabulary } from "./calls";

const refuse = (words: string): never => {
  console.error(words);
  process.exit(2);
};

const [name, second] = process.argv.slice(2);
if (name === "--list") console.log(Object.keys(calls).join("\n"));
else if (name === "--vocabulary" || second === "--vocabulary") console.log(JSON.stringify(vocabulary, null, 2));
else if (name === "--schema") {
  const chosen = calls[second ?? ""] ?? refuse(`call: --schema wants one of ${Object.keys(calls).join(", ")}`);
  console.log(JSON.stringify(z.toJSONSchema(chosen.input, { io: "input" }), null, 2));
} else {
  const chosen = calls[name ?? ""] ?? refuse(`call: no call named "${name ?? ""}". There are ${Object.keys(calls).join(", ")}.`);
  let json: unknown;
  try {
    json = JSON.parse(readFileSync(0, "utf8"));
  } catch {
    refuse("call: standard input is no JSON.");
  }
  const parsed = chosen.input.safeParse(json);
  if (!parsed.success) refuse(`call: ${z.prettifyError(parsed.error)}`);
  console.log(JSON.stringify(chosen.run(parsed.data as never), null, 2));
}
