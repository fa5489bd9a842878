import { CLOCK, plannedWash } from './server.mjs';

const MOST_HEALTH_MS = 200;
const NOW = Date.parse(CLOCK);
const HOUR = 3_600_000;
const stamp = (atMs) => new Date(atMs).toISOString().replaceAll(/[-:]|\.\d+/g, '');

const calendar = (...events) =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//x//y//EN', ...events.flat(), 'END:VCALENDAR', ''].join(
    '\r\n',
  );
const event = (uid, ...lines) => [
  'BEGIN:VEVENT',
  `UID:${uid}`,
  'DTSTAMP:20260101T000000Z',
  `DTSTART:${stamp(NOW - 400 * 24 * HOUR)}`,
  'DURATION:PT30M',
  ...lines,
  'END:VEVENT',
];
const times = (count, one) => Array.from({ length: count }, (_, i) => one(i));

const CALENDARS = {
  'a rule by the second': calendar(event('a', 'RRULE:FREQ=SECONDLY')),
  'a rule that never matches': calendar(event('a', 'RRULE:FREQ=DAILY;BYMONTH=2;BYMONTHDAY=30')),
  'a day since 1972': calendar([
    'BEGIN:VEVENT',
    'UID:a',
    'DTSTAMP:20260101T000000Z',
    'DTSTART:19720101T090000Z',
    'DURATION:PT30M',
    'RRULE:FREQ=DAILY',
    'END:VEVENT',
  ]),
  '8000 moved events': calendar(
    event('a', 'RRULE:FREQ=DAILY'),
    ...times(8000, (i) => event('a', `RECURRENCE-ID:${stamp(NOW + (i - 4000) * 24 * HOUR)}`)),
  ),
  '300 rules that never match': calendar(
    ...times(300, (i) => event(`e${i}`, 'RRULE:FREQ=MONTHLY;BYMONTHDAY=31;BYMONTH=2')),
  ),
  'no end': 'BEGIN:VCALENDAR\r\n' + 'BEGIN:VEVENT\r\n'.repeat(50_000),
  'one line of seven million letters': calendar(event('a', `SUMMARY:${'x'.repeat(7_000_000)}`)),
};
const point = (i) =>
  `<trkpt lat="46.5" lon="${-84 + i / 1e6}"><time>${new Date(NOW - 9e8 + i * 1000).toISOString()}</time></trkpt>`;
const TRACKS = {
  'nested 600 deep': '<gpx>' + '<trk>'.repeat(600) + '</trk>'.repeat(600) + '</gpx>',
  'nested 200,000 deep': '<gpx>' + '<a>'.repeat(200_000) + '</a>'.repeat(200_000) + '</gpx>',
  'swelling entities': `<!DOCTYPE gpx [<!ENTITY a "${'a'.repeat(1000)}">]><gpx>&a;</gpx>`,
  '80,000 points': `<gpx><trk><trkseg>${times(80_000, point).join('')}</trkseg></trk></gpx>`,
  'attributes without end': `<gpx><trk><trkseg><trkpt ${times(100_000, (i) => `a${i}="1"`).join(' ')}/></trkseg></trk></gpx>`,
};
const TABLES = {
  'quotes that never close': `at,airTempC\n${'"x,'.repeat(1_000_000)}`,
  '300,000 bad lines': `at,airTempC,windKmh\n${'yesterday,cold,none\n'.repeat(300_000)}`,
  '100,000 columns': `${times(100_000, (i) => `c${i}`).join(',')}\n${'1,'.repeat(100_000)}`,
  'a formula': 'at,airTempC\n=cmd|x,1',
};
const JSONS = {
  'nested 20,000 deep': '['.repeat(20_000) + ']'.repeat(20_000),
  'a million empty hours': `[${'{},'.repeat(1_000_000)}{}]`,
};

/** A picture that says it has 60,000 by 60,000 points. */
function hugePng() {
  const head = Buffer.from('89504e470d0a1a0a0000000d49484452', 'hex');
  const size = Buffer.alloc(8);
  size.writeUInt32BE(60_000, 0);
  size.writeUInt32BE(60_000, 4);
  return Buffer.concat([head, size, Buffer.from('08020000000000000000', 'hex')]);
}
const PICTURES = {
  'too many points': ['image/png', hugePng()],
  'a drawing with a script': [
    'image/svg+xml',
    Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script>1</script></svg>'),
  ],
  'no picture': ['image/jpeg', Buffer.alloc(9_000_000, 7)],
  'cut off': ['image/jpeg', Buffer.from('ffd8ffe000104a46494600010100000100010000ffdb', 'hex')],
};

/** Hostile files of every kind, one after the other, while somebody else asks whether the server is there; so many of them, from all kinds. */
export async function files(count, shop) {
  const { server, car } = shop;
  const wash = await plannedWash(shop);
  const kept = { mode: 'all-or-nothing' };
  const weather = { ...kept, source: 'file', kind: 'measured' };
  const jobs = [
    ...Object.entries(CALENDARS).map(([name, text]) => [
      `calendar, ${name}`,
      '/calendar/busy/import',
      { ...kept, calendar: name, text },
    ]),
    ...Object.entries(TRACKS).map(([name, text]) => [
      `track, ${name}`,
      `/vehicles/${car.id}/drives/import`,
      { ...kept, text },
    ]),
    ...Object.entries(TABLES).flatMap(([name, text]) => [
      [`weather, ${name}`, '/weather/import', { ...weather, format: 'csv', text }],
      [`bulletins, ${name}`, '/roads/bulletins/import', { ...kept, text }],
      [`cars, ${name}`, '/vehicles/list', { ...kept, text }],
    ]),
    ...Object.entries(JSONS).map(([name, text]) => [
      `weather, ${name}`,
      '/weather/import',
      { ...weather, format: 'json', text },
    ]),
  ];
  const faults = [];
  const slowest = { what: '', ms: 0 };
  let worstHealthMs = 0;
  const tried = async (what, work) => {
    const from = performance.now();
    let status = 0;
    const health = await server.worstHealthMs(async () => {
      ({ status } = await work().catch((error) => ({ status: String(error) })));
    });
    const ms = performance.now() - from;
    // That nobody listens there would say nothing of the file.
    if (!(status >= 200 && status < 500) || status === 404) faults.push(`${what}: ${status}`);
    if (health > worstHealthMs) [worstHealthMs, slowest.what, slowest.ms] = [health, what, ms];
  };
  const posts = jobs.map(([what, path, body]) => [what, () => server.ask('POST', path, body)]);
  const pictures = Object.entries(PICTURES).map(([name, [type, raw]]) => [
    `photograph, ${name}`,
    () => server.ask('PUT', `/runs/${wash.id}/photos/p`, undefined, { raw, type }),
  ]);
  const all = [...posts, ...pictures];
  const chosen = all.filter(
    (_, i) => Math.floor((i * count) / all.length) !== Math.floor(((i - 1) * count) / all.length),
  );
  for (const [what, work] of chosen) await tried(what, work);
  const { answer: cars } = await server.ask('GET', '/vehicles');
  for (const fault of faults) console.log(fault);
  return [
    {
      what: 'hostile files not answered as such',
      measured: `${faults.length} of ${chosen.length}`,
      asked: '0',
      ok: faults.length === 0,
    },
    {
      what: 'cars that came in with them',
      measured: String(cars.length - 1),
      asked: '0',
      ok: cars.length === 1,
    },
    {
      what: 'health while a file is read',
      measured: `${Math.round(worstHealthMs)} ms at worst (${slowest.what})`,
      asked: `at most ${MOST_HEALTH_MS} ms`,
      ok: worstHealthMs <= MOST_HEALTH_MS,
      isTimed: true,
    },
  ];
}
