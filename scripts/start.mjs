// npm start: installs what is missing, builds, and serves a shop's own data on loopback. PORT chooses the port, ZORBEK_DATA the folder.
import { chmodSync, mkdirSync } from "node:fs";
import { lanAddresses, lanCertificate } from "./lan.mjs";
import { buildApplication, choosePort, fail, installPackages, say, startServer } from "./setup.mjs";
import { shopDirectory } from "./shop-directory.mjs";

process.umask(0o077);
const data = shopDirectory();
mkdirSync(data, { recursive: true, mode: 0o700 });
chmodSync(data, 0o700);
const port = await choosePort(process.env.PORT);
installPackages();
if (!buildApplication()) fail("The build failed. Look at the lines above.");
const lan = process.argv.find((word) => word === "--lan" || word.startsWith("--lan="));
/** Other devices come in by a port of its own, three hundred on. */
const lanPort = port + 300;
const env = {};
if (lan) {
  const addresses = lan.includes("=") ? lan.slice("--lan=".length).split(",") : lanAddresses();
  if (!addresses.length) fail("This computer is in no local network now. Connect it, or name an address: npm start -- --lan=192.168.1.5");
  const { key, certificate, fingerprint } = await lanCertificate(data, addresses);
  env.ZORBEK_LAN_LISTEN = addresses.map((one) => `${one}:${lanPort}`).join(",");
  env.ZORBEK_LAN_KEY = key;
  env.ZORBEK_LAN_CERTIFICATE = certificate;
  env.ZORBEK_LAN_FINGERPRINT = fingerprint;
}
const { child, address } = await startServer({ port, data, env });
say(`Zorbek serves your shop at ${address}`);
say(`Its data lies in ${data}: only you can read it. npm run doctor looks it over.`);
if (lan) {
  say(
    `Other devices come in at ${env.ZORBEK_LAN_LISTEN.split(",")
      .map((one) => `https://${one}`)
      .join(", ")}, with a passphrase or by the QR at Shop.`,
  );
  say(`Their browser asks once whether it trusts the certificate: its SHA-256 is ${env.ZORBEK_LAN_FINGERPRINT}`);
}
say("Stop it with Ctrl+C.");
for (const signal of ["SIGINT", "SIGTERM"]) process.on(signal, () => child.kill(signal));
child.on("exit", (code) => process.exit(code ?? 0));
