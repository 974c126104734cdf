// npm start: installs what is missing, builds, and serves a shop's own data on loopback. PORT chooses the port, ZORBEK_DATA the folder.
import { chmodSync, mkdirSync } from "node:fs";
import { buildApplication, choosePort, fail, installPackages, say, startServer } from "./setup.mjs";
import { shopDirectory } from "./shop-directory.mjs";

process.umask(0o077);
const data = shopDirectory();
mkdirSync(data, { recursive: true, mode: 0o700 });
chmodSync(data, 0o700);
const port = await choosePort(process.env.PORT);
installPackages();
if (!buildApplication()) fail("The build failed. Look at the lines above.");
const { child, address } = await startServer({ port, data });
say(`Zorbek serves your shop at ${address}`);
say(`Its data lies in ${data}: only you can read it. npm run doctor looks it over.`);
say("Stop it with Ctrl+C.");
for (const signal of ["SIGINT", "SIGTERM"]) process.on(signal, () => child.kill(signal));
child.on("exit", (code) => process.exit(code ?? 0));
