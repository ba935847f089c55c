import { X509Certificate } from "node:crypto";
import { existsSync, mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { hostname, networkInterfaces } from "node:os";
import { generate } from "selfsigned";

const VALID_DAYS = 397;
const DAY_MILLISECONDS = 86_400_000;

/** Addresses of this machine in its local networks; the first is the one to tell. */
export function localAddresses() {
  return Object.values(networkInterfaces())
    .flatMap((list) => list ?? [])
    .filter(({ family, internal }) => family === "IPv4" && !internal)
    .map(({ address }) => address);
}

/**
 * This machine's own certificate, made anew when there is none, when it ends soon or when an address is missing in it.
 * @param {string} folder where key and certificate are kept, readable for the owner alone
 * @returns {Promise<{ key: string, certificate: string }>}
 */
export async function ownCertificate(folder) {
  const [keyFile, certificateFile] = [`${folder}/key.pem`, `${folder}/certificate.pem`];
  const addresses = ["127.0.0.1", ...localAddresses()];
  if (existsSync(keyFile) && existsSync(certificateFile)) {
    const certificate = readFileSync(certificateFile, "utf8");
    if (stillHolds(certificate, addresses)) return { key: readFileSync(keyFile, "utf8"), certificate };
  }
  const made = await generate([{ name: "commonName", value: `Tensidrum on ${hostname()}` }], {
    keyType: "ec",
    algorithm: "sha256",
    notAfterDate: new Date(Date.now() + VALID_DAYS * DAY_MILLISECONDS),
    extensions: [
      // Devices take it as trusted only as an authority; it signs nothing but itself.
      { name: "basicConstraints", cA: true, pathLenConstraint: 0, critical: true },
      { name: "keyUsage", digitalSignature: true, keyCertSign: true, critical: true },
      { name: "extKeyUsage", serverAuth: true },
      {
        name: "subjectAltName",
        altNames: [{ type: 2, value: "localhost" }, ...addresses.map((ip) => ({ type: /** @type {7} */ (7), ip }))],
      },
    ],
  });
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  writeFileSync(keyFile, made.private, { mode: 0o600 });
  writeFileSync(certificateFile, made.cert);
  return { key: made.private, certificate: made.cert };
}

/** @param {string} pem @param {readonly string[]} addresses */
function stillHolds(pem, addresses) {
  const certificate = new X509Certificate(pem);
  const endsSoon = Date.parse(certificate.validTo) < Date.now() + 7 * DAY_MILLISECONDS;
  return !endsSoon && addresses.every((address) => certificate.checkIP(address) !== undefined);
}
