import { describe, expect, it } from '@jest/globals';
import { readConfig, StartError } from '../config/config.js';
import { requireSafe } from './safe-start.js';

const TLS = { certFile: 'a.pem', keyFile: 'b.pem' };
const at = (host: string, change = {}) => ({ host, tls: null, isBehindProxy: false, ...change });

describe('a start beyond the own machine', () => {
  it.each(['127.0.0.1', '127.0.1.7', 'localhost', '::1'])('is none at %s, which needs nothing', (host) => {
    expect(() => requireSafe(at(host), true)).not.toThrow();
  });

  it.each(['0.0.0.0', '192.168.0.7', '::', 'shop.local'])('at %s wants an account first', (host) => {
    expect(() => requireSafe(at(host, { tls: TLS }), true)).toThrow(StartError);
    expect(() => requireSafe(at(host, { tls: TLS }), true)).toThrow(/add the owner under Settings/);
  });

  it('wants a certificate, or a proxy that has one', () => {
    expect(() => requireSafe(at('0.0.0.0'), false)).toThrow(/KEEN_TLS_CERT/);
    expect(() => requireSafe(at('0.0.0.0', { tls: TLS }), false)).not.toThrow();
    expect(() => requireSafe(at('0.0.0.0', { isBehindProxy: true }), false)).not.toThrow();
  });
});

describe('a certificate by its paths', () => {
  const here = import.meta.filename;

  it('is none unless both are given', () => {
    expect(readConfig({}).tls).toBeNull();
    expect(readConfig({ KEEN_TLS_CERT: here, KEEN_TLS_KEY: here }).tls).toEqual({
      certFile: here,
      keyFile: here,
    });
  });

  it.each([
    { env: { KEEN_TLS_CERT: here }, names: 'KEEN_TLS_KEY' },
    { env: { KEEN_TLS_KEY: here }, names: 'KEEN_TLS_CERT' },
    { env: { KEEN_TLS_CERT: '/nowhere.pem', KEEN_TLS_KEY: here }, names: 'KEEN_TLS_CERT' },
  ])('names the one that is missing: $names', ({ env, names }) => {
    expect(() => readConfig(env)).toThrow(names);
  });
});
