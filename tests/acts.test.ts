import { existsSync, readdirSync, readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { actOf } from "@/app/acts/registry";
import { acts } from "@/core/acts/acts";
import { journalSayings } from "@/core/journal/journal-sentence";
import { mayDo, type Permission, roles } from "@/core/sign-in/permissions";

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

  // What a station's acts change is what its hands may: the counter opens no reel, and the shop's rules are its owner's.
  const mayBe: Readonly<Record<string, readonly Permission[]>> = {
    counter: ["counter"],
    lot: ["counter"],
    test: ["bench"],
    find: ["bench"],
    strip: ["bench"],
    clean: ["bench"],
    parts: ["bench"],
    build: ["bench"],
    bench: ["bench"],
    gauges: ["bench"],
    quote: ["counter", "bench"],
    return: ["counter", "bench"],
    rack: ["counter", "shop"],
    stores: ["stores"],
    library: ["bench", "stores"],
    ledger: ["counter", "bench", "shop"],
    shop: ["counter", "shop"],
  };
  it("asks for the permission of its station", () => {
    const stations = readdirSync("src/core/acts", { withFileTypes: true }).filter((entry) => entry.isDirectory() && entry.name !== "act");
    expect(stations.map(({ name }) => name).sort()).toEqual(Object.keys(mayBe).sort());
    for (const { name: station } of stations)
      for (const file of below(`src/core/acts/${station}`, /^[^/]+\.ts$/)) {
        const permission = /defineAct\(/.test(readFileSync(file, "utf8"))
          ? actOf(file.split("/").at(-1)!.replace(".ts", ""))!.act.permission
          : null;
        if (permission) expect(mayBe[station], file).toContain(permission);
      }
  });

  it("may be done by whom the shop trusts with it: a table, role by role", () => {
    const who = (permission: Permission) => roles.filter((role) => mayDo({ role }, permission));
    expect(who("bench")).toEqual(["owner", "bench"]);
    expect(who("shop")).toEqual(["owner"]);
    expect(who("counter")).toEqual(["owner", "bench", "counter"]);
    expect(who("stores")).toEqual(["owner", "bench", "counter"]);
  });

  it("is unknown by any other name", () => expect([actOf("take"), actOf(""), actOf("constructor")]).toEqual([null, null, null]));
});
