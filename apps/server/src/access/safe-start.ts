import { type Config, isReachable, StartError } from '../config/config.js';

/**
 * Other machines may only ask a server that knows who they are, and that nobody on the way can listen to.
 *
 * @throws StartError saying what is missing, and how to get it
 */
export function requireSafe(
  config: Pick<Config, 'host' | 'tls' | 'isBehindProxy'>,
  hasAccounts: boolean,
): void {
  if (!isReachable(config)) return;
  if (!hasAccounts)
    throw new StartError(
      'Other machines could reach it (KEEN_HOST, KEEN_BEHIND_PROXY), but no account has been made. Start it without these, add the owner under Settings, Accounts and phones, and start it so again.',
    );
  if (!config.tls && !config.isBehindProxy)
    throw new StartError(
      `KEEN_HOST is "${config.host}", so passwords would go over the network in the open. Give a certificate by KEEN_TLS_CERT and KEEN_TLS_KEY, or set KEEN_BEHIND_PROXY=1 where a proxy in front of it speaks TLS.`,
    );
}
