import { defineConfig } from 'rolldown';

// What is served, in a few files instead of two thousand: the start is mostly opening files. It stands one folder deep in dist, as the
// files that it is made of do, so that what they find by their own place is found from here too.
export default defineConfig({
  input: {
    main: 'dist/main.js',
    'engine.worker': 'dist/engine/engine.worker.js',
    'solver.worker': 'dist/solver/solver.worker.js',
    'calendar.worker': 'dist/calendar/calendar.worker.js',
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
