import { Busy } from './busy.js';

interface Waiting {
  readonly begin: () => void;
}

/**
 * Work for one thread that several clients want: one after the other, and each client in turn, so that fifty questions of one do not hold up
 * the one question of another.
 */
export class FairTurns {
  private readonly queues = new Map<string, Waiting[]>();
  private isWorking = false;

  /** @param most that wait for one client; more are turned away */
  constructor(private readonly most: number) {}

  /** @throws Busy where so much of this client waits already */
  async run<T>(client: string, work: () => Promise<T>): Promise<T> {
    if (this.isWorking) await this.wait(client);
    this.isWorking = true;
    try {
      return await work();
    } finally {
      this.next();
    }
  }

  private wait(client: string): Promise<void> {
    const queue = this.queues.get(client) ?? [];
    if (queue.length >= this.most) throw new Busy(queue.length);
    return new Promise((begin) => {
      queue.push({ begin });
      this.queues.set(client, queue);
    });
  }

  /** The client whose turn it is goes to the end of the row. */
  private next(): void {
    this.isWorking = false;
    const [first] = this.queues;
    if (!first) return;
    const [client, [waiting, ...rest]] = first;
    this.queues.delete(client);
    if (rest.length > 0) this.queues.set(client, rest);
    // Nobody may slip in between.
    this.isWorking = true;
    waiting?.begin();
  }
}
