import { existsSync, readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { LOG_LEVELS } from '../log/lines.js';
import { namesIn, tlsFiles } from './tls-files.js';

/** Where the program lives and how it was started; read once from the environment. */
export interface Config {
  readonly port: number;
  readonly host: string;
  /** Names under which it may be asked besides `localhost` and its numbers, in lower case. */
  readonly hosts: readonly string[];
  readonly dataFolder: string;
  /** libSQL address; a file in the data folder unless set. */
  readonly databaseUrl: string;
  /** Instant at which the program's clock starts; null: the machine's clock. */
  readonly clockStartMs: number | null;
  readonly isDemo: boolean;
  /** Files of the certificate that it serves with; null: it speaks plainly, to its own machine or to a proxy. */
  readonly tls: { readonly certFile: string; readonly keyFile: string } | null;
  /** A proxy in front of it speaks TLS. */
  readonly isBehindProxy: boolean;
  /** Where each backup is copied to as well, best on another disk; null: nowhere. */
  readonly secondBackupFolder: string | null;
  /** Where a live copy goes: a folder, or a store such as `s3://bucket/shop`; null: none is kept. */
  readonly liveCopyTo: string | null;
  /** Down to which level the log is written. */
  readonly logLevel: (typeof LOG_LEVELS)[number];
  readonly webFolder: string;
  readonly migrationsFolder: string;
}

export const CONFIG = Symbol('config');

/** A start that cannot go on, with what to do about it. */
export class StartError extends Error {}

function readPort(text: string | undefined): number {
  const port = Number(text ?? 4310);
  if (!Number.isInteger(port) || port < 0 || port > 65_535) {
    throw new StartError(`PORT is "${text ?? ''}"; it must be a whole number from 0 to 65535.`);
  }
  return port;
}

function readClock(text: string | undefined): number | null {
  if (!text) return null;
  const ms = Date.parse(text);
  if (Number.isNaN(ms))
    throw new StartError(`KEEN_CLOCK is "${text}"; it must be an instant such as 2026-01-14T06:40:00-05:00.`);
  return ms;
}

const HOST_NAME = /^[a-z0-9]([a-z0-9.-]*[a-z0-9])?$/;

function readHosts(text: string | undefined): string[] {
  const names = (text ?? '').split(',').flatMap((name) => name.trim().toLowerCase() || []);
  const wrong = names.find((name) => !HOST_NAME.test(name));
  if (wrong !== undefined)
    throw new StartError(
      `KEEN_HOSTS holds "${wrong}"; it must be names of this machine with commas between, without port, such as shop.local.`,
    );
  return names;
}

function readTls(certFile: string | undefined, keyFile: string | undefined): Config['tls'] {
  if (!certFile && !keyFile) return null;
  for (const [name, file] of [
    ['KEEN_TLS_CERT', certFile],
    ['KEEN_TLS_KEY', keyFile],
  ] as const)
    if (!file || !existsSync(file))
      throw new StartError(
        `${name} is "${file ?? ''}"; it must be the path of a PEM file, and the other of the two has to be given too.`,
      );
  return { certFile: resolve(certFile ?? ''), keyFile: resolve(keyFile ?? '') };
}

/** The shop's own certificate, where it has one and other machines are to reach it. */
function ownTls(dataFolder: string, host: string): Config['tls'] {
  const { certFile, keyFile } = tlsFiles(dataFolder);
  const isWanted = !isOwnMachineOnly({ host });
  return isWanted && existsSync(certFile) && existsSync(keyFile) ? { certFile, keyFile } : null;
}

/** Names for which a certificate was made are this server's own. @throws StartError where the file is none */
function namesOf(tls: Config['tls']): string[] {
  if (!tls) return [];
  try {
    return namesIn(readFileSync(tls.certFile, 'utf8'));
  } catch {
    throw new StartError(`${tls.certFile} is no certificate; give a PEM file by KEEN_TLS_CERT.`);
  }
}

/** Does it listen to its own machine alone? */
export const isOwnMachineOnly = ({ host }: Pick<Config, 'host'>): boolean =>
  host === 'localhost' || host === '::1' || host.startsWith('127.');

/** Can other machines ask it, by themselves or through a proxy? */
export const isReachable = (config: Pick<Config, 'host' | 'isBehindProxy'>): boolean =>
  config.isBehindProxy || !isOwnMachineOnly(config);

function readLogLevel(text = 'warn'): Config['logLevel'] {
  const level = LOG_LEVELS.find((one) => one === text);
  if (!level) throw new StartError(`KEEN_LOG is "${text}"; it must be one of ${LOG_LEVELS.join(', ')}.`);
  return level;
}

/** Reads the configuration. @throws StartError naming the variable that is wrong */
export function readConfig(env: NodeJS.ProcessEnv = process.env): Config {
  const dataFolder = resolve(env.KEEN_DATA ?? '.data/own');
  const host = env.KEEN_HOST ?? '127.0.0.1';
  const tls = readTls(env.KEEN_TLS_CERT, env.KEEN_TLS_KEY) ?? ownTls(dataFolder, host);
  return {
    port: readPort(env.PORT),
    host,
    hosts: [...readHosts(env.KEEN_HOSTS), ...namesOf(tls)],
    dataFolder,
    databaseUrl: env.KEEN_DATABASE_URL || `file:${resolve(dataFolder, 'keen-rinse.db')}`,
    clockStartMs: readClock(env.KEEN_CLOCK),
    isDemo: env.KEEN_DEMO === '1',
    tls,
    isBehindProxy: env.KEEN_BEHIND_PROXY === '1',
    secondBackupFolder: env.KEEN_BACKUP_ALSO ? resolve(env.KEEN_BACKUP_ALSO) : null,
    liveCopyTo: env.KEEN_LIVE_COPY || null,
    logLevel: readLogLevel(env.KEEN_LOG),
    webFolder: resolve(import.meta.dirname, '../../../web/dist'),
    migrationsFolder: resolve(import.meta.dirname, '../../drizzle'),
  };
}
