import { type Config, isOwnMachineOnly, StartError } from '../config/config.js';

/**
 * Other machines may only ask a server that knows who they are, and that nobody on the way can listen to.
 *
 * @param isOpen no account has been made
 * @throws StartError saying what is missing, and how to get it
 */
export function requireSafe(config: Pick<Config, 'host' | 'tls' | 'isBehindProxy'>, isOpen: boolean): void {
  if (isOwnMachineOnly(config)) return;
  if (isOpen)
    throw new StartError(
      `KEEN_HOST is "${config.host}", so other machines could reach it, but no account has been made. Start it without KEEN_HOST, add the owner under Settings, Accounts and phones, and start it so again.`,
    );
  if (!config.tls && !config.isBehindProxy)
    throw new StartError(
      `KEEN_HOST is "${config.host}", so passwords would go over the network in the open. Give a certificate by KEEN_TLS_CERT and KEEN_TLS_KEY, or set KEEN_BEHIND_PROXY=1 where a proxy in front of it speaks TLS.`,
    );
}
