// Fails on a dependency whose licence is outside the list. Reads the installed packages' own package.json.
import { existsSync, readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";

const allowed = new Set([
  "MIT",
  "ISC",
  "BSD-2-Clause",
  "BSD-3-Clause",
  "0BSD",
  "Apache-2.0",
  "BlueOak-1.0.0",
  "CC0-1.0",
  "CC-BY-4.0",
  "Unlicense",
  "Python-2.0",
  "MIT-0",
  "Zlib",
]);
// Libraries used unchanged as separate files, and fonts.
const allowedFor = {
  "LGPL-3.0-or-later": /^@img\/sharp-/,
  "OFL-1.1": /^@fontsource\//,
  "Bitstream-Vera": /^dejavu-fonts-ttf$/,
  "MPL-2.0": /^(axe-core|lightningcss|ical\.js)/,
};

// Their package.json names no licence by its short name; what their LICENSE files say.
const readByHand = new Map([
  ["png-js", "MIT"],
  ["dejavu-fonts-ttf", "Bitstream-Vera"],
]);

export function licenceFaults(root) {
  const faults = [];
  const look = (directory) => {
    for (const name of readdirSync(directory)) {
      if (name.startsWith(".")) continue;
      const path = join(directory, name);
      if (name.startsWith("@")) {
        look(path);
        continue;
      }
      const manifest = join(path, "package.json");
      if (!existsSync(manifest)) continue;
      const { name: full, version, license, licenses } = JSON.parse(readFileSync(manifest, "utf8"));
      if (full) {
        const words =
          readByHand.get(full) ??
          (typeof license === "string" ? license : (license?.type ?? licenses?.map((l) => l.type).join(" OR ") ?? "none"));
        const parts = words.replace(/[()]/g, "").split(/ (?:OR|AND) /);
        const fits = (one) => allowed.has(one) || (allowedFor[one]?.test(full) ?? false);
        const good = words.includes(" AND ") ? parts.every(fits) : parts.some(fits);
        if (!good) faults.push(`${full} ${version}: ${words}`);
      }
      if (existsSync(join(path, "node_modules"))) look(join(path, "node_modules"));
    }
  };
  look(join(root, "node_modules"));
  return faults;
}
