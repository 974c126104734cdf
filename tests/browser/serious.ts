import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import type { Person } from "./bench";

const axe = readFileSync(createRequire(import.meta.url).resolve("axe-core/axe.min.js"), "utf8");

/** What axe-core finds serious or critical on the page as it is, each with its place. */
export async function seriousFaults(person: Person): Promise<string[]> {
  await person.driver.executeScript(axe);
  const violations = await person.driver.executeAsyncScript<{ id: string; impact: string; nodes: { html: string }[] }[]>(
    "const done = arguments[arguments.length - 1]; axe.run(document, { resultTypes: ['violations'] }).then((result) => done(result.violations.map(({ id, impact, nodes }) => ({ id, impact, nodes: nodes.map(({ html }) => ({ html })) }))))",
  );
  return violations
    .filter(({ impact }) => impact === "serious" || impact === "critical")
    .map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`);
}
