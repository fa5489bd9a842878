import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { readConfig, StartError } from '../config/config.js';
import { makeAuthority, makeServerCertificate, namesOfThisMachine, type Pair } from './certificate.js';
import { tlsFiles } from '../config/tls-files.js';

process.umask(0o077);

const NAME = /^[a-z0-9:]([a-z0-9.:-]*[a-z0-9])?$/;

/** Makes the shop's authority, where there is none yet, and a certificate for this machine's names and those that are given. */
async function make(given: readonly string[]): Promise<void> {
  const wrong = given.find((name) => !NAME.test(name));
  if (wrong !== undefined)
    throw new StartError(`${wrong} is no name or number of a machine; give names such as shop.lan.`);
  const { dataFolder } = readConfig({ ...process.env, KEEN_TLS_CERT: '', KEEN_TLS_KEY: '' });
  const files = tlsFiles(dataFolder);
  mkdirSync(dirname(files.certFile), { recursive: true });
  const isNew = !existsSync(files.authorityKeyFile);
  const authority: Pair = isNew
    ? await makeAuthority(Date.now())
    : {
        certificate: readFileSync(files.authorityFile, 'utf8'),
        key: readFileSync(files.authorityKeyFile, 'utf8'),
      };
  const names = [...new Set([...namesOfThisMachine(), ...given])];
  const server = await makeServerCertificate(authority, names, Date.now());
  if (isNew) {
    writeFileSync(files.authorityFile, authority.certificate);
    writeFileSync(files.authorityKeyFile, authority.key);
  }
  writeFileSync(files.certFile, server.certificate);
  writeFileSync(files.keyFile, server.key);
  const asked = names.filter((name) => name !== 'localhost' && !name.startsWith('127.') && name !== '::1');
  console.log(
    [
      isNew ? 'Made an authority of this shop, and a certificate for:' : 'Made a new certificate for:',
      ...names.map((name) => `  ${name}`),
      `It is good for a year; run this again when the machine gets another name or number. Kept in ${dirname(files.certFile)}.`,
      'Start so that phones reach it:  KEEN_HOST=0.0.0.0 npm start',
      `On each phone open https://${asked[0] ?? 'localhost'}:4310/trust once, and follow what stands there.`,
    ].join('\n'),
  );
}

make(process.argv.slice(2).map((name) => name.toLowerCase())).catch((error: unknown) => {
  console.error(error instanceof StartError ? error.message : error);
  process.exitCode = 1;
});
