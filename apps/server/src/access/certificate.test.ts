import { X509Certificate } from 'node:crypto';
import { createServer, get } from 'node:https';
import type { AddressInfo } from 'node:net';
import { beforeAll, describe, expect, it } from '@jest/globals';
import { MS_PER_DAY } from '@keen/core';
import { namesIn } from '../config/tls-files.js';
import { makeAuthority, makeServerCertificate, namesOfThisMachine, type Pair } from './certificate.js';

const NOW = Date.now();
const NAMES = ['localhost', 'bay-pc.local', '127.0.0.1', '192.168.7.20'];

describe('the shop’s own authority', () => {
  let authority: Pair;
  let server: Pair;
  beforeAll(async () => {
    authority = await makeAuthority(NOW);
    server = await makeServerCertificate(authority, NAMES, NOW);
  });

  it('signs a certificate for the names that are given, and no other', () => {
    const made = new X509Certificate(server.certificate);
    expect(made.verify(new X509Certificate(authority.certificate).publicKey)).toBe(true);
    expect(made.checkIssued(new X509Certificate(authority.certificate))).toBe(true);
    expect(made.checkHost('bay-pc.local')).toBe('bay-pc.local');
    expect(made.checkIP('192.168.7.20')).toBe('192.168.7.20');
    expect(made.checkHost('other.local')).toBeUndefined();
    expect(made.ca).toBe(false);
    expect(namesIn(server.certificate)).toEqual(['localhost', 'bay-pc.local']);
  });

  it('is an authority itself, and what it signs is good for as long as phones take it', () => {
    expect(new X509Certificate(authority.certificate).ca).toBe(true);
    const { validFrom, validTo } = new X509Certificate(server.certificate);
    const days = (Date.parse(validTo) - Date.parse(validFrom)) / MS_PER_DAY;
    expect(days).toBeLessThanOrEqual(398);
    expect(days).toBeGreaterThan(365);
  });

  const answerTo = async (ca: string): Promise<string> => {
    const serving = createServer({ cert: server.certificate, key: server.key }, (_request, response) =>
      response.end('in'),
    );
    await new Promise<void>((done) => serving.listen(0, '127.0.0.1', done));
    const { port } = serving.address() as AddressInfo;
    try {
      return await new Promise((done, fail) => {
        get({ host: '127.0.0.1', port, ca, agent: false }, (response) => {
          response.resume();
          done(`${response.statusCode}`);
        }).on('error', ({ message }) => done(message));
        setTimeout(() => fail(new Error('no answer')), 5000).unref();
      });
    } finally {
      serving.close();
    }
  };

  it('lets in who trusts it, and nobody who trusts another', async () => {
    expect(await answerTo(authority.certificate)).toBe('200');
    const another = await makeAuthority(NOW);
    expect(await answerTo(another.certificate)).not.toBe('200');
  });

  it('knows this machine by name and by number, without those that are good here alone', () => {
    const names = namesOfThisMachine();
    expect(names).toContain('127.0.0.1');
    expect(names.some((name) => name.includes('%'))).toBe(false);
    expect(new Set(names).size).toBe(names.length);
  });
});
