import { AccessService } from './access/access.service.js';
import { createApp } from './app.js';
import { CONFIG, type Config, isOwnMachineOnly, StartError } from './config/config.js';
import { PlanService } from './plan/plan.service.js';

const codeOf = (error: unknown): unknown =>
  error instanceof Error ? (error as { code?: unknown }).code : undefined;

// Names, telephones and gate codes are for the user that runs the program.
process.umask(0o077);

let isStopping = false;
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, () => (isStopping = true));

/** Other machines may only ask a server that knows who they are, and that nobody on the way can listen to. */
async function requireSafe(config: Config, access: AccessService): Promise<void> {
  if (isOwnMachineOnly(config)) return;
  if (await access.isOpen())
    throw new StartError(
      `KEEN_HOST is "${config.host}", so other machines could reach it, but no account has been made. Start it without KEEN_HOST, add the owner under Settings, Accounts and phones, and start it so again.`,
    );
  if (!config.tls && !config.isBehindProxy)
    throw new StartError(
      `KEEN_HOST is "${config.host}", so passwords would go over the network in the open. Give a certificate by KEEN_TLS_CERT and KEEN_TLS_KEY, or set KEEN_BEHIND_PROXY=1 where a proxy in front of it speaks TLS.`,
    );
}

async function start(): Promise<void> {
  const app = await createApp();
  const config = app.get<Config>(CONFIG);
  const { port, host, isDemo } = config;
  try {
    await requireSafe(config, app.get(AccessService));
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
      if (!isStopping) console.error('The first answer could not be worked out:', error);
    });
}

start().catch((error: unknown) => {
  console.error(error instanceof StartError ? error.message : error);
  process.exitCode = 1;
  setTimeout(() => process.exit(1), 200).unref();
});
