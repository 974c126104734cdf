/** Draws one drawing from outside, in a process of its own with little time and memory: bytes in, a line of JSON and the pixels out. */

import { Refusal } from "@/data/database/context";
import { drawSchematic } from "@/data/database/photos";

const parts: Buffer[] = [];
for await (const part of process.stdin) parts.push(part as Buffer);
try {
  const { jpeg, ...said } = await drawSchematic(Buffer.concat(parts));
  process.stdout.write(`${JSON.stringify({ ok: true, ...said })}\n`);
  process.stdout.write(jpeg);
} catch (error) {
  if (!(error instanceof Refusal)) throw error;
  process.stdout.write(`${JSON.stringify({ ok: false, code: error.code, message: error.message, field: error.field })}\n`);
}
