import { copyFileSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { readConfig, StartError } from '../config/config.js';
import { tlsFiles } from '../config/tls-files.js';
import { makeAuthority, makeServerCertificate } from './certificate.js';
import { requireSafe } from './safe-start.js';

const TLS = { certFile: 'a.pem', keyFile: 'b.pem' };
const at = (host: string, change = {}) => ({ host, tls: null, isBehindProxy: false, ...change });

describe('a start beyond the own machine', () => {
  it.each(['127.0.0.1', '127.0.1.7', 'localhost', '::1'])('is none at %s, which needs nothing', (host) => {
    expect(() => requireSafe(at(host), false)).not.toThrow();
  });

  it.each(['0.0.0.0', '192.168.0.7', '::', 'shop.local'])('at %s wants an account first', (host) => {
    expect(() => requireSafe(at(host, { tls: TLS }), false)).toThrow(StartError);
    expect(() => requireSafe(at(host, { tls: TLS }), false)).toThrow(/add the owner under Settings/);
  });

  it('wants an account behind a proxy too, whatever it listens to itself', () => {
    expect(() => requireSafe(at('127.0.0.1', { isBehindProxy: true }), false)).toThrow(StartError);
    expect(() => requireSafe(at('127.0.0.1', { isBehindProxy: true }), true)).not.toThrow();
  });

  it('wants a certificate, or a proxy that has one', () => {
    expect(() => requireSafe(at('0.0.0.0'), true)).toThrow(/KEEN_TLS_CERT/);
    expect(() => requireSafe(at('0.0.0.0', { tls: TLS }), true)).not.toThrow();
    expect(() => requireSafe(at('0.0.0.0', { isBehindProxy: true }), true)).not.toThrow();
  });
});

describe('a certificate by its paths', () => {
  const here = import.meta.filename;
  const folder = mkdtempSync(join(tmpdir(), 'keen-tls-'));
  const certFile = join(folder, 'server.pem');
  beforeAll(async () => {
    const made = await makeServerCertificate(await makeAuthority(Date.now()), ['bay-pc.local'], Date.now());
    writeFileSync(certFile, made.certificate);
  });
  afterAll(() => rmSync(folder, { recursive: true }));

  it('is none unless both are given; the names in it are this server’s own', () => {
    expect(readConfig({}).tls).toBeNull();
    const config = readConfig({ KEEN_TLS_CERT: certFile, KEEN_TLS_KEY: here, KEEN_HOSTS: 'shop.lan' });
    expect(config.tls).toEqual({ certFile, keyFile: here });
    expect(config.hosts).toEqual(['shop.lan', 'bay-pc.local']);
  });

  it('is the shop’s own where other machines are to reach it and none is given', () => {
    const { certFile: own, keyFile } = tlsFiles(folder);
    expect(readConfig({ KEEN_DATA: folder, KEEN_HOST: '0.0.0.0' }).tls).toBeNull();
    mkdirSync(dirname(own));
    copyFileSync(certFile, own);
    writeFileSync(keyFile, '');
    expect(readConfig({ KEEN_DATA: folder, KEEN_HOST: '0.0.0.0' }).tls).toEqual({ certFile: own, keyFile });
    expect(readConfig({ KEEN_DATA: folder }).tls).toBeNull();
  });

  it.each([
    { env: { KEEN_TLS_CERT: here }, names: 'KEEN_TLS_KEY' },
    { env: { KEEN_TLS_KEY: here }, names: 'KEEN_TLS_CERT' },
    { env: { KEEN_TLS_CERT: '/nowhere.pem', KEEN_TLS_KEY: here }, names: 'KEEN_TLS_CERT' },
    { env: { KEEN_TLS_CERT: here, KEEN_TLS_KEY: here }, names: 'is no certificate' },
  ])('says what is wrong: $names', ({ env, names }) => {
    expect(() => readConfig(env)).toThrow(names);
  });
});
