import { join } from 'node:path';

/** Arguments of node that start the built server, from the root: small nurseries, because it shares its machine with the shop's other programs. */
export const SERVER_COMMAND = [
  '--max-semi-space-size=4',
  join('apps', 'server', 'dist', 'bundle', 'main.js'),
];
