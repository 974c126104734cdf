// What npm start -- --lan needs: the addresses other devices can reach, and a certificate made here for them.
import { createHash, X509Certificate } from "node:crypto";
import { existsSync, mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { isIP } from "node:net";
import { networkInterfaces } from "node:os";
import { join } from "node:path";

/** IPv4 addresses of this computer in a local network. */
export const lanAddresses = () =>
  Object.values(networkInterfaces())
    .flatMap((list) => list ?? [])
    .filter(({ family, internal, address }) => family === "IPv4" && !internal && !address.startsWith("169.254."))
    .map(({ address }) => address);

/** How a certificate is told from another: SHA-256 over its bytes, as browsers show it. */
export const fingerprintOf = (pem) =>
  createHash("sha256")
    .update(new X509Certificate(pem).raw)
    .digest("hex")
    .toUpperCase()
    .replace(/(..)(?=.)/g, "$1:");

/**
 * The shop's certificate: kept while it names all addresses and is good for a month yet, else made anew (RSA 2048, a year).
 * @returns the two files and the fingerprint.
 */
export async function lanCertificate(data, addresses) {
  const folder = join(data, "lan");
  const [key, certificate] = [join(folder, "key.pem"), join(folder, "certificate.pem")];
  const isGood = () => {
    if (!existsSync(key) || !existsSync(certificate)) return false;
    const kept = new X509Certificate(readFileSync(certificate));
    return Date.parse(kept.validTo) > Date.now() + 30 * 86_400_000 && addresses.every((address) => kept.checkIP(address));
  };
  if (!isGood()) {
    const { default: selfsigned } = await import("selfsigned");
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    const notBeforeDate = new Date(Date.now() - 86_400_000);
    const made = await selfsigned.generate([{ name: "commonName", value: "Zorbek" }], {
      keySize: 2048,
      algorithm: "sha256",
      notBeforeDate,
      notAfterDate: new Date(notBeforeDate.getTime() + 366 * 86_400_000),
      extensions: [
        { name: "basicConstraints", cA: false, critical: true },
        { name: "keyUsage", digitalSignature: true, keyEncipherment: true, critical: true },
        { name: "extKeyUsage", serverAuth: true },
        { name: "subjectAltName", altNames: addresses.filter(isIP).map((ip) => ({ type: 7, ip })) },
      ],
    });
    writeFileSync(key, made.private, { mode: 0o600 });
    writeFileSync(certificate, made.cert, { mode: 0o600 });
  }
  return { key, certificate, fingerprint: fingerprintOf(readFileSync(certificate)) };
}
