import { spawnSync } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { TestProject } from "vitest/node";

declare module "vitest" {
  interface ProvidedContext {
    filledDemo: string;
  }
}

/** Fills the demo once for all browser tests; each server starts on a copy of its own. */
export default function fillDemoOnce(project: TestProject): () => void {
  const data = mkdtempSync(join(tmpdir(), "zorbek-demo-"));
  const { status } = spawnSync("node", ["node_modules/tsx/dist/cli.mjs", "demo/run.ts", "--small"], {
    env: { ...process.env, ZORBEK_DATA: data },
    stdio: ["ignore", "ignore", "inherit"],
  });
  if (status !== 0) throw new Error("The demo could not be filled: see the lines above.");
  project.provide("filledDemo", data);
  return () => rmSync(data, { recursive: true, force: true });
}
