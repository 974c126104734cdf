import { fileURLToPath } from "node:url";
import { defineConfig } from "vitest/config";

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url));

/** The tests of one folder alone, as mutation runs them: a mistake planted in it is to be found beside it, not by chance elsewhere. */
export default defineConfig({
  resolve: { alias: { "@": here("./src"), "#demo": here("./demo"), "#tests": here("./tests") } },
  test: {
    include: [`src/core/${process.env.ZORBEK_MUTATE_FOLDER ?? "**"}/**/*.test.ts`],
    environment: "node",
    setupFiles: ["tests/mutating-setup.ts"],
    testTimeout: 60_000,
  },
});
