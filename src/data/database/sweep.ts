import { existsSync, readdirSync, rmSync, statSync } from "node:fs";
import { join } from "node:path";
import { msPerHour } from "@/core/day/day";

/** What was begun and never finished is an hour old by then. */
const staleMs = msPerHour;
/** Names of what is only there while something is being written. */
const halves: readonly (readonly [folder: string, name: RegExp])[] = [
  ["photos", /^\..*\.tmp$/],
  ["backups", /^\.(half-.*|out)$/],
  [".", /^(\.coming|zorbek\.db\.coming|.*\.zip\.half)$/],
];

/** Takes away what a power cut left half-written; nothing whole has such a name. @returns how many. */
export function sweepHalfWritten(directory: string, now: Date): number {
  let swept = 0;
  for (const [folder, half] of halves) {
    const where = join(directory, folder);
    if (!existsSync(where)) continue;
    for (const name of readdirSync(where))
      if (half.test(name) && statSync(join(where, name)).mtimeMs < now.getTime() - staleMs) {
        rmSync(join(where, name), { recursive: true, force: true });
        swept++;
      }
  }
  return swept;
}
