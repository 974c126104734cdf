// What demo, test and shots share. Plain Node: it runs before anything is installed.
import { spawn, spawnSync } from "node:child_process";
import { createHash } from "node:crypto";
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from "node:fs";
import { createServer } from "node:net";
import { dirname, join, resolve } from "node:path";
import { fileURLToPath } from "node:url";

export const root = resolve(dirname(fileURLToPath(import.meta.url)), "..");
process.chdir(root);
process.env.NEXT_TELEMETRY_DISABLED = "1";
const stampDirectory = join(root, ".zorbek");

export const say = (words) => process.stdout.write(`${words}\n`);

/** Runs a command to its end; false when it failed. */
export function run(command, args, options = {}) {
  const result = spawnSync(command, args, { stdio: "inherit", cwd: root, ...options });
  if (result.error) say(`${command}: ${result.error.message}`);
  return result.status === 0;
}

const hashOf = (files) => {
  const hash = createHash("sha256");
  for (const file of files)
    hash
      .update(file)
      .update("\0")
      .update(readFileSync(join(root, file)))
      .update("\0");
  return hash.digest("hex");
};

const stampIs = (name, value) => existsSync(join(stampDirectory, name)) && readFileSync(join(stampDirectory, name), "utf8") === value;
const writeStamp = (name, value) => {
  mkdirSync(stampDirectory, { recursive: true });
  writeFileSync(join(stampDirectory, name), value);
};

function filesBelow(directory) {
  const found = [];
  for (const name of readdirSync(join(root, directory)).sort()) {
    const path = `${directory}/${name}`;
    if (statSync(join(root, path)).isDirectory()) found.push(...filesBelow(path));
    else found.push(path);
  }
  return found;
}

/** Node packages, exactly as locked. The SQLite driver compiles here when no prebuilt one can be had; a compiler is installed if missing. */
export function installPackages() {
  const want = `${process.version} ${hashOf(["package-lock.json"])}`;
  if (stampIs("packages", want) && existsSync(join(root, "node_modules/next"))) return;
  if (spawnSync("g++", ["--version"]).status !== 0 || spawnSync("make", ["--version"]).status !== 0) aptInstall(["g++", "make", "python3"]);
  say("Installing packages (the database driver is compiled once, some minutes) …");
  const env = { ...process.env };
  const headers = resolve(dirname(process.execPath), "..");
  // Node's own headers, when they came with it: compiling then needs no download.
  if (existsSync(join(headers, "include/node/node.h"))) env.npm_config_nodedir = headers;
  if (!run("npm", ["ci", "--no-audit", "--no-fund"], { env }))
    fail("The packages could not be installed. Look at the lines above, then run the command again.");
  writeStamp("packages", want);
}

/** Debian packages, quietly; as root or through sudo. */
export function aptInstall(names) {
  const asRoot = process.getuid?.() === 0 ? [] : ["sudo"];
  const apt = (...args) => {
    const [command, ...rest] = [...asRoot, "apt-get", "-y", "-qq", ...args];
    return (
      spawnSync(command, rest, { stdio: ["ignore", "ignore", "inherit"], env: { ...process.env, DEBIAN_FRONTEND: "noninteractive" } })
        .status === 0
    );
  };
  say(`Installing ${names.join(", ")} …`);
  if (!apt("install", "--no-install-recommends", ...names) && !(apt("update") && apt("install", "--no-install-recommends", ...names)))
    fail(`Could not install ${names.join(", ")}. Install them by hand, then run the command again.`);
}

/** The browser that the tests drive and the tool that reads PDFs. */
export function installBrowser() {
  const missing = [
    ["/usr/bin/chromium", "chromium"],
    ["/usr/bin/chromedriver", "chromium-driver"],
    ["/usr/bin/pdftotext", "poppler-utils"],
    ["/usr/bin/sox", "sox"],
  ].filter(([path]) => !existsSync(path));
  if (missing.length) aptInstall(missing.map(([, name]) => name));
}

/** Builds the application when its sources changed since the last build. */
export function buildApplication() {
  const sources = [...filesBelow("src"), "package-lock.json", "next.config.ts", "postcss.config.mjs", "tsconfig.json"].filter(
    (file) => !file.endsWith(".test.ts"),
  );
  const want = hashOf(sources);
  if (stampIs("build", want) && existsSync(join(root, ".next/BUILD_ID"))) return true;
  say("Building …");
  if (!run("node", ["node_modules/next/dist/bin/next", "build"])) return false;
  writeStamp("build", want);
  return true;
}

/** @returns {never} */
export function fail(words) {
  say(words);
  process.exit(1);
}

const portIsFree = (port) =>
  new Promise((settle) => {
    const server = createServer();
    server.once("error", () => settle(false));
    server.listen(port, "127.0.0.1", () => server.close(() => settle(true)));
  });

/** Ports above 1023 that browsers refuse to open (WHATWG Fetch, "port blocking"): a server there would seem dead. */
const blockedPorts = new Set([
  1719, 1720, 1723, 2049, 3659, 4045, 4190, 5060, 5061, 6000, 6566, 6665, 6666, 6667, 6668, 6669, 6679, 6697, 10080,
]);

/** The wanted port; refused with words when it is taken and was asked for, else the next free one. */
export async function choosePort(wanted) {
  if (wanted && blockedPorts.has(Number(wanted)))
    return fail(`Browsers refuse to open port ${wanted}. Choose another: PORT=… npm run demo`);
  if (wanted)
    return (await portIsFree(Number(wanted))) ? Number(wanted) : fail(`Port ${wanted} is in use. Choose another: PORT=… npm run demo`);
  for (let port = 4180; port < 4230; port++) if (!blockedPorts.has(port) && (await portIsFree(port))) return port;
  return fail("No free port between 4180 and 4229. Choose one: PORT=… npm run demo");
}

/** Fills an empty data directory with the invented workshop. */
export const fillDemo = (data, args = []) =>
  run("node", ["node_modules/tsx/dist/cli.mjs", "demo/run.ts", ...args], { env: { ...process.env, ZORBEK_DATA: data } });

/** Starts the built server on loopback; resolves when it answers. */
export async function startServer({ port, data, env = {} }) {
  const child = spawn("node", ["scripts/serve.mjs", String(port)], {
    cwd: root,
    env: { ...process.env, ...env, ZORBEK_DATA: data },
    stdio: ["ignore", "ignore", "inherit"],
  });
  const address = `http://127.0.0.1:${port}`;
  for (let waited = 0; waited < 60_000; waited += 250) {
    if (child.exitCode === 3) fail("Nothing was started.");
    if (child.exitCode !== null) fail("The server stopped while starting. Look at the lines above.");
    const answers = await fetch(address).then(
      (response) => response.ok,
      () => false,
    );
    if (answers) return { child, address };
    await new Promise((wait) => setTimeout(wait, 250));
  }
  child.kill();
  return fail("The server did not answer within a minute.");
}
