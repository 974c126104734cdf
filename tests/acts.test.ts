import { existsSync, readdirSync, readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { actOf } from "@/app/acts/registry";
import { acts } from "@/core/acts/acts";
import { journalSayings } from "@/core/journal/journal-sentence";

const below = (directory: string, ending: RegExp) =>
  readdirSync(directory, { recursive: true, encoding: "utf8" })
    .filter((file) => ending.test(file) && !/\.test\./.test(file))
    .map((file) => `${directory}/${file}`);

const camel = (name: string) => name.replace(/-(\w)/g, (_, letter: string) => letter.toUpperCase());

describe("an act", () => {
  it("has one name: of its file, of what it exports, on the wire and among the presses kept", () => {
    expect(new Set(acts.map(({ name }) => name)).size).toBe(acts.length);
    const modules = below("src/core/acts", /^[^/]+\/[^/]+\.ts$/).filter((file) => /defineAct\(/.test(readFileSync(file, "utf8")));
    expect(modules.length).toBe(acts.length);
    for (const file of modules) {
      const name = file.split("/").at(-1)!.replace(".ts", "");
      expect(readFileSync(file, "utf8"), file).toContain(`export const ${camel(name)} = defineAct({\n  name: "${name}",`);
      expect(actOf(name)?.act.name, file).toBe(name);
    }
  });

  it("is pressed somewhere: none is kept that no page has", () => {
    const pages = [...below("src/ui", /\.tsx?$/), ...below("src/app", /\.tsx$/)].map((file) => readFileSync(file, "utf8")).join("\n");
    expect(acts.filter(({ name }) => !pages.includes(`"${name}"`)).map(({ name }) => name)).toEqual([]);
  });

  it("says in the journal that it was done, unless it only looks", () => {
    for (const { name, journals } of acts) for (const entry of journals) expect(journalSayings, name).toHaveProperty(entry);
    expect(acts.filter(({ journals }) => !journals.length).map(({ name }) => name)).toEqual([
      "look-at-price-list",
      "preview-model-file",
      "preview-parts",
    ]);
  });

  it("is no act of the framework's: what is one comes in, copies or puts back, and no page sends a press past the one door", () => {
    const actions = below("src/app", /\.ts$/).filter((file) => readFileSync(file, "utf8").startsWith('"use server"'));
    expect(actions.sort()).toEqual(["src/app/shop/backup-actions.ts", "src/app/shop/unusable-actions.ts", "src/app/sign-in/actions.ts"]);
    expect(existsSync("src/app/api/press/route.ts")).toBe(true);
  });

  it("is unknown by any other name", () => expect([actOf("take"), actOf(""), actOf("constructor")]).toEqual([null, null, null]));
});
