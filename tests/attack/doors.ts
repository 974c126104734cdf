import { existsSync, readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";

/** What the build answers to, as the build itself lists it: a door that is added is among them. */
export interface Doors {
  /** Patterns such as /bench/[tag]/strip. */
  readonly pages: readonly string[];
  readonly files: readonly string[];
  /** Those of the files that take a picture in. */
  readonly uploads: readonly string[];
  /** Ids of the server actions, with their names. */
  readonly actions: readonly (readonly [id: string, name: string])[];
}

const manifest = <T>(name: string): T => JSON.parse(readFileSync(join(".next/server", name), "utf8")) as T;

export function doorsOfBuild(): Doors {
  const addresses = Object.keys(manifest<Record<string, string>>("app-paths-manifest.json"));
  const ending = (end: string) =>
    addresses.filter((one) => one.endsWith(end) && !one.startsWith("/_")).map((one) => one.slice(0, -end.length) || "/");
  const { node } = manifest<{ node: Record<string, { exportedName: string }> }>("server-reference-manifest.json");
  const files = ending("/route");
  return {
    pages: ending("/page"),
    files,
    uploads: files.filter((file) => {
      const source = join("src/app", file, "route.ts");
      return existsSync(source) && readFileSync(source, "utf8").includes("defineUpload(");
    }),
    actions: Object.entries(node).map(([id, { exportedName }]) => [id, exportedName] as const),
  };
}

/** A pattern's address. @param fill what stands at a place, by its name. */
export const addressOf = (pattern: string, fill: (place: string) => string): string =>
  pattern.replace(/\[(\w+)\]/g, (_, place: string) => encodeURIComponent(fill(place)));

/** The names that the program's own addresses carry after the question mark. */
export function queryNames(): string[] {
  const names = new Set<string>();
  for (const file of readdirSync("src", { recursive: true, encoding: "utf8" }))
    if (/\.tsx?$/.test(file)) {
      const source = readFileSync(join("src", file), "utf8");
      for (const [, name] of source.matchAll(/[?&](\w+)=/g)) names.add(name!);
      for (const [, name] of source.matchAll(/(?:query|asked|searchParams)\.get\("(\w+)"\)/g)) names.add(name!);
      for (const [, fields] of source.matchAll(/searchParams: Promise<\{([^}]*)\}>/g))
        for (const [, name] of fields!.matchAll(/(\w+)\??:/g)) names.add(name!);
    }
  return [...names].sort();
}
