import { connect, createServer, type Server, type Socket } from 'node:net';
import type { BrowserContext } from '@playwright/test';

/**
 * The way from a phone to the server, which can be cut. A page that a service worker brings up may ask before the browser has told it that
 * it is offline; what goes this way is cut for all.
 */
export class Signal {
  private isCut = false;
  private readonly sockets = new Set<Socket>();

  private constructor(
    private readonly server: Server,
    readonly address: string,
  ) {}

  static async to(serverAddress: string): Promise<Signal> {
    const { hostname, port } = new URL(serverAddress);
    const server = createServer();
    await new Promise<void>((resolve) => {
      server.listen(0, hostname, resolve);
    });
    const own = server.address();
    if (own === null || typeof own === 'string') throw new Error('a way without a port');
    const signal = new Signal(server, `http://${hostname}:${own.port}`);
    server.on('connection', (near) => signal.lead(near, connect(Number(port), hostname)));
    return signal;
  }

  private lead(near: Socket, far: Socket): void {
    for (const [socket, other] of [
      [near, far],
      [far, near],
    ] as const) {
      this.sockets.add(socket);
      socket.on('error', () => socket.destroy());
      socket.on('close', () => {
        this.sockets.delete(socket);
        other.destroy();
      });
      socket.pipe(other);
    }
    if (this.isCut) near.destroy();
  }

  async cut(context: BrowserContext): Promise<void> {
    this.isCut = true;
    for (const socket of this.sockets) socket.destroy();
    await context.setOffline(true);
  }

  async give(context: BrowserContext): Promise<void> {
    this.isCut = false;
    await context.setOffline(false);
  }

  end(): void {
    for (const socket of this.sockets) socket.destroy();
    this.server.close();
  }
}
