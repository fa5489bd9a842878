import { readdirSync } from 'node:fs';
import { basename } from 'node:path';
import { defineConfig } from 'rolldown';

// Each thread has a program of its own.
const threads = readdirSync('dist', { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.worker.js') && !file.startsWith('bundle'))
  .map((file) => [basename(file, '.js'), `dist/${file}`]);

// What is served, in a few files instead of two thousand: the start is mostly opening files. It stands one folder deep in dist, as the
// files that it is made of do, so that what they find by their own place is found from here too.
export default defineConfig({
  input: {
    main: 'dist/main.js',
    ...Object.fromEntries(threads),
  },
  platform: 'node',
  external: [
    // They find their own files: threads, the database's and the password hash's and the pictures' binaries, the solver's program.
    /^piscina/,
    /^@?libsql/,
    /^@node-rs/,
    /^sharp/,
    /^highs/,
    // What they keep of each class must be in one place; the framework loads them by itself too.
    /^class-(validator|transformer)/,
    // Parts of the framework that are not used.
    /^@nestjs\/(microservices|websockets)/,
    /^@fastify\/static/,
  ],
  output: { dir: 'dist/bundle', format: 'esm', keepNames: true },
});
