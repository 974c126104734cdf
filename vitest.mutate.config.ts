import { fileURLToPath } from "node:url";
import { defineConfig } from "vitest/config";

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url));

/** The core's own tests alone, as mutation runs them: a mistake planted in a folder is to be found beside it, not by a browser. */
export default defineConfig({
  resolve: { alias: { "@": here("./src"), "#demo": here("./demo"), "#tests": here("./tests") } },
  test: { include: ["src/core/**/*.test.ts"], environment: "node", testTimeout: 60_000 },
});
