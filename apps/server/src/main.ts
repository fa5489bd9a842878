import { Logger } from '@nestjs/common';
import { AccessService } from './access/access.service.js';
import { requireSafe } from './access/safe-start.js';
import { createApp } from './app.js';
import { CONFIG, type Config, StartError } from './config/config.js';
import { PlanService } from './plan/plan.service.js';

const codeOf = (error: unknown): unknown =>
  error instanceof Error ? (error as { code?: unknown }).code : undefined;

// Names, telephones and gate codes are for the user that runs the program.
process.umask(0o077);

let isStopping = false;
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, () => (isStopping = true));

async function start(): Promise<void> {
  const app = await createApp();
  const config = app.get<Config>(CONFIG);
  const { port, host, isDemo } = config;
  try {
    requireSafe(config, await app.get(AccessService).hasAccounts());
    await app.listen(port, host);
  } catch (error) {
    await app.close();
    if (codeOf(error) !== 'EADDRINUSE') throw error;
    throw new StartError(
      `Port ${port} is in use. Stop the other program, or choose another port: PORT=4311 npm ${isDemo ? 'run demo' : 'start'}`,
    );
  }
  console.log(`Keen Rinse is ready: ${await app.getUrl()}`);
  // The first screen is asked for soon; its answer is worked out meanwhile.
  app
    .get(PlanService)
    .morning()
    .catch((error: unknown) => {
      if (!isStopping)
        new Logger('start').error(`The first answer could not be worked out: ${String(error)}`);
    });
}

start().catch((error: unknown) => {
  console.error(error instanceof StartError ? error.message : error);
  process.exitCode = 1;
  setTimeout(() => process.exit(1), 200).unref();
});
