// npm run demo: installs what is missing, builds, fills the demo workshop, serves it on loopback and prints the address.
// PORT chooses the port, ZORBEK_DATA the data directory; --fresh rebuilds the demo.
import { join } from "node:path";
import { buildApplication, choosePort, fail, fillDemo, installPackages, root, say, startServer } from "./setup.mjs";

const data = process.env.ZORBEK_DATA ?? join(root, "data");
const port = await choosePort(process.env.PORT);
installPackages();
if (!buildApplication()) fail("The build failed. Look at the lines above.");
if (!fillDemo(data, process.argv.slice(2))) fail("The demo could not be built. Look at the lines above.");
const { child, address } = await startServer({ port, data });
say(`Zorbek serves the demo workshop at ${address}`);
say("Stop it with Ctrl+C.");
for (const signal of ["SIGINT", "SIGTERM"]) process.on(signal, () => child.kill(signal));
child.on("exit", (code) => process.exit(code ?? 0));
