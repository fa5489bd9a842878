import { Inject, Injectable } from '@nestjs/common';
import { Subject } from 'rxjs';
import { CONFIG, type Config } from '../config/config.js';

/** The program's clock: the machine's, or one that starts at a given instant and runs on from there. */
@Injectable()
export class ClockService {
  /** Emits when the clock is set by hand. */
  readonly moved = new Subject<number>();
  private offsetMs: number;

  constructor(@Inject(CONFIG) private readonly config: Config) {
    this.offsetMs = config.clockStartMs === null ? 0 : config.clockStartMs - Date.now();
  }

  now(): number {
    return Date.now() + this.offsetMs;
  }

  get canBeSet(): boolean {
    return this.config.isDemo;
  }

  set(atMs: number): void {
    this.offsetMs = atMs - Date.now();
    this.moved.next(atMs);
  }
}
