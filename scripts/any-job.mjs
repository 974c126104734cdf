// Jobs of chance against the laws of docs/laws.md, for so many minutes: npm run any-job -- --from SEED --minutes 30
import { spawnSync } from "node:child_process";
import { parseArgs } from "node:util";

const { values } = parseArgs({ options: { from: { type: "string", default: "100000" }, minutes: { type: "string", default: "5" } } });
for (const [name, value] of Object.entries(values))
  if (!(Number(value) > 0)) {
    console.error(`--${name} is a number above nothing, such as --${name} ${name === "from" ? "100000" : "30"}.`);
    process.exit(2);
  }
const { status } = spawnSync(
  "npx",
  ["vitest", "run", "--project", "unit", "tests/any-job.test.ts", "--testTimeout", String(Number(values.minutes) * 60_000 + 600_000)],
  {
    stdio: "inherit",
    env: { ...process.env, ANY_JOB_FROM: values.from, ANY_JOB_MINUTES: values.minutes },
  },
);
process.exit(status ?? 1);
