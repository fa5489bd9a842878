import { readConfig, StartError } from '../config/config.js';
import { backupCommand } from './backup-shop.js';

process.umask(0o077);

try {
  console.log(await backupCommand(readConfig(), process.argv.slice(2)));
} catch (error) {
  console.error(error instanceof StartError ? error.message : error);
  process.exitCode = 1;
}
