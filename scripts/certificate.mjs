import "reflect-metadata";
import { AsnConvert } from "@peculiar/asn1-schema";
import { GeneralName, GeneralSubtree, GeneralSubtrees, id_ce_nameConstraints, NameConstraints } from "@peculiar/asn1-x509";
import * as x509 from "@peculiar/x509";
import { Buffer } from "node:buffer";
import { createPrivateKey, webcrypto, X509Certificate } from "node:crypto";
import { existsSync, mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { hostname, networkInterfaces } from "node:os";

const VALID_DAYS = 397;
const DAY_MILLISECONDS = 86_400_000;
const KEYS = { name: "ECDSA", namedCurve: "P-256" };
const SIGNING = { name: "ECDSA", hash: "SHA-256" };

/** Addresses of this machine in its local networks; the first is the one to tell. */
export function localAddresses() {
  return Object.values(networkInterfaces())
    .flatMap((list) => list ?? [])
    .filter(({ family, internal }) => family === "IPv4" && !internal)
    .map(({ address }) => address);
}

/**
 * This machine's own certificate with the root that signed it, made anew when there is none, when it expires soon or when
 * an address is missing in it. The root may vouch for these addresses alone, and its key is thrown away once it has signed.
 * @param {string} folder where key and certificates are kept, readable for the owner alone
 * @param {readonly string[]} [addresses]
 * @returns {Promise<{ key: string, certificate: string, root: string }>} PEM; the certificate has the root behind it
 */
export async function ownCertificate(folder, addresses = ["127.0.0.1", ...localAddresses()]) {
  const files = { key: `${folder}/key.pem`, leaf: `${folder}/certificate.pem`, root: `${folder}/root.pem` };
  if (Object.values(files).every((file) => existsSync(file))) {
    const [leaf, root] = [readFileSync(files.leaf, "utf8"), readFileSync(files.root, "utf8")];
    if (isValidFor(leaf, root, addresses)) return { key: readFileSync(files.key, "utf8"), certificate: leaf + root, root };
  }
  const made = await madeAnew(addresses);
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  writeFileSync(files.key, made.key, { mode: 0o600 });
  writeFileSync(files.leaf, made.leaf);
  writeFileSync(files.root, made.root);
  return { key: made.key, certificate: made.leaf + made.root, root: made.root };
}

/** @param {readonly string[]} addresses */
async function madeAnew(addresses) {
  const crypto = /** @type {Crypto} */ (/** @type {unknown} */ (webcrypto));
  x509.cryptoProvider.set(crypto);
  const generate = () => crypto.subtle.generateKey(KEYS, true, ["sign", "verify"]);
  const [rootKeys, leafKeys] = await Promise.all([generate(), generate()]);
  const notBefore = new Date(Date.now() - DAY_MILLISECONDS);
  const notAfter = new Date(Date.now() + VALID_DAYS * DAY_MILLISECONDS);
  const root = await x509.X509CertificateGenerator.createSelfSigned({
    serialNumber: serial(crypto),
    name: [{ CN: [`Tensidrum on ${hostname()}, these addresses alone`] }],
    notBefore,
    notAfter,
    keys: rootKeys,
    signingAlgorithm: SIGNING,
    extensions: [
      new x509.BasicConstraintsExtension(true, 0, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.keyCertSign, true),
      onlyFor(addresses),
      await x509.SubjectKeyIdentifierExtension.create(rootKeys.publicKey),
    ],
  });
  const leaf = await x509.X509CertificateGenerator.create({
    serialNumber: serial(crypto),
    subject: [{ CN: ["Tensidrum"] }],
    issuer: root.subject,
    notBefore,
    notAfter,
    publicKey: leafKeys.publicKey,
    signingKey: rootKeys.privateKey,
    signingAlgorithm: SIGNING,
    extensions: [
      new x509.BasicConstraintsExtension(false, undefined, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.digitalSignature, true),
      new x509.ExtendedKeyUsageExtension([x509.ExtendedKeyUsage.serverAuth]),
      new x509.SubjectAlternativeNameExtension([
        { type: "dns", value: "localhost" },
        ...addresses.map((value) => ({ type: /** @type {"ip"} */ ("ip"), value })),
      ]),
      await x509.AuthorityKeyIdentifierExtension.create(rootKeys.publicKey),
    ],
  });
  const pkcs8 = Buffer.from(await crypto.subtle.exportKey("pkcs8", leafKeys.privateKey));
  const key = String(createPrivateKey({ key: pkcs8, format: "der", type: "pkcs8" }).export({ type: "pkcs8", format: "pem" }));
  return { key, leaf: `${leaf.toString("pem")}\n`, root: `${root.toString("pem")}\n` };
}

/** @param {Crypto} crypto */
function serial(crypto) {
  return Buffer.from(crypto.getRandomValues(new Uint8Array(16))).toString("hex");
}

/** RFC 5280, 4.2.1.10: names and addresses a root may vouch for; everything else it signs is void. @param {readonly string[]} addresses */
function onlyFor(addresses) {
  const permitted = new GeneralSubtrees([
    new GeneralSubtree({ base: new GeneralName({ dNSName: "localhost" }) }),
    ...addresses.map((address) => new GeneralSubtree({ base: new GeneralName({ iPAddress: `${address}/32` }) })),
  ]);
  const constraints = AsnConvert.serialize(new NameConstraints({ permittedSubtrees: permitted }));
  return new x509.Extension(id_ce_nameConstraints, true, constraints);
}

/** @param {string} leafPem @param {string} rootPem @param {readonly string[]} addresses */
function isValidFor(leafPem, rootPem, addresses) {
  try {
    const [leaf, root] = [new X509Certificate(leafPem), new X509Certificate(rootPem)];
    const expiresSoon = Date.parse(leaf.validTo) < Date.now() + 7 * DAY_MILLISECONDS;
    return !expiresSoon && !leaf.ca && leaf.verify(root.publicKey) && addresses.every((address) => leaf.checkIP(address) !== undefined);
  } catch {
    return false;
  }
}
