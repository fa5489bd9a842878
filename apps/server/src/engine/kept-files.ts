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
  private under = '';

  /**
   * @param folder that is this program's alone
   * @param version of what makes the values; what another version made is not read
   */
  constructor(
    private readonly folder: string,
    private readonly version: string,
  ) {}

  private nameOf(key: string): string {
    return `${this.under}-${short(key)}`;
  }

  /** From now on these inputs are shared by all keys; what was made under others is deleted. */
  only(under: string): void {
    const name = short(`${this.version} ${under}`);
    if (name === this.under) return;
    this.under = name;
    this.quietly(() => {
      for (const file of readdirSync(this.folder))
        if (!file.startsWith(name)) rmSync(join(this.folder, file), { force: true });
    });
  }

  /** @returns undefined where nothing was kept */
  get(key: string): unknown {
    return this.quietly((): unknown => deserialize(readFileSync(join(this.folder, this.nameOf(key)))));
  }

  set(key: string, value: unknown): void {
    this.quietly(() => {
      mkdirSync(this.folder, { recursive: true });
      const file = join(this.folder, this.nameOf(key));
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
