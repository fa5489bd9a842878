import { join } from 'node:path';

/**
 * Arguments of node that start the built server, from the root: small nurseries and a bound on what is kept, because it shares its machine
 * with the shop's other programs; without the bound the thread that answers grows to three times what it needs before it tidies up. And
 * functions that are optimised later than by default: a cold answer calls a thousand of them, and each of its threads does it for itself.
 */
export const SERVER_COMMAND = [
  '--max-semi-space-size=4',
  '--max-old-space-size=256',
  '--interrupt-budget=500000',
  join('apps', 'server', 'dist', 'bundle', 'main.js'),
];
