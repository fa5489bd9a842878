import { mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Inject, Injectable } from '@nestjs/common';
import type { MorningView } from '@keen/core';
import { CONFIG, type Config } from '../config/config.js';

const TOLD_LATER = { isLastWashKnown: true };
/** A morning as it is told today: one kept before it was told whether the last wash is known took it for known. */
const asToday = (view: MorningView): MorningView => ({
  ...view,
  answers: view.answers.map((answer) => ({
    ...answer,
    due: { ...TOLD_LATER, ...answer.due },
  })),
});

/** The last morning that was worked out, in a file, so that a new day begins with something to look at. */
@Injectable()
export class LastMorning {
  private readonly file: string;
  private written = '';

  constructor(@Inject(CONFIG) private readonly config: Pick<Config, 'dataFolder'>) {
    this.file = join(config.dataFolder, 'last-morning.json');
  }

  /** @returns null where there is none, or it cannot be read: it can always be made again */
  read(): MorningView | null {
    try {
      return asToday(JSON.parse(readFileSync(this.file, 'utf8')) as MorningView);
    } catch {
      return null;
    }
  }

  keep(view: MorningView): void {
    const text = JSON.stringify(view);
    if (text === this.written) return;
    try {
      mkdirSync(this.config.dataFolder, { recursive: true });
      // Half a file is never seen.
      writeFileSync(`${this.file}.part`, text);
      renameSync(`${this.file}.part`, this.file);
      this.written = text;
    } catch {
      // A folder that cannot be written to costs the next start its first look, nothing else.
    }
  }
}
