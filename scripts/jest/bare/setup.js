// Runs once in each process of unit tests, before the first of them is loaded.
import { register } from 'node:module';

process.setSourceMapsEnabled(true);
// Who has started it is gone.
process.on('disconnect', () => process.exit());
register('./hooks.js', import.meta.url);
