import { fileURLToPath } from "node:url";
import { defineConfig } from "vitest/config";

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url));
const alias = { "@": here("./src"), "#demo": here("./demo"), "#tests": here("./tests"), "server-only": here("./tests/nothing.ts") };

export default defineConfig({
  resolve: { alias },
  test: {
    projects: [
      {
        resolve: { alias },
        test: {
          name: "unit",
          include: ["src/**/*.test.ts", "tests/*.test.ts"],
          environment: "node",
          testTimeout: 240_000, // some start another program; nothing here asserts a time
          hookTimeout: 240_000, // one fills a whole demo
          maxWorkers: 2, // without a word it leaves one of two cores idle
          isolate: false, // the core keeps no state of its own; loading it anew for each file took a minute
        },
      },
      {
        resolve: { alias },
        test: {
          name: "browser",
          include: ["tests/browser/**/*.test.ts"],
          environment: "node",
          testTimeout: 480_000, // a limit ends what hangs; nothing here asserts a time
          hookTimeout: 360_000,
          retry: 0, // what fails is run twice more by itself at the end and named if it passes (scripts/unsteady.mjs)
          globalSetup: ["tests/browser/filled-demo.ts"],
          setupFiles: ["tests/browser/on-failure.ts"],
          maxWorkers: 2, // a person at a screen mostly waits: two share two cores; a third made presses come late
        },
      },
    ],
  },
});
