import type { webcrypto } from 'node:crypto';
import { isIP } from 'node:net';
import { hostname, networkInterfaces } from 'node:os';
import 'reflect-metadata';
import {
  BasicConstraintsExtension,
  ExtendedKeyUsage,
  ExtendedKeyUsageExtension,
  KeyUsageFlags,
  KeyUsagesExtension,
  PemConverter,
  SubjectAlternativeNameExtension,
  X509Certificate as Made,
  X509CertificateGenerator,
} from '@peculiar/x509';
import { MS_PER_DAY } from '@keen/core';

const ALGORITHM = { name: 'ECDSA', namedCurve: 'P-256', hash: 'SHA-256' };
const AUTHORITY_DAYS = 3650;
/** Phones take no certificate that is good for longer, 825 days at most; a year and a month is renewed in time. */
const SERVER_DAYS = 397;
/** Clocks of phones are not always right. */
const BEFORE_MS = MS_PER_DAY;

/** A certificate and its private key, both as PEM. */
export interface Pair {
  readonly certificate: string;
  readonly key: string;
}

const makeKeys = () => crypto.subtle.generateKey(ALGORITHM, true, ['sign', 'verify']);

const pemOfKey = async ({ privateKey }: webcrypto.CryptoKeyPair): Promise<string> =>
  PemConverter.encode(await crypto.subtle.exportKey('pkcs8', privateKey), 'PRIVATE KEY');

const keyOf = (pem: string): Promise<webcrypto.CryptoKey> =>
  crypto.subtle.importKey('pkcs8', PemConverter.decodeFirst(pem), ALGORITHM, false, ['sign']);

/** The shop's own authority: a phone that trusts it trusts what it signs. */
export async function makeAuthority(nowMs: number): Promise<Pair> {
  const keys = await makeKeys();
  const made = await X509CertificateGenerator.createSelfSigned({
    name: 'CN=Keen Rinse of this shop',
    notBefore: new Date(nowMs - BEFORE_MS),
    notAfter: new Date(nowMs + AUTHORITY_DAYS * MS_PER_DAY),
    keys,
    signingAlgorithm: ALGORITHM,
    extensions: [
      // It signs servers, and no further authority.
      new BasicConstraintsExtension(true, 0, true),
      new KeyUsagesExtension(KeyUsageFlags.keyCertSign | KeyUsageFlags.cRLSign, true),
    ],
  });
  return { certificate: made.toString('pem'), key: await pemOfKey(keys) };
}

/**
 * A certificate for this server, signed by the shop's authority.
 *
 * @param names under which it is asked: names and numbers of this machine
 */
export async function makeServerCertificate(
  authority: Pair,
  names: readonly string[],
  nowMs: number,
): Promise<Pair> {
  const keys = await makeKeys();
  const made = await X509CertificateGenerator.create({
    subject: 'CN=Keen Rinse',
    issuer: new Made(authority.certificate).subject,
    notBefore: new Date(nowMs - BEFORE_MS),
    notAfter: new Date(nowMs + SERVER_DAYS * MS_PER_DAY),
    publicKey: keys.publicKey,
    signingKey: await keyOf(authority.key),
    signingAlgorithm: ALGORITHM,
    extensions: [
      new BasicConstraintsExtension(false, undefined, true),
      new KeyUsagesExtension(KeyUsageFlags.digitalSignature, true),
      new ExtendedKeyUsageExtension([ExtendedKeyUsage.serverAuth]),
      new SubjectAlternativeNameExtension(
        names.map((value) => ({ type: isIP(value) > 0 ? 'ip' : 'dns', value }) as const),
      ),
    ],
  });
  return { certificate: made.toString('pem'), key: await pemOfKey(keys) };
}

/** What this machine goes by in its own network: its name, the same with `.local`, and its numbers. */
export function namesOfThisMachine(): string[] {
  const own = hostname().toLowerCase();
  const numbers = Object.values(networkInterfaces())
    .flatMap((all) => all ?? [])
    // A number with a zone behind it is good on this machine alone.
    .filter(({ scopeid }) => !scopeid)
    .map(({ address }) => address);
  const local = own.includes('.') ? [] : [`${own}.local`];
  return [...new Set(['localhost', own, ...local, ...numbers])];
}
