/**
 * npm run -s call -- NAME < in.json > out.json: core functions on JSON. `--list` names them, `--schema NAME` prints the JSON Schema of the
 * input. What cannot be read is refused with where and why; exit 2.
 */
import { readFileSync } from "node:fs";
import { z } from "zod";
import { answerCall } from "./answer-call";
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
  if (name !== undefined && Object.hasOwn(calls, name)) await calls[name]!.prepare?.();
  const answer = answerCall(calls, name ?? "", readFileSync(0, "utf8"));
  if (!answer.ok) refuse(`call: ${answer.words}`);
  else console.log(answer.json);
}
