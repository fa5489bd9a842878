import { createRequire } from 'node:module';
import { isAbsolute, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';

/** The program that keeps a live copy (https://litestream.io, Apache 2.0), where it came with the packages; null: not for this system. */
export function litestreamFile(): string | null {
  try {
    const require = createRequire(import.meta.url);
    return require.resolve(`@flydotio/litestream-${process.platform}-${process.arch}/litestream`);
  } catch {
    return null;
  }
}

/** Where a live copy goes, as an address: a folder by its path, or a store such as `s3://bucket/shop`. */
export const copyAddress = (to: string): string =>
  /^[a-z0-9]+:\/\//i.test(to) ? to : pathToFileURL(isAbsolute(to) ? to : resolve(to)).href;

/** The same to be shown: without what lets somebody in. */
export const shownAddress = (to: string): string => to.replace(/\/\/[^/@]*@/, '//');

/** "1m3s", "-250ms", "0s" in seconds; null: it is no such text. */
export function secondsOf(text: string): number | null {
  const parts = [...text.matchAll(/(?<count>[\d.]+)(?<unit>ms|µs|us|ns|h|m|s)/g)];
  if (parts.length === 0) return null;
  const unit = { h: 3600, m: 60, s: 1, ms: 0.001, µs: 1e-6, us: 1e-6, ns: 1e-9 } as const;
  const all = parts.reduce(
    (sum, { groups }) => sum + Number(groups?.count) * unit[groups?.unit as keyof typeof unit],
    0,
  );
  return Math.abs(all);
}
