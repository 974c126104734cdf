// What tries the program by chance, for as long as one likes, from a seed: npm run any-job | attack -- --from SEED --minutes 30; npm run faults -- --from SEED --kills 200
import { spawnSync } from "node:child_process";
import { existsSync } from "node:fs";
import { parseArgs } from "node:util";

const trials = {
  "any-job": { projects: { unit: "tests/any-job.test.ts" }, env: "ANY_JOB" },
  attack: { projects: { browser: "tests/browser/attack.test.ts" }, env: "ATTACK" },
  // So many kills of each act instead of minutes.
  faults: { projects: { unit: "tests/killed-at-chance.test.ts", browser: "tests/browser/any-day.test.ts" }, env: "FAULTS" },
};
const { values, positionals } = parseArgs({
  options: {
    from: { type: "string", default: "100000" },
    minutes: { type: "string", default: "5" },
    kills: { type: "string", default: "200" },
  },
  allowPositionals: true,
});
const trial = trials[positionals[0]];
if (!trial) {
  console.error(`Say what: ${Object.keys(trials).join(", ")}.`);
  process.exit(2);
}
for (const [name, value] of Object.entries(values))
  if (!(Number(value) > 0)) {
    console.error(`--${name} is a number above nothing, such as --${name} ${name === "from" ? "100000" : "30"}.`);
    process.exit(2);
  }
if (trial.projects.browser && !existsSync(".next/BUILD_ID")) {
  console.error("It tries the built program: npm run build first.");
  process.exit(2);
}
const env = { [`${trial.env}_FROM`]: values.from, [`${trial.env}_MINUTES`]: values.minutes, [`${trial.env}_KILLS`]: values.kills };
const longestMs = Number(values.minutes) * 60_000 + Number(values.kills) * 15_000;
const failed = Object.entries(trial.projects).filter(([project, file]) => {
  const of = ["vitest", "run", "--project", project, file, "--testTimeout", String(longestMs)];
  return spawnSync("npx", of, { stdio: "inherit", env: { ...process.env, ...env } }).status !== 0;
});
process.exit(failed.length ? 1 : 0);
