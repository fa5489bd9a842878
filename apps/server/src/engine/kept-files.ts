import { createHash } from 'node:crypto';
import { mkdirSync, readdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { deserialize, serialize } from 'node:v8';

const short = (text: string): string => createHash('sha256').update(text).digest('hex').slice(0, 24);

/**
 * Values in files by a name for their inputs, so that a restart finds what was made before. A file that cannot be read or written counts
 * for nothing: all of it can be made again.
 */
export class KeptFiles {
  private readonly under = new Map<string, string>();

  /**
   * @param folder that is this program's alone
   * @param version of what makes the values; what another version made is not read
   */
  constructor(
    private readonly folder: string,
    private readonly version: string,
  ) {}

  private prefixOf(room: string): string {
    return `${room}.${this.under.get(room) ?? ''}`;
  }

  private fileOf(room: string, key: string): string {
    return join(this.folder, `${this.prefixOf(room)}-${short(key)}`);
  }

  /** From now on these inputs are shared by all keys of this room; what was made under others is deleted, and what stands in no room. */
  only(room: string, under: string): void {
    const name = short(`${this.version} ${under}`);
    if (name === this.under.get(room)) return;
    this.under.set(room, name);
    this.quietly(() => {
      for (const file of readdirSync(this.folder))
        if (!file.startsWith(this.prefixOf(room)) && (file.startsWith(`${room}.`) || !file.includes('.')))
          rmSync(join(this.folder, file), { force: true });
    });
  }

  /** @returns undefined where nothing was kept */
  get(room: string, key: string): unknown {
    return this.quietly((): unknown => deserialize(readFileSync(this.fileOf(room, key))));
  }

  set(room: string, key: string, value: unknown): void {
    this.quietly(() => {
      mkdirSync(this.folder, { recursive: true });
      const file = this.fileOf(room, key);
      // Half a file is never seen.
      writeFileSync(`${file}.part`, serialize(value));
      renameSync(`${file}.part`, file);
    });
  }

  private quietly<T>(work: () => T): T | undefined {
    try {
      return work();
    } catch {
      return undefined;
    }
  }
}
