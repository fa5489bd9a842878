import fc from 'fast-check';
import { sample } from 'openapi-sampler';
import { chance, plannedWash } from './server.mjs';

/** What would shut the door on all that follows, moves the clock, or tells for as long as somebody listens. */
const NOT_ASKED =
  /^POST \/api\/access\/accounts$|^PUT \/api\/clock$|^GET \/api\/(verdicts\/progress|plan\/news)$/;
const LONG_MS = 4000;

const NASTY = [
  null,
  -1,
  0,
  1e308,
  2 ** 53,
  '',
  ' ',
  'x'.repeat(5000),
  '../../etc/passwd',
  "'; drop table vehicle; --",
  'é\u0000\uD800',
  '<script>1</script>',
  [],
  {},
  [[[[]]]],
  { $ref: '#' },
  true,
  'NaN',
  '2026-02-30',
];

const pick = (next, list) => list[Math.floor(next() * list.length)];

/** Changes one thing somewhere in a body: another value, one left out, one too many. */
function bent(value, next) {
  if (next() < 0.15) return pick(next, NASTY);
  if (next() < 0.05)
    return fc.sample(fc.anything({ maxDepth: 3 }), { numRuns: 1, seed: Math.floor(next() * 1e9) })[0];
  if (Array.isArray(value)) {
    if (value.length === 0) return [pick(next, NASTY)];
    const at = Math.floor(next() * value.length);
    return value.map((one, i) => (i === at ? bent(one, next) : one));
  }
  if (typeof value !== 'object' || value === null) return pick(next, NASTY);
  const names = Object.keys(value);
  if (names.length === 0 || next() < 0.1)
    return { ...value, [pick(next, ['__proto__', 'constructor', 'extra'])]: 1 };
  const name = pick(next, names);
  const { [name]: one, ...rest } = value;
  return next() < 0.15 ? rest : { ...rest, [name]: bent(one, next) };
}

const asJson = (value) => {
  try {
    return JSON.stringify(value, (_name, one) => (typeof one === 'bigint' ? String(one) : one)) ?? 'null';
  } catch {
    return '{"a":';
  }
};

/** Requests from the API's own description, each bent somewhere; counts answers that are the program's fault. */
export async function fuzz(count, shop) {
  const { server, place, car } = shop;
  const wash = await plannedWash(shop);
  const { answer: document } = await server.ask('GET', '/docs-json');
  const next = chance(11);
  const operations = Object.entries(document.paths).flatMap(([path, methods]) =>
    Object.entries(methods).map(([method, operation]) => ({ path, method: method.toUpperCase(), operation })),
  );
  const asked = operations.filter(({ path, method }) => !NOT_ASKED.test(`${method} ${path}`));
  const own = { vehicleId: car.id, placeId: place.id, washId: wash.id };
  const ids = ['nobody', '%00', 'x'.repeat(300), '..%2F..'];
  const faults = new Map();
  const statuses = new Map();
  const slow = new Map();
  let worstHealthMs = 0;
  for (let n = 0; n < count; n += 1) {
    const { path, method, operation } = asked[n % asked.length];
    const parameters = operation.parameters ?? [];
    const filled = path
      .replace(/^\/api/, '')
      .replaceAll(/\{([^}]+)\}/g, (_all, name) =>
        next() < 0.75 ? (own[name] ?? pick(next, Object.values(own))) : pick(next, ids),
      );
    const query = parameters
      .filter((one) => one.in === 'query' && next() < 0.7)
      .map(({ name, schema }) => {
        const value =
          next() < 0.5 ? (name in own ? own[name] : sampled(schema, document)) : pick(next, NASTY);
        return `${name}=${encodeURIComponent(typeof value === 'object' ? asJson(value) : String(value).toWellFormed())}`;
      })
      .join('&');
    const schema = operation.requestBody?.content?.['application/json']?.schema;
    const body = schema ? bent(sampled(schema, document), next) : undefined;
    const raw = body === undefined ? undefined : next() < 0.02 ? '['.repeat(3000) : asJson(body);
    const { status, answer } = await server
      .ask(method, query ? `${filled}?${query}` : filled, undefined, { raw, timeoutMs: LONG_MS })
      .catch((error) => ({ status: error.name === 'TimeoutError' ? 'slow' : 'gone', answer: String(error) }));
    statuses.set(status, (statuses.get(status) ?? 0) + 1);
    if (status === 'slow') slow.set(`${method} ${path}`, (slow.get(`${method} ${path}`) ?? 0) + 1);
    else if (status === 'gone' || (status >= 500 && status !== 503)) {
      const key = `${method} ${path} ${status}`;
      if (!faults.has(key)) faults.set(key, { raw: raw?.slice(0, 300), query, answer });
    }
    if (n % 50 === 0) {
      const from = performance.now();
      await server.ask('GET', '/health').catch(() => null);
      worstHealthMs = Math.max(worstHealthMs, performance.now() - from);
    }
  }
  const slowCount = [...slow.values()].reduce((sum, one) => sum + one, 0);
  const of = `of ${count} requests, ${asked.length} operations`;
  console.log('statuses', Object.fromEntries(statuses), 'slow', Object.fromEntries(slow));
  for (const [key, what] of faults) console.log(key, what);
  return [
    {
      what: 'kinds of answers of 500 and above',
      measured: `${faults.size} ${of}`,
      asked: '0',
      ok: faults.size === 0,
    },
    {
      what: 'answers that took longer than 4 s',
      measured: `${slowCount} ${of}`,
      asked: '0',
      ok: slowCount === 0,
      isTimed: true,
    },
    {
      what: 'health meanwhile',
      measured: `${Math.round(worstHealthMs)} ms`,
      asked: 'at most 200 ms',
      ok: worstHealthMs <= 200,
      isTimed: true,
    },
  ];
}

function sampled(schema, document) {
  try {
    return sample(schema ?? {}, { skipReadOnly: true, quiet: true }, document);
  } catch {
    return null;
  }
}
